import { mixedBatches } from '@kelmot/contract';
import { countdown, nextAct } from '@kelmot/core';
import { router, usePathname } from 'expo-router';
import { Notice } from '@/features/frame/Notice';
import { useRows } from '@/features/repairs/useActs';
import { WaitMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { useNow } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';
import { useZone } from '@/ui/useZone';

type Row = ReturnType<typeof useRows>['rows'][number];

/** One pail that lives: its clock ticks here where the screen is about something else. */
function Pail({ row }: { row: Row }) {
  const now = useNow();
  const zone = useZone();
  const { tell } = useWords();
  const act = row.gist ? nextAct(row.gist, mixedBatches(row.mixes), now, zone) : null;
  if (act?.phase !== 'place' || act.clockTo === null) return null;
  const { parts, over } = countdown(act.clockTo, now);
  const left = parts.map((p) => `${p.figure}${p.unit ? ` ${p.unit}` : ''}`).join(' ');
  return (
    <Notice
      id={`pail-${row.tag}`}
      told
      mark={<WaitMark size={18} />}
      ways={[
        {
          label: 'Go there',
          hint: `to ${row.tag}`,
          go: () => router.navigate(`/repair/${row.id}/run`),
        },
      ]}
    >
      <Txt as="strong">
        {row.tag}, {left}
        {over ? ' over' : ''}:{' '}
      </Txt>
      {tell(act.say)}
    </Notice>
  );
}

/** Every pail that lives, over whatever screen is not its own and not the bench, where it runs already. */
export function Pails() {
  const path = usePathname();
  const { rows } = useRows({ status: 'open', q: '' });
  if (path === '/') return null;
  return rows
    .filter((row) => !path.includes(row.id))
    .filter((row) => row.mixes.some((x) => x.placedAt === null && x.binnedAt === null))
    .map((row) => <Pail key={row.id} row={row} />);
}
