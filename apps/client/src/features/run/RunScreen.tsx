import { roundsPlaced } from '@kelmot/contract';
import type { ReactNode } from 'react';
import { pathName } from '@/shared/repair/pathNames';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { RepairAside } from '@/shared/repair/RepairAside';
import { StationFrame } from '@/features/frame';
import { AcceptAction } from '@/features/stations';
import type { StationProps } from '@/shared/repair/stationProps';
import { WorkingSheet } from '@/shared/ui/Working';
import type { Task } from '@kelmot/core';
import { RunAction, RunEnd, RunStep } from './RunSheet';
import { useTask, useRun, type Run } from './useRun';

/** The frame of a repair, at the station of the step that is shown. */
function RunFrame({
  task,
  action,
  children,
  ...props
}: StationProps & { task?: Task; action: ReactNode; children: ReactNode }) {
  const { view, repair } = props;
  return (
    <StationFrame
      id={view.id}
      station={task?.step.station ?? 'accept'}
      reached={view.station}
      rounds={roundsPlaced(view)}
      tag={view.tag}
      title={view.assetName}
      aside={<RepairAside id={view.id} />}
      action={action}
      sheet={<WorkingSheet namePath={(p) => pathName(view.survey.family, p)} />}
      top={task?.id ?? 'end'}
      step={task?.step.id}
    >
      <RejectedCommands waiting={repair.waiting} />
      {children}
    </StationFrame>
  );
}

function Doing({ task, ...props }: StationProps & { run: Run; task: Task }) {
  const doing = { ...props, ...useTask(props.run, task, props), task };
  return (
    <RunFrame {...props} task={task} action={<RunAction {...doing} />}>
      <RunStep {...doing} />
    </RunFrame>
  );
}

/** The job from Prep to Accept one step at a time; at the end, its signature. */
export function RunScreen(props: StationProps) {
  const run = useRun(props);
  const task = run.shown === null ? undefined : run.tasks[run.shown];
  if (task) return <Doing {...props} run={run} task={task} />;
  return (
    <RunFrame {...props} action={<AcceptAction {...props} />}>
      <RunEnd {...props} run={run} />
    </RunFrame>
  );
}
