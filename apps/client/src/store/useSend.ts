import type { StockMove } from '@kelmot/contract';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { v7 as uuidv7 } from 'uuid';
import { siteTime } from './clock';
import { queued, type AnyCommand, type ShelfCommand } from './outbox';
import type { RootState } from './store';
import { usePerson } from './usePerson';

type Without<D> = D extends ShelfCommand
  ? Pick<D, 'type'> & { move: Omit<StockMove, 'id' | 'at'> }
  : D extends AnyCommand
    ? Omit<D, 'id' | 'at'>
    : never;
/** A command as a screen gives it: its time is added here, and an id if it has none. */
export type CommandDraft = Without<AnyCommand> & { id?: string };

/** Puts commands into the outbox, each with its id, its time by the site's clock, and its author. */
export function useSend(): (...drafts: CommandDraft[]) => void {
  const me = usePerson();
  const store = useStore<RootState>();
  return useCallback(
    (...drafts) => {
      if (!me) return;
      const { clock } = store.getState();
      const at = new Date(siteTime(clock)).toISOString();
      const by = { id: me.id, name: me.name };
      for (const draft of drafts) {
        const id = draft.id ?? uuidv7();
        const command = (
          draft.type === 'shelf.move'
            ? { ...draft, id, at, move: { ...draft.move, id, at } }
            : { ...draft, id, at }
        ) as AnyCommand;
        store.dispatch(queued({ command, by, aheadMs: clock.aheadMs }));
      }
    },
    [me, store],
  );
}
