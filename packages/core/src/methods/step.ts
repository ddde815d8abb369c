import { MILESTONE_NAMES, type MilestoneId, type Needed } from '../materials/milestones';
import { m, type Message } from '../message/message';
import { touchMinutes } from '../work/batching';
import { neededOn, type Round } from '../work/round';
import type { After, StepDraft, Wrong } from '../work/step';
import type { StationId } from '../work/stations';
import type { SharedStep } from '../work/ids';

/** Optional parts of a step, besides name, title, minutes and text. */
export type More = Partial<Omit<StepDraft, 'name' | 'text' | 'title'>>;
export type Text = Message | (() => Message);
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

/** Makes steps whose names come from one closed list: the shared names, and those of a family. */
export interface Maker<Name extends string> {
  (
    name: Name,
    station: StationId,
    does: StepDraft['does'],
    title: Title,
    minutes: number,
    text: Text,
    more?: More,
  ): StepDraft;
  prep: (
    name: Name,
    does: StepDraft['does'],
    title: Title,
    minutes: number,
    text: Text,
    more?: More,
  ) => StepDraft;
  /** Work in Build on a round, outside the working life of a batch. */
  build: (
    round: Round,
    name: Name,
    does: StepDraft['does'],
    title: Title,
    minutes: number,
    text: Text,
    more?: More,
  ) => StepDraft;
  /** Done with each batch of a round within its working life: its round sets the minutes. */
  touch: (round: Round, name: Name, title: Title, text: Text, more?: More) => StepDraft;
  /** Done to a round while it cures, not before a milestone. */
  during: (
    round: Round,
    name: Name,
    at: MilestoneId,
    title: Title,
    minutes: number,
    text: Text,
    more?: More,
  ) => StepDraft;
  /** An inspection. */
  inspect: (name: Name, title: Title, minutes: number, text: Text, more?: More) => StepDraft;
}

export function stepsOf<Own extends string = never>(
  _own?: readonly Own[],
): Maker<SharedStep | Own> {
  type Name = SharedStep | Own;
  const make = (
    name: Name,
    station: StationId,
    does: StepDraft['does'],
    title: Title,
    minutes: number,
    text: Text,
    more: More = {},
  ): StepDraft => ({
    name,
    station,
    does,
    minutes,
    hold: { kind: 'check' },
    ...more,
    title: typeof title === 'string' ? m(title) : title,
    text: typeof text === 'function' ? text : () => text,
  });
  return Object.assign(make, {
    prep: ((name, does, title, minutes, text, more) =>
      make(name, 'prep', does, title, minutes, text, more)) as Maker<Name>['prep'],
    build: ((round, name, does, title, minutes, text, more) =>
      make(name, 'build', does, title, minutes, text, { round, ...more })) as Maker<Name>['build'],
    touch: ((round, name, title, text, more) => {
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
      return make(name, 'build', 'place', title, minutes, text, {
        people: 2,
        touch: true,
        round,
        ...more,
      });
    }) as Maker<Name>['touch'],
    during: ((round, name, at, title, minutes, text, more) =>
      make(name, 'cure', 'finish', title, minutes, text, {
        round,
        after: [notBefore(round, at)],
        ...more,
      })) as Maker<Name>['during'],
    inspect: ((name, title, minutes, text, more) =>
      make(name, 'accept', 'test', title, minutes, text, more)) as Maker<Name>['inspect'],
  });
}

export const step = stepsOf();
