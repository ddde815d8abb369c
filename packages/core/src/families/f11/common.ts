import { sentences } from '../../message/sentences';
import { t } from '../../text/text';
import { m, minutes } from '../../message/message';
import { stepsOf } from '../../methods/step';
import type { Work } from '../../work/work';
import type { WallCrackSurvey } from './survey';

export const stepIds = [
  'mark-ports',
  'chase',
  'gun',
  'tool',
  'ports',
  'band',
  'flush',
  'inject',
  'strip-ports',
  'head',
] as const;
export const step = stepsOf(stepIds);
export type W = Work<WallCrackSurvey>;

export const head = ({ trade }: W) =>
  step.inspect('head', {
    title: t('Fill and watch'),
    minutes: 2 * trade.basin.watchMin,
    says: sentences(
      `
        Raise the level in two steps.
        Look for damp lines after {wait} at each step, and next morning.
      `,
      { wait: minutes(trade.basin.watchMin) },
    ),
    timed: { label: m('At this level'), minutes: trade.basin.watchMin, times: 2 },
  });
