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

/** How long the crack is watched for leaks at each water level while the basin is filled, minutes. */
const WATCH_MIN = 30;

export const head = () =>
  step.inspect('head', {
    title: t('Fill and watch'),
    minutes: 2 * WATCH_MIN,
    text: m('Level back up in two steps; look after {wait} at each, and next morning.', {
      wait: minutes(WATCH_MIN),
    }),
    timed: { label: m('At this level'), minutes: WATCH_MIN, times: 2 },
  });
