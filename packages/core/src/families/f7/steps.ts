import { perDamage } from '../../methods/perDamage';
import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, mm } from '../../message/message';
import { isolate, protect, removeOld } from '../../methods/begin';
import { degrease } from '../../methods/prep';
import { stepsOf, wrong } from '../../methods/step';
import type { StepDraft } from '../../work/step';
import type { Work } from '../../work/work';
import type { TyreSurvey } from './survey';

export const stepIds = [
  'core-out',
  'cords',
  'cut-strips',
  'trace',
  'condition',
  'close',
  'drops',
  'roll',
  'bevel',
  'air',
  'open',
  'patch',
  'fill-out',
  'heat-cure',
  'contour',
  'inflate',
] as const;
export const step = stepsOf(stepIds);
export type W = Work<TyreSurvey>;

/** Share of service pressure at which corners are soaped. */
export const SOAP_SHARE = 'a third';

/** A section repair is cut out, filled and heat-cured by a tyre shop; a cover is only laid over. */
export const isSection = ({ card }: W) => card.permission === 'tyre-shop';
export const margin = ({ card, site }: W) => card.sheet?.marginMm ?? site.extentMm;
export const deepest = ({ survey }: W) => Math.max(...survey.damages.map((d) => d.depthMm));
export const coversIn = ({ covers }: W) => (covers?.ok ? covers.covers : []);
export const total = (work: W, of: (c: ReturnType<typeof coversIn>[number]) => number) =>
  coversIn(work).reduce((s, c) => s + of(c), 0);

/** The first steps of both methods. */
export const prepSteps = (work: W): StepDraft[] => [
  isolate(work, {
    extra: sentences(`Take the load off the wheel and chock it.`),
  }),
  step.prep('core-out', {
    does: 'safe',
    title: t('Core out'),
    minutes: 10,
    says: sentences(`
      Take the valve core out and let all air out.
      Put a wire through the stem: no air may come out.
    `),
    warns: sentences(`Do not work on a tyre that holds air. It can burst.`),
  }),
  step.prep('cords', {
    does: 'look',
    title: t('Look for cords'),
    minutes: 10,
    says: sentences(
      `
        Open each damage with a blunt tool to its bottom. Depth: {deep}.
        Look for cords: stop if a cord shows or is cut.
        Photograph the open damage with a rule beside it.
      `,
      { deep: perDamage(work.survey.damages.map((d) => mm(d.depthMm))) },
    ),
    hold: { kind: 'photo', label: m('The injury, opened, with a rule') },
    wrong: [
      wrong(t('A cord shows'), t('Stop. Print the referral sheet. A licensed tyre shop decides.')),
    ],
  }),
  protect(work),
  ...removeOld(work),
  degrease(work),
];

/** Inflates again, by remote control. */
export const inflate = (): StepDraft =>
  step.inspect('inflate', {
    title: t('Inflate in the cage'),
    minutes: 15,
    says: sentences(`
      Put the tyre into the cage.
      Fill it by the remote hose, in steps up to service pressure.
      Watch the sidewall at each step.
    `),
    warns: sentences(`Keep everybody out of line with the tyre. It can burst.`),
    wrong: [
      wrong(t('A bulge'), t('Stop at once. Let the air out from a distance. Scrap the tyre.')),
    ],
  });
