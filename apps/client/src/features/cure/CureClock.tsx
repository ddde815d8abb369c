import { runningOf } from '@kelmot/contract';
import type { StationProps } from '@/shared/repair/stationProps';
import { Learnt } from './Learnt';
import { Sees } from './Sees';

/** What was learned of how a repair cures, and where more of it is recorded while it is open. Nothing before it is mixed. */
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
