import { mixedBatches } from '@kelmot/contract';
import {
  axisOf,
  clockText,
  dayClockText,
  gistOf,
  MILESTONE_NAMES,
  mixedAt,
  nextAct,
  stripOf,
} from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { Countdown } from '@/ui/Countdown';
import { AxisRuler, CureStrip } from '@/ui/CureStrip';
import { FigureText } from '@/ui/FigureText';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { Outlook } from './Outlook';
import { StepList } from './Steps';
import type { StationProps } from './StepsStation';

/** Cure: the strip large, each milestone's time at the entered temperature, and the clock once something is mixed. */
export function Cure(props: StationProps) {
  const { view, plan } = props;
  const now = useNow();
  const [width, setWidth] = useState(0);
  const zone = zoneMin();
  const gist = gistOf(plan);
  const mixes = mixedBatches(view.mixes);
  const started = mixedAt(mixes);
  // Before anything is mixed the strip stands where it would, if mixing began after the prep that is planned.
  const at =
    started ?? Math.max(now, Date.parse(plan.survey.window.startAt) + plan.prepMin * 60_000);
  const strip = stripOf(gist, at);
  const act = started === null ? null : nextAct(gist, mixes, now, zone);
  const from = Math.min(at, now) - (strip.end - at) * 0.02;
  const axis =
    width > 0
      ? axisOf({ from, nearTo: strip.end, to: strip.end, width, nearShare: 1, zoneMin: zone })
      : null;
  return (
    <View>
      {act ? (
        <View
          className="flex-row flex-wrap items-center gap-x-4 border-b border-rule bg-sheet px-4 py-3"
          role="status"
        >
          {act.clockTo !== null ? <Countdown to={act.clockTo} now={now} ruling /> : null}
          <View className="min-w-0 flex-1">
            <Txt as="row">{act.say}</Txt>
            <Txt className="text-pencil">{act.second}</Txt>
          </View>
        </View>
      ) : (
        <View className="border-b border-rule px-4 py-3">
          <Txt className="text-pencil">
            Not mixed yet. The strip stands where it would if mixing began{' '}
            {dayClockText(at, now, zone)}.
          </Txt>
        </View>
      )}
      <View className="bg-sheet px-4" onLayout={(e) => setWidth(e.nativeEvent.layout.width - 32)}>
        {axis ? (
          <>
            <AxisRuler axis={axis} now={now} label={clockText(now, zone)} flag={started !== null} />
            <CureStrip
              strip={strip}
              axis={axis}
              now={now}
              height={42}
              withWindow={plan.figures.coats !== undefined && plan.figures.coats.value > 1}
            />
          </>
        ) : null}
      </View>
      <View className="flex-row items-center justify-between border-y border-ink bg-sheet px-4 py-2">
        <Txt as="inline">
          Needed: {MILESTONE_NAMES[plan.needed]} by {dayClockText(strip.deadline, now, zone)}
        </Txt>
        <Txt as="inline" className={strip.late ? 'text-oxideInk' : 'text-mossInk'}>
          {strip.late ? 'late' : 'in time'}
        </Txt>
      </View>
      <Outlook plan={plan} />
      <View role="list">
        {[...strip.milestones]
          .sort((p, q) => p.at - q.at)
          .map((m) => {
            const met = started !== null && now >= m.at;
            return (
              <View
                key={m.id}
                role="listitem"
                className={`flex-row items-center gap-3 border-b border-rule px-4 py-2 ${m.id === plan.needed ? 'bg-sheet' : ''}`}
              >
                <View
                  className={`h-3.5 w-3.5 border border-ink ${met ? 'bg-moss' : ''}`}
                  aria-hidden
                />
                <Txt as="inline" className={`flex-1 ${m.id === plan.needed ? 'font-head' : ''}`}>
                  {m.name}
                  {met ? ', met' : ''}
                </Txt>
                <FigureText
                  figure={m.id === 'life' ? plan.figures.life : plan.figures[`cure.${m.id}`]}
                />
                <Txt as="inline" className="w-24 text-right">
                  {dayClockText(m.at, now, zone)}
                </Txt>
              </View>
            );
          })}
      </View>
      <StepList station="cure" {...props} />
    </View>
  );
}
