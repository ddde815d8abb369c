import { StationId, STATION_NAMES, t } from '@kelmot/core';
import { router, useLocalSearchParams } from 'expo-router';
import { TO_ALL } from '@/shared/repairs/openRepair';
import { useEffect } from 'react';
import { Frame, StationFrame } from '@/features/frame';
import { MatchScreen } from '@/features/match';
import { HandoverScreen, RunScreen } from '@/features/run';
import { stationScreens } from '@/features/stations';
import { SurveyScreen } from '@/features/survey';
import { loadErrorText } from '@/store/api';
import { useAppDispatch } from '@/store/hooks';
import { workingShown } from '@/store/view';
import { PrimaryButton } from '@/shared/ui/Button';
import { Empty, Failed, Skeleton } from '@/shared/ui/states';
import { useNow } from '@/shared/ui/useNow';
import { WorkingSheet } from '@/shared/ui/Working';
import { pathName } from '../../shared/repair/pathNames';
import { RejectedCommands } from '../../shared/repair/RejectedCommands';
import { RepairAside } from '../../shared/repair/RepairAside';
import { SectionOf } from '../../shared/repair/SectionOf';
import { useRepair, type OpenRepair } from '../../shared/repair/useRepair';
import { roundsPlaced, type RepairView } from '@kelmot/contract';

/** Whether a new plan is queued that only the server can make: then nobody may work by the plan that is shown. */
const isPlanning = ({ waiting }: OpenRepair, view: RepairView): boolean => {
  const made = waiting.map((w) => w.command).findLast((c) => c.type === 'plan.make');
  const stands = waiting.some((w) => w.command === made && !w.refused);
  return stands && made?.type === 'plan.make' && view.plan?.id !== made.planId;
};

const plannedOf = (repair: OpenRepair, view: RepairView) =>
  isPlanning(repair, view) ? undefined : view.plan?.body;

/** A station that needs a plan, or a notice that there is no plan yet. */
function Planned({
  view,
  repair,
  station,
}: {
  view: RepairView;
  repair: OpenRepair;
  station: Exclude<StationId, 'survey' | 'match'>;
}) {
  const now = useNow(15_000);
  const plan = plannedOf(repair, view);
  const planning = isPlanning(repair, view);
  const screen = stationScreens[station];
  const short = station === 'mix' || station === 'accept' || station === 'cure';
  const props = plan && { id: view.id, view, plan, repair };
  const card = plan ? `${plan.card.code} ${plan.card.name}` : '';
  return (
    <StationFrame
      id={view.id}
      station={station}
      reached={view.station}
      rounds={roundsPlaced(view)}
      tag={view.tag}
      title={plan ? `${STATION_NAMES[station]}, ${card}` : STATION_NAMES[station]}
      header={(width) => (
        <SectionOf
          view={view}
          size={{ width, height: short ? 108 : 230 }}
          now={now}
          dimensions={!short}
        />
      )}
      aside={<RepairAside id={view.id} />}
      action={
        props ? (
          <screen.action {...props} />
        ) : (
          <PrimaryButton
            label={t('Choose a system at Match')}
            onPress={() => router.navigate(`/repair/${view.id}/match`)}
            testID="to-match"
          />
        )
      }
      sheet={<WorkingSheet namePath={(p) => pathName(view.survey.family, p)} />}
    >
      <RejectedCommands waiting={repair.waiting} />
      {planning ? <Skeleton /> : null}
      {!planning && !plan ? (
        <Empty title={t('No plan yet.')}>
          {t('{station} is calculated from the system that you choose at Match.', {
            station: STATION_NAMES[station],
          })}
        </Empty>
      ) : null}
      {props ? <screen.body {...props} /> : null}
    </StationFrame>
  );
}

/** Screens of a repair that are not stations: the run sheet and the handover. */
const BESIDE = ['run', 'handover'] as const;

/** One repair at one station, run sheet or handover, by its address. */
export function RepairScreen() {
  const { id = '', station: raw } = useLocalSearchParams<{ id: string; station: string }>();
  const station = StationId.safeParse(raw).data ?? BESIDE.find((name) => name === raw) ?? 'survey';
  const repair = useRepair(id);
  const dispatch = useAppDispatch();
  useEffect(() => {
    dispatch(workingShown(null));
  }, [dispatch, id, station]);
  const { view, error, loading } = repair;
  const plan = view && plannedOf(repair, view);
  const creating = repair.waiting.some((w) => w.command.type === 'repair.create');
  if (!view) {
    return (
      <Frame tab="repairs" openId={id}>
        <RejectedCommands waiting={repair.waiting} />
        {loading || creating ? <Skeleton /> : <Failed say={loadErrorText(error)} leave={TO_ALL} />}
      </Frame>
    );
  }
  if (station === 'survey') return <SurveyScreen key={id} view={view} repair={repair} />;
  if (station === 'handover') return <HandoverScreen view={view} repair={repair} />;
  if (station === 'run' && plan)
    return <RunScreen id={id} view={view} plan={plan} repair={repair} />;
  if (station === 'match')
    return <MatchScreen key={`${id}/${view.version}`} view={view} repair={repair} />;
  return <Planned view={view} repair={repair} station={station === 'run' ? 'prep' : station} />;
}
