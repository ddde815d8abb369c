import { cureReadings, mixedBatches, runningOf } from '@kelmot/contract';
import {
  clockText,
  dayClockText,
  planSummaryOf,
  MILESTONE_NAMES,
  nextAction,
  planRound,
  stripsOf,
  type NextAction,
  type Plan,
  type Strip,
  t,
} from '@kelmot/core';
import { plannedTemp, type Running } from '@kelmot/core/run/runPlan';
import { momentFigure } from '@kelmot/core/run/cureText';
import { useState } from 'react';
import { View } from 'react-native';
import { Countdown } from '@/shared/ui/Countdown';
import { AxisRuler, CureStrip } from '@/shared/ui/CureStrip';
import { FigureText } from '@/shared/ui/FigureText';
import { Txt } from '@/shared/ui/Txt';
import { useMargins } from '@/shared/ui/layout';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';
import { cureAxis, CureClock, CureTrace } from '@/features/cure';
import { Outlook } from './Outlook';
import { RoundStrips } from './RoundStrips';
import { StepList } from './Steps';
import type { StationProps } from '@/shared/repair/stationProps';

/**
 * Cure: the strip of the loaded round large, the other rounds beside it, the time of each milestone at the entered
 * temperature, and the clock once a batch is mixed.
 */
export function Cure(props: StationProps) {
  const { view, plan } = props;
  const now = useNow();
  const [outer, setOuter] = useState(0);
  const width = outer - useMargins();
  const zone = useZone();
  const running = runningOf(view);
  const summary = planSummaryOf(running?.plan ?? plan);
  const mixes = mixedBatches(view.mixes);
  const { tell } = useWords();
  const strips = stripsOf(summary, mixes, now);
  const main = strips.find((s) => s.round.id === plan.mainRound) ?? strips[0];
  const mainRound = planRound(plan, plan.mainRound);
  const act = nextAction(summary, mixes, { now, zone });
  if (!main) return <StepList station="cure" {...props} />;
  // Before mixing, the strip stands at its planned time, as the job runs now.
  const { strip, begun } = main;
  const run = running?.main ?? null;
  const [specAsPlanned] = stripsOf(planSummaryOf(plan), mixes, now).filter(
    (s) => s.round.id === main.round.id,
  );
  const plannedReady = run && specAsPlanned ? specAsPlanned.strip.ready : undefined;
  const plannedC = plannedTemp(plan);
  const stalled = run?.stalled ?? false;
  const axis =
    width > 0 ? cureAxis(strip, { cure: { plannedReady, stalled }, now, width, zone }) : null;
  return (
    <View>
      {act ? <CureNow act={act} /> : <NotMixed from={dayClockText(strip.start, now, zone)} />}
      <View className="bg-sheet px-4" onLayout={(e) => setOuter(e.nativeEvent.layout.width)}>
        {axis ? (
          <>
            <AxisRuler axis={axis} now={now} label={clockText(now, zone)} flag={begun} />
            <CureStrip
              strip={strip}
              axis={axis}
              now={now}
              height={42}
              withWindow={strip.window !== null}
              plannedReady={plannedReady}
            />
            {run ? (
              <CureTrace
                seen={cureReadings(view)}
                run={run}
                plannedC={plannedC}
                axis={axis}
                now={now}
              />
            ) : null}
          </>
        ) : null}
      </View>
      <NeededBy plan={plan} strip={strip} now={now} zone={zone} />
      <CureClock {...props} />
      {strips.length > 1 ? <RoundStrips view={view} plan={plan} except={main.round.id} /> : null}
      <Outlook plan={plan} isBegun={begun} />
      {mainRound && strips.length > 1 ? (
        <View className="border-b border-rule px-4 py-2">
          <Txt as="label">
            {tell(mainRound.name)}, {mainRound.card.code} {mainRound.card.name}
          </Txt>
        </View>
      ) : null}
      <View role="list">
        <Milestones
          strip={strip}
          begun={begun}
          now={now}
          running={running}
          plan={plan}
          zone={zone}
        />
      </View>
      <StepList station="cure" {...props} />
    </View>
  );
}

function Milestones({
  strip,
  begun,
  now,
  running,
  plan,
  zone,
}: {
  strip: Strip;
  begun: boolean;
  now: number;
  running: Running | null;
  plan: Plan;
  zone: string;
}) {
  return (
    <>
      {[...strip.milestones]
        .sort((p, q) => p.at - q.at)
        .map((m) => {
          const met = begun && now >= m.at;
          const learned = running?.moments.get(m.id);
          const planned = plan.figures[m.id === 'life' ? 'life' : `cure.${m.id}`];
          return (
            <View
              key={m.id}
              role="listitem"
              className={`flex-row flex-wrap items-center gap-x-3 border-b border-rule px-4 py-2 ${m.id === plan.needed ? 'bg-sheet' : ''}`}
            >
              <View
                className={`h-3.5 w-3.5 border border-ink ${met ? 'bg-moss' : ''}`}
                aria-hidden
              />
              <Txt
                as="inline"
                className={`min-w-[35%] flex-1 ${m.id === plan.needed ? 'font-head' : ''}`}
              >
                {m.name}
                {met ? t(', met') : ''}
              </Txt>
              <FigureText figure={learned ? momentFigure(m.id, learned) : planned} />
              <Txt as="inline" className="ml-auto min-w-20 text-right">
                {dayClockText(m.at, now, zone)}
              </Txt>
            </View>
          );
        })}
    </>
  );
}

function NeededBy({
  plan,
  strip,
  now,
  zone,
}: {
  plan: Plan;
  strip: Strip;
  now: number;
  zone: string;
}) {
  return (
    <View className="flex-row flex-wrap items-center justify-between border-y border-ink bg-sheet px-4 py-2">
      <Txt as="inline">
        {t('Needed: {milestone} by {deadline}', {
          milestone: MILESTONE_NAMES[plan.needed],
          deadline: dayClockText(strip.deadline, now, zone),
        })}
      </Txt>
      <Txt as="inline" className={strip.late ? 'text-oxideInk' : 'text-mossInk'}>
        {strip.late ? 'late' : t('in time')}
      </Txt>
    </View>
  );
}

/** The next action during the cure, with its countdown. */
function CureNow({ act }: { act: NextAction }) {
  const { say, tell } = useWords();
  return (
    <View
      className="flex-row flex-wrap items-center gap-x-4 border-b border-rule bg-sheet px-4 py-3"
      role="status"
    >
      {act.clockTo !== null ? <Countdown to={act.clockTo} ruling /> : null}
      <View className="min-w-0 flex-1">
        <Txt as="row">{tell(act.say)}</Txt>
        <Txt className="text-pencil">{say(act.second)}</Txt>
      </View>
    </View>
  );
}

const NotMixed = ({ from }: { from: string }) => (
  <View className="border-b border-rule px-4 py-3">
    <Txt className="text-pencil">
      {t('Not mixed yet. The strip shows the cure if mixing begins {from}.', { from })}
    </Txt>
  </View>
);
