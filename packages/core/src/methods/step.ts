import { MILESTONE_NAMES, type MilestoneId, type Needed } from '../materials/milestones';
import type { Says } from '../message/sentences';
import { m, type Message } from '../message/message';
import { touchMinutes } from '../work/batching';
import { neededOn, type Round } from '../work/round';
import type { After, StepDraft, Wrong } from '../work/step';
import type { StationId } from '../work/stations';
import type { SharedStep } from '../work/ids';

/** Optional parts of a step, besides name, title, minutes and text. */
export type More = Partial<Omit<StepDraft, 'name' | 'says' | 'title'>>;
export type Text = Says | (() => Says);
type Title = string | Message;

/** A fault with its sign and remedy. */
export const wrong = (sign: string | Message, remedy: string | Message): Wrong => ({
  sign: typeof sign === 'string' ? m(sign) : sign,
  remedy: typeof remedy === 'string' ? m(remedy) : remedy,
});

/** Not before a milestone of a round's cure. */
export const notBefore = (
  round: Pick<Round, 'id' | 'title' | 'card'>,
  needed: Needed,
  why?: Message,
): After => {
  const at = neededOn(round.card, needed);
  return {
    round: round.id,
    at,
    why:
      why ??
      m('{round} must be there first: {moment}.', {
        round: round.title,
        moment: MILESTONE_NAMES[at],
      }),
  };
};

/** A step besides its name: what it says; how long it takes; what is done. */
type Told = More & { title: Title; says: Text };
type Timed = Told & { minutes: number };
type Whole = Timed & { does: StepDraft['does'] };

/** Makes steps whose names come from one closed list: the shared names, and those of a family. */
export interface Maker<Name extends string> {
  (name: Name, told: Whole & { station: StationId }): StepDraft;
  prep: (name: Name, told: Whole) => StepDraft;
  /** Work in Build on a round, outside the working life of a batch. */
  build: (round: Round, name: Name, told: Whole) => StepDraft;
  /** Done with each batch of a round within its working life: its round sets the minutes. */
  touch: (round: Round, name: Name, told: Told) => StepDraft;
  /** Done to a round while it cures, not before a milestone. */
  during: (round: Round, name: Name, told: Timed & { at: MilestoneId }) => StepDraft;
  /** An inspection. */
  inspect: (name: Name, told: Timed) => StepDraft;
}

export function stepsOf<Own extends string = never>(
  _own?: readonly Own[],
): Maker<SharedStep | Own> {
  type Name = SharedStep | Own;
  const make = (
    name: Name,
    { title, says: text, ...more }: Whole & { station: StationId },
  ): StepDraft => ({
    name,
    hold: { kind: 'check' },
    ...more,
    title: typeof title === 'string' ? m(title) : title,
    says: typeof text === 'function' ? text : () => text,
  });
  const made: Omit<Maker<Name>, never> = {
    prep: (name, told) => make(name, { station: 'prep', ...told }),
    build: (round, name, told) => make(name, { station: 'build', round, ...told }),
    touch: (round, name, told) => {
      const touch = round.touches.find((t) => t.name === name);
      if (!touch) throw new Error(`${round.id} does not count ${name} among its touches`);
      const minutes = round.batches.reduce(
        (s, b) =>
          s +
          touchMinutes({
            touch,
            ml: b.placedMl,
            totalMl: round.placedMl,
            pace: round.batching.paceMlPerMin,
          }),
        0,
      );
      const batch = { people: 2, touch: true, round } as const;
      return make(name, { station: 'build', does: 'place', minutes, ...batch, ...told });
    },
    during: (round, name, { at, ...told }) =>
      make(name, {
        ...{ station: 'cure', does: 'finish', round, after: [notBefore(round, at)] },
        ...told,
      }),
    inspect: (name, told) => make(name, { station: 'accept', does: 'test', ...told }),
  };
  return Object.assign(make, made);
}

export const step = stepsOf();
