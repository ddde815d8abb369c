import { runningOf } from '@kelmot/contract';
import type { StationProps } from '@/shared/repair/stationProps';
import { CureProgress } from './CureProgress';
import { CureReadingsForm } from './CureReadingsForm';

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
      {run ? <CureProgress run={run} /> : null}
      {mayRecord ? (
        <CureReadingsForm view={view} plan={plan} repair={repair} mixedAt={first} />
      ) : null}
    </>
  );
}
