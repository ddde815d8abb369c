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
  isolate(work, { extra: m('Wheel off load, chocked, before anybody touches the tyre.') }),
  step.prep('core-out', {
    does: 'safe',
    title: t('Core out'),
    minutes: 10,
    text: m(
      'Core out: fully deflated before anything is done to it, whether it holds its air or not. Put a wire through the stem.',
    ),
  }),
  step.prep('cords', {
    does: 'look',
    title: t('Look for cords'),
    minutes: 10,
    text: m(
      'Open each crack with a blunt tool, {deep} and deeper: cord showing or cut stops the job. Photograph it with a rule.',
      { deep: mm(deepest(work)) },
    ),
    hold: { kind: 'photo', label: m('The injury, opened, with a rule') },
    wrong: [
      wrong(t('Cord shows'), t('Stop. Print the referral sheet; a licensed tyre shop decides.')),
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
    text: m(
      'In the cage, remote hose, never in line with the tyre. In steps to service pressure, watch the sidewall.',
    ),
    wrong: [wrong('A bulge', t('Stop at once, deflate by remote, scrap the tyre.'))],
  });
