import { shelfAfter, type ShelfLot } from '@kelmot/contract';
import { useMemo } from 'react';
import { useShelfQuery } from './api';
import { useAppSelector } from './hooks';

/** The shelf with the outbox applied; undefined until it is known. */
export function useShelf(options?: { skip: boolean }): ShelfLot[] | undefined {
  const { data } = useShelfQuery(undefined, options);
  const queue = useAppSelector((s) => s.outbox.queue);
  return useMemo(() => {
    const moves = queue.flatMap(({ command, refused }) =>
      command.type === 'shelf.move' && !refused ? command.move : [],
    );
    return data && (moves.length > 0 ? shelfAfter(data, moves) : data);
  }, [data, queue]);
}
