import { t } from '../text/text';
import {
  NEARBY_NAMES,
  PERMISSION_NAMES,
  type OldRepair,
  type Permission,
} from '../materials/words';
import { joined, m, type Message } from '../message/message';
import { sentence } from '../message/word';
import type { StepDraft } from '../work/step';
import type { Work } from '../work/work';
import { inZone, NO_SPARK, prep, type Extra } from './prepStep';
import { step } from './step';

/** The first steps of a job, before cleaning. A family adds its own text by `extra`. */

/** The approval, by name, before anything irreversible is done. */
export const approval = (who: Permission, what: Message): StepDraft =>
  step('approval', {
    station: 'prep',
    does: 'approve',
    title: PERMISSION_NAMES[who]
      ? m('{who} approves', { who: PERMISSION_NAMES[who] })
      : m('Approval'),
    minutes: 0,
    text: () => joined([what, m('Not before it is signed by name.')]),
    hold: { kind: 'approval', who },
  });

/**
 * Inserts the conditions met by hand after the work is made safe: a tick and the site’s minutes for each. `said` is
 * their text, if it is known; otherwise only the time is added.
 */
export function withConditions(
  { terms, site }: Pick<Work, 'terms' | 'site'>,
  steps: readonly StepDraft[],
  said: readonly Message[] = [],
): StepDraft[] {
  const others = steps.filter((s) => s.name !== 'conditions');
  if (terms === 0) return others;
  const at = others.findIndex((s) => s.does === 'protect' || s.does === 'safe') + 1;
  const met = step.prep('conditions', {
    does: 'look',
    title: m('It fits on {n, plural, one {one condition} other {# conditions}}', { n: terms }),
    minutes: terms * site.termMinutes,
    text: () => joined(said.map((t) => m('{condition}.', { condition: sentence(t) }))),
  });
  return [...others.slice(0, at), met, ...others.slice(at)];
}

/** Makes it safe: energy, pressure, permits. */
export const isolate = (work: Work, more?: Extra): StepDraft =>
  prep('isolate', {
    does: 'safe',
    title: t('Isolate and make safe'),
    minutes: 20,
    text: () =>
      m(
        'Lock off and tag {tag}. Prove no pressure and no stored energy. Permits where your site asks.',
        { tag: work.survey.asset.tag },
      ),
    extra: more,
  });

/** Covers nearby things that would be damaged, before anything is opened; null if there are none. */
export function coverFirst({ survey }: Work): Message | null {
  const { nearby } = survey.site;
  if (nearby === 'none') return null;
  const name = NEARBY_NAMES[nearby].toLowerCase();
  return m('Cover {name} first: no solvent, no resin, no dust on it.', { name });
}

/** Protects the surroundings, takes a photo with a ruler, and marks the outline. */
export const protect = (work: Work, more?: Extra): StepDraft =>
  prep('protect', {
    does: 'protect',
    title: t('Protect what is beside it'),
    minutes: 10,
    text: () =>
      joined([
        coverFirst(work),
        m(
          'Cover what is beside and below it. Close the area. Photograph the damage with a rule beside it, and mark round it so that the cleaned edge shows.',
        ),
      ]),
    extra: { hold: { kind: 'photo', label: m('The damage, with a rule') }, ...more },
  });

const OFF: Record<
  Exclude<OldRepair, 'none'>,
  { text: string; minutes: number; does: StepDraft['does']; sparks: boolean }
> = {
  paste: {
    text: t('Grind or chisel the old paste off to the parent; what is left under lets go.'),
    minutes: 30,
    does: 'strip',
    sparks: true,
  },
  wrap: {
    text: t(
      'Saw two lines opposite each other, not into the pipe. Chisel along them, prise the halves off.',
    ),
    minutes: 35,
    does: 'strip',
    sparks: true,
  },
  rubber: {
    text: t('Cut round it, peel it back hard and slow, grind off the last cement.'),
    minutes: 25,
    does: 'strip',
    sparks: false,
  },
  mortar: {
    text: t('Break it out to sound, square at the edges. Wet, or with extraction.'),
    minutes: 45,
    does: 'strip',
    sparks: true,
  },
  sealant: {
    text: t('Cut both sides, pull it out whole, grind the walls: they are the bond.'),
    minutes: 25,
    does: 'strip',
    sparks: false,
  },
  film: {
    text: t('Strip it past the damage; a glossy coat is not a substrate.'),
    minutes: 20,
    does: 'strip',
    sparks: false,
  },
  clamp: {
    text: t('Take it off with the line proved empty; dress weld and rust back to the parent.'),
    minutes: 30,
    does: 'strip',
    sparks: true,
  },
};

/** Removes an old repair, after looking at how it failed. */
export function removeOld(work: Work): StepDraft[] {
  const { old } = work.survey.past;
  if (old === 'none') return [];
  const off = OFF[old];
  return [
    prep('remove-old', {
      does: off.does,
      title: t('Take the old repair off'),
      minutes: off.minutes,
      text: () => m(`${off.text} Note how it failed.`),
      extra: {
        hold: { kind: 'photo', label: m('How the old repair failed') },
        sparks: off.sparks && !inZone(work),
        extra: off.sparks && inZone(work) && NO_SPARK,
      },
    }),
  ];
}
