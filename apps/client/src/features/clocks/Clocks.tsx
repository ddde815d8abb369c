import { mixedBatches, openBatchOf } from '@kelmot/contract';
import { formatDuration, MINUTE, nextAction } from '@kelmot/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { setTitleClock } from '@/shared/ui/pageTitle';
import { speak } from '@/features/speech';
import { useRows } from '@/shared/repairs/useBenchRows';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { calledOut } from '@/store/view';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useWords } from '@/shared/ui/useWords';
import { useZone } from '@/shared/ui/useZone';
import { alarm } from './alarm';
import { RunningProvider, runPath, useRunning, useStarted } from './running';
import { useWakeLock } from './useWakeLock';
import { useCalls, type RepairCall } from './useCalls';
import { useNotificationClicks } from './useNotificationClicks';
import { useWaits } from './useWaits';

/** Update interval of the page title, ms. */
const TITLE_MS = 15_000;

/** Shows the clock that ends soonest in front of the page title. */
function TitleClock() {
  const now = useNow(TITLE_MS);
  const zone = useZone();
  const rows = useRunning();
  const started = useStarted();
  useEffect(() => {
    const clocks = rows.flatMap(({ summary, mixes, tag }) => {
      const act = summary ? nextAction(summary, mixedBatches(mixes), { now, zone }) : null;
      return act?.clockTo && act.clockTo > now ? [{ tag, to: act.clockTo }] : [];
    });
    for (const { row, at } of started) if (at > now) clocks.push({ tag: row.tag, to: at });
    const [soonest] = clocks.sort((p, q) => p.to - q.to);
    const left = soonest && formatDuration(Math.ceil((soonest.to - now) / MINUTE));
    setTitleClock(soonest ? `${left} ${soonest.tag}` : '');
  }, [rows, started, now, zone]);
  return null;
}

/**
 * The clocks of every running repair, on every screen: calls out each moment once, on the screen, to a screen reader,
 * and by sound if chosen. Shows the clock that ends soonest in the page title. Keeps the screen awake while a batch is
 * in use.
 */
export function Clocks({ children }: { children: ReactNode }) {
  const dispatch = useAppDispatch();
  const { tell, aloud } = useWords();
  const settings = useAppSelector((s) => s.settings);
  const { rows } = useRows({ status: 'open', q: '' });
  const [heard, setHeard] = useState({ polite: '', assertive: '' });
  const running = useMemo(() => rows.filter((row) => row.mixes.length > 0), [rows]);
  useWakeLock(running.some((row) => openBatchOf(row.mixes)));
  useNotificationClicks();
  const { calls, started } = useWaits(rows);
  const all = useMemo(() => ({ rows: running, started }), [running, started]);
  useCalls(running, calls, ({ row, say, urgent }: RepairCall) => {
    const text = tell(say);
    dispatch(calledOut({ repairId: row.id, tag: row.tag, text, urgent }));
    setHeard((h) => ({ ...h, [urgent ? 'assertive' : 'polite']: `${row.tag}: ${text}` }));
    if (settings.loud) alarm(row.tag, text, runPath(row.id));
    if (settings.aloud) speak(`${row.tag}: ${aloud(say)}`, { atOnce: urgent });
  });
  return (
    <RunningProvider value={all}>
      {children}
      <View className="absolute h-px w-px overflow-hidden opacity-0" pointerEvents="none">
        <View role="status" testID="heard">
          <Txt>{heard.polite}</Txt>
        </View>
        <View role="alert" testID="heard-now">
          <Txt>{heard.assertive}</Txt>
        </View>
        <TitleClock />
      </View>
    </RunningProvider>
  );
}
