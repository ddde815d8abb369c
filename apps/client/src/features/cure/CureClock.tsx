import { runningOf } from '@kelmot/contract';
import type { StationProps } from '@/shared/repair/stationProps';
import { Learnt } from './Learnt';
import { Sees } from './Sees';

/**
 * What the readings say about a repair's cure, and the entry of more readings while the repair is open. Empty before
 * mixing.
 */
export function CureClock({ view, plan, repair }: Omit<StationProps, 'id'>) {
  const run = runningOf(view)?.main;
  const [first] = view.mixes.filter((x) => x.binnedAt === null).map((x) => Date.parse(x.startedAt));
  const mayRecord = first !== undefined && view.status === 'open' && repair.canWrite;
  return (
    <>
      {run ? <Learnt run={run} /> : null}
      {mayRecord ? <Sees view={view} plan={plan} repair={repair} mixedAt={first} /> : null}
    </>
  );
}
