import { mixedBatches, openBatchOf, type RepairRow } from '@kelmot/contract';
import { countdown, countdownText, HOUR, m, nextAction, type Message, t } from '@kelmot/core';
import { router, usePathname } from 'expo-router';
import { Notice, type Way } from '@/shared/ui/Notice';
import { useFolded } from '@/shared/ui/useFolded';
import { WaitMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useTick, useNow } from '@/shared/ui/useNow';
import { useWords } from '@/shared/ui/useWords';
import { useZone } from '@/shared/ui/useZone';
import { runPath, useRunning, useStarted } from './running';

/** A clock is shown over other screens from this time before its end, ms; longer waits are shown on the bench only. */
const NEAR_MS = HOUR;

interface Runs {
  id: string;
  row: Pick<RepairRow, 'id' | 'tag'>;
  at: number;
  say: Message;
}

/** A running clock, shown on a screen about something else. */
function Ticking({ id, row, at, say, rest }: Runs & { rest: Way[] }) {
  const { tell } = useWords();
  const left = useTick((now) => countdownText(countdown(at, now)));
  const go = () => router.navigate(runPath(row.id));
  return (
    <Notice
      id={id}
      told
      mark={<WaitMark size={18} />}
      ways={[{ label: t('Open repair'), hint: t('to {tag}', { tag: row.tag }), go }, ...rest]}
    >
      <Txt as="strong">
        {row.tag}, {left}:{' '}
      </Txt>
      {tell(say)}
    </Notice>
  );
}

/** The screens that show the clock of a repair's batch large. */
const OF_PAILS = ['run', 'mix', 'build', 'cure'];

/** All running clocks that the screen at `path` does not show: first those that ended, then by their end. */
function useElsewhere(path: string): Runs[] {
  const now = useNow();
  const zone = useZone();
  const rows = useRunning();
  const started = useStarted();
  const isAt = (id: string, places: readonly string[]) =>
    places.some((place) => path === `/repair/${id}/${place}`);
  // The bench already shows the clock of each batch.
  const inUse = path === '/' ? [] : rows.filter((row) => openBatchOf(row.mixes));
  const runs = inUse.flatMap((row): Runs[] => {
    const act = row.summary
      ? nextAction(row.summary, mixedBatches(row.mixes), { now, zone })
      : null;
    if (act?.phase !== 'place' || act.clockTo === null || isAt(row.id, OF_PAILS)) return [];
    return [{ id: `batch-${row.tag}`, row, at: act.clockTo, say: act.say }];
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
  const { shown, rest } = useFolded(runs, () => t('clocks that run'));
  return shown.map((one, i) => <Ticking key={one.id} {...one} rest={i === 0 ? rest : []} />);
}

/** A bar over screens that do not show a running clock: the one that ends soonest, and the others on touch. */
export function OtherClocks() {
  const path = usePathname();
  const started = useStarted();
  const rows = useRunning();
  // The bar re-renders only while a clock runs.
  return started.length > 0 || rows.some((row) => openBatchOf(row.mixes)) ? (
    <Elsewhere path={path} />
  ) : null;
}
