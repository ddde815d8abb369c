import type { Schedule, ScheduledStep } from '../schedule/scheduleJob';
import { momentsOf, neededOn, type Round } from '../work/round';
import { listed, type Step } from '../work/step';
import { crewOf } from '../work/work';
import { type PlanRound } from './plan';

export function stepOf({ draft, id, minutes }: ScheduledStep): Step {
  return {
    id,
    name: draft.name,
    station: draft.station,
    round: draft.round?.id ?? null,
    does: draft.does,
    title: draft.title,
    text: draft.text(),
    minutes,
    people: draft.people ?? 1,
    eachBatch: draft.touch ?? false,
    sparks: draft.sparks ?? false,
    hold: draft.hold ?? null,
    ...(draft.timed ? { timed: draft.timed } : {}),
    wrong: [...(draft.wrong ?? [])],
    figures: listed(draft.figures),
    uses: listed(draft.uses),
  };
}

export function roundOf(round: Round, before: Round | undefined, laid: Schedule): PlanRound {
  const mixed = laid.mixedAt.get(round.id)?.last ?? 0;
  const { card, batching } = round;
  return {
    id: round.id,
    name: round.title,
    purpose: round.purpose,
    card: { code: card.code, version: card.version, name: card.name },
    amountMl: round.mixMl,
    spareMl: Math.max(0, round.mixMl - round.placedMl),
    on: before?.id ?? 'parent',
    buildMm: round.buildMm,
    consistency: round.consistency,
    tempC: round.base.tempC,
    pailC: batching.pailC,
    people: crewOf(round) + batching.moreHands,
    chose: batching.chose,
    because: round.because ?? null,
    batches: laid.batches
      .filter((b) => b.round === round.id)
      .map(({ no, ml, aG, bG, lifeMin, useMin, mixedAtMin, lastTouchMin }) => ({
        no,
        round: round.id,
        ml,
        aG,
        bG,
        consistency: round.consistency,
        lifeMin,
        mixedAtMin,
        lastTouchMin,
        placeByMin: mixedAtMin + useMin,
      })),
    milestones: momentsOf(round, mixed).map(({ id, minutes }) => ({ id, minutes })),
    needed: round.needed === null ? null : neededOn(card, round.needed),
  };
}
