import { sentences } from '../message/sentences';
import { t } from '../text/text';
import {
  NEARBY_NAMES,
  PERMISSION_NAMES,
  type OldRepair,
  type Permission,
} from '../materials/words';
import { m, type Message } from '../message/message';
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
    says: () => [what, sentences(`Do not start before this person has signed by name.`)],
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
    says: () => said.map((t) => m('{condition}.', { condition: sentence(t) })),
  });
  return [...others.slice(0, at), met, ...others.slice(at)];
}

/** Makes it safe: energy, pressure, permits. */
export const isolate = (work: Work, more?: Extra): StepDraft =>
  prep('isolate', {
    does: 'safe',
    title: t('Isolate and make safe'),
    minutes: 20,
    says: () =>
      sentences(
        `
          Lock off {tag} and hang your tag.
          Make sure that no pressure and no stored energy is left.
          Get the permits that your site asks for.
        `,
        { tag: work.survey.asset.tag },
      ),
    extra: more,
  });

/** Fresh air and a gas test, before anybody enters a closed space or opens a solvent in it. */
export const ventilate = (): StepDraft =>
  prep('ventilate', {
    does: 'safe',
    title: t('Ventilate and test the air'),
    minutes: 10,
    warns: sentences(
      `Do not enter without an entry permit, a passed gas test and a person outside. Bad air kills.`,
    ),
    says: () =>
      sentences(`
        Blow fresh air in at the bottom and let it out at the top.
        Keep the air flowing until the work is done.
        Test the air for oxygen and for gas.
      `),
  });

/** Covers nearby things that would be damaged, before anything is opened; null if there are none. */
export function coverFirst({ survey }: Work): Message | null {
  const { nearby } = survey.site;
  if (nearby === 'none') return null;
  const name = NEARBY_NAMES[nearby].toLowerCase();
  return m('Cover {name} first. Keep solvent, resin and dust off it.', { name });
}

/** Protects the surroundings, takes a photo with a ruler, and marks the outline. */
export const protect = (work: Work, more?: Extra): StepDraft =>
  prep('protect', {
    does: 'protect',
    title: t('Protect what is beside it'),
    minutes: 10,
    says: () => [
      coverFirst(work),
      sentences(`
        Cover the parts beside and below the damage.
        Close the area.
        Photograph the damage with a rule beside it.
        Mark the edge of the area that you will clean.
      `),
    ],
    extra: { hold: { kind: 'photo', label: m('The damage, with a rule') }, ...more },
  });

const OFF: Record<
  Exclude<OldRepair, 'none'>,
  { says: Message[]; minutes: number; does: StepDraft['does']; sparks: boolean }
> = {
  paste: {
    says: sentences(`Take the old paste off with a chisel, down to the parent material.`),
    minutes: 30,
    does: 'strip',
    sparks: true,
  },
  wrap: {
    says: sentences(`
      Saw along the wrap on two opposite sides.
      Do not saw into the pipe.
      Pry the two halves off with a chisel.
    `),
    minutes: 35,
    does: 'strip',
    sparks: true,
  },
  rubber: {
    says: sentences(`
      Cut round the old patch.
      Peel it off slowly.
      Remove the rest of the cement.
    `),
    minutes: 25,
    does: 'strip',
    sparks: false,
  },
  mortar: {
    says: sentences(`
      Break the old mortar out, down to sound material.
      Make the edges square.
      Work wet, or with dust extraction.
    `),
    minutes: 45,
    does: 'strip',
    sparks: true,
  },
  sealant: {
    says: sentences(`
      Cut the sealant along both sides.
      Pull it out.
      Clean both walls down to sound material.
    `),
    minutes: 25,
    does: 'strip',
    sparks: false,
  },
  film: {
    says: sentences(`
      Remove the old coat past the edge of the damage.
      Leave no glossy place.
    `),
    minutes: 20,
    does: 'strip',
    sparks: false,
  },
  clamp: {
    says: sentences(`
      Make sure that the line is empty.
      Take the clamp off.
      Remove rust and weld spatter, down to the parent metal.
    `),
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
      says: () => [off.says, sentences(`Write down how the old repair failed.`)],
      extra: {
        hold: { kind: 'photo', label: m('How the old repair failed') },
        sparks: off.sparks && !inZone(work),
        extra: off.sparks && inZone(work) && NO_SPARK,
      },
    }),
  ];
}
