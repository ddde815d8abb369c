import { mixedBatches, wetOf, type RepairRow } from '@kelmot/contract';
import { countdown, countdownText, nextAct } from '@kelmot/core';
import { router, usePathname } from 'expo-router';
import { Notice } from '@/features/frame/Notice';
import { WaitMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { useNow } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';
import { useZone } from '@/ui/useZone';
import { runPath, useRunning } from './running';

/** One pail that lives: its clock ticks here where the screen is about something else. */
function Pail({ row }: { row: RepairRow }) {
  const now = useNow();
  const zone = useZone();
  const { tell } = useWords();
  const act = row.gist ? nextAct(row.gist, mixedBatches(row.mixes), now, zone) : null;
  if (act?.phase !== 'place' || act.clockTo === null) return null;
  const go = () => router.navigate(runPath(row.id));
  return (
    <Notice
      id={`pail-${row.tag}`}
      told
      mark={<WaitMark size={18} />}
      ways={[{ label: 'Go there', hint: `to ${row.tag}`, go }]}
    >
      <Txt as="strong">
        {row.tag}, {countdownText(countdown(act.clockTo, now))}:{' '}
      </Txt>
      {tell(act.say)}
    </Notice>
  );
}

/** Every pail that lives, over whatever screen is not its own and not the bench, where it runs already. */
export function Pails() {
  const path = usePathname();
  const running = useRunning();
  if (path === '/') return null;
  return running
    .filter((row) => wetOf(row.mixes) && !path.includes(row.id))
    .map((row) => <Pail key={row.id} row={row} />);
}
