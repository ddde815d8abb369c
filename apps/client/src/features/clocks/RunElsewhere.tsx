import { mixedBatches, wetOf, type RepairRow } from '@kelmot/contract';
import { countdown, countdownText, HOUR, m, nextAct, type Message } from '@kelmot/core';
import { router, usePathname } from 'expo-router';
import { Notice, type Way } from '@/shared/ui/Notice';
import { useFolded } from '@/shared/ui/useFolded';
import { WaitMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useBeat, useNow } from '@/shared/ui/useNow';
import { useWords } from '@/shared/ui/useWords';
import { useZone } from '@/shared/ui/useZone';
import { runPath, useRunning, useStarted } from './running';

/** So long before it is over a clock stands over other screens, ms: what takes half a day is for the bench. */
const NEAR_MS = HOUR;

interface Runs {
  id: string;
  row: Pick<RepairRow, 'id' | 'tag'>;
  at: number;
  say: Message;
}

/** A clock that ticks here, where the screen is about something else. */
function Ticking({ id, row, at, say, rest }: Runs & { rest: Way[] }) {
  const { tell } = useWords();
  const left = useBeat((now) => countdownText(countdown(at, now)));
  const go = () => router.navigate(runPath(row.id));
  return (
    <Notice
      id={id}
      told
      mark={<WaitMark size={18} />}
      ways={[{ label: 'Go there', hint: `to ${row.tag}`, go }, ...rest]}
    >
      <Txt as="strong">
        {row.tag}, {left}:{' '}
      </Txt>
      {tell(say)}
    </Notice>
  );
}

/** Where the pail of a repair is shown large. */
const OF_PAILS = ['run', 'mix', 'build', 'cure'];

/** Everything that runs now and is not on the screen at `path`: the soonest over first, after all what is over already. */
function useElsewhere(path: string): Runs[] {
  const now = useNow();
  const zone = useZone();
  const rows = useRunning();
  const started = useStarted();
  const isAt = (id: string, places: readonly string[]) =>
    places.some((place) => path === `/repair/${id}/${place}`);
  // The bench has the clock of each pail already.
  const pails = path === '/' ? [] : rows.filter((row) => wetOf(row.mixes));
  const runs = pails.flatMap((row): Runs[] => {
    const act = row.gist ? nextAct(row.gist, mixedBatches(row.mixes), now, zone) : null;
    if (act?.phase !== 'place' || act.clockTo === null || isAt(row.id, OF_PAILS)) return [];
    return [{ id: `pail-${row.tag}`, row, at: act.clockTo, say: act.say }];
  });
  const clocks = started.flatMap(({ row, station, at, label }): Runs[] =>
    at <= now || at - now > NEAR_MS || isAt(row.id, ['run', station])
      ? []
      : [{ id: `clock-${row.tag}-${at}`, row, at, say: m('{label}.', { label }) }],
  );
  const over = ({ at }: Runs) => Number(at <= now);
  return [...runs, ...clocks].sort((p, q) => over(p) - over(q) || p.at - q.at);
}

function Elsewhere({ path }: { path: string }) {
  const runs = useElsewhere(path);
  const { shown, rest } = useFolded(runs, () => 'clocks that run');
  return shown.map((one, i) => <Ticking key={one.id} {...one} rest={i === 0 ? rest : []} />);
}

/** What runs in any repair, over whatever screen does not show it: the soonest, and the rest a touch away. */
export function RunElsewhere() {
  const path = usePathname();
  const started = useStarted();
  const rows = useRunning();
  // No clock ticks for nothing.
  return started.length > 0 || rows.some((row) => wetOf(row.mixes)) ? (
    <Elsewhere path={path} />
  ) : null;
}
