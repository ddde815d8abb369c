import { saidOf } from '../message/sentences';
import type { Schedule, ScheduledStep } from '../schedule/scheduleJob';
import { momentsOf, neededOn, type Round } from '../work/round';
import { listed, type Step, type Wrong } from '../work/step';
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
    says: saidOf(draft.says()),
    warns: saidOf(draft.warns),
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

/** Steps of one kind with one material go wrong in the same ways. */
const sameKind = (rounds: readonly PlanRound[], one: Step, other: Step): boolean => {
  const cardOf = ({ round }: Step) => rounds.find((r) => r.id === round)?.card.code;
  return one.name === other.name && cardOf(one) === cardOf(other);
};

/** The steps with each remedy told once for a material: where it is first needed. */
export const remediesOnce = (steps: readonly Step[], rounds: readonly PlanRound[]): Step[] =>
  steps.map((step, i) => {
    const told = steps.slice(0, i).filter((other) => sameKind(rounds, step, other));
    const known = new Set(told.flatMap((s) => s.wrong.map((w) => JSON.stringify(w))));
    return { ...step, wrong: step.wrong.filter((w) => !known.has(JSON.stringify(w))) };
  });

/** What can go wrong with a step, with what its plan told at an earlier step of the same kind. */
export function remediesOf(
  { steps, rounds }: { steps: readonly Step[]; rounds: readonly PlanRound[] },
  step: Step,
): Wrong[] {
  const at = steps.findIndex((s) => s.id === step.id);
  return steps.slice(0, at + 1).flatMap((s) => (sameKind(rounds, step, s) ? s.wrong : []));
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
