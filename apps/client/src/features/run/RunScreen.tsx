import { roundsPlaced } from '@kelmot/contract';
import type { ReactNode } from 'react';
import { pathName } from '@/shared/repair/pathNames';
import { Refused } from '@/shared/repair/Refused';
import { RepairAside } from '@/shared/repair/RepairAside';
import { StationFrame } from '@/features/frame';
import { AcceptAction } from '@/features/stations';
import type { StationProps } from '@/shared/repair/stationProps';
import { WorkingSheet } from '@/shared/ui/Working';
import type { Deed } from '@kelmot/core';
import { RunAction, RunEnd, RunStep } from './RunSheet';
import { useDeed, useRun, type Run } from './useRun';

/** The frame of a repair, at the station of the step that is shown. */
function RunFrame({
  deed,
  action,
  children,
  ...props
}: StationProps & { deed?: Deed; action: ReactNode; children: ReactNode }) {
  const { view, repair } = props;
  return (
    <StationFrame
      id={view.id}
      station={deed?.step.station ?? 'accept'}
      reached={view.station}
      rounds={roundsPlaced(view)}
      tag={view.tag}
      title={view.assetName}
      aside={<RepairAside id={view.id} />}
      action={action}
      sheet={<WorkingSheet namePath={(p) => pathName(view.survey.family, p)} />}
      top={deed?.id ?? 'end'}
      step={deed?.step.id}
    >
      <Refused waiting={repair.waiting} />
      {children}
    </StationFrame>
  );
}

function Doing({ deed, ...props }: StationProps & { run: Run; deed: Deed }) {
  const doing = { ...props, ...useDeed(props.run, deed, props), deed };
  return (
    <RunFrame {...props} deed={deed} action={<RunAction {...doing} />}>
      <RunStep {...doing} />
    </RunFrame>
  );
}

/** The job from Prep to Accept one step at a time; at the end, its signature. */
export function RunScreen(props: StationProps) {
  const run = useRun(props);
  const deed = run.shown === null ? undefined : run.deeds[run.shown];
  if (deed) return <Doing {...props} run={run} deed={deed} />;
  return (
    <RunFrame {...props} action={<AcceptAction {...props} />}>
      <RunEnd {...props} run={run} />
    </RunFrame>
  );
}
