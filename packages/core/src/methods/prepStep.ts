import type { Says } from '../message/sentences';
import { m, type Message } from '../message/message';
import type { StepDraft } from '../work/step';
import type { Work } from '../work/work';
import { step, type More } from './step';

/** What a family may add to a step of Prep. */
export type Extra = More & { extra?: Says };

/** A step of Prep with its own name. */
export const prep = (
  name: Parameters<typeof step>[0],
  {
    does,
    title,
    minutes,
    says,
    warns,
    extra: { extra, ...more } = {},
  }: {
    does: StepDraft['does'];
    title: string | Message;
    minutes: number;
    says: () => Says;
    warns?: Says;
    extra?: Extra;
  },
): StepDraft =>
  step(name, {
    station: 'prep',
    does,
    title,
    minutes,
    says: () => [says(), extra],
    warns,
    ...more,
  });

export const inZone = ({ survey }: Pick<Work, 'survey'>) => survey.site.area !== 'safe';
/** For every cutting tool in a classified area. */
export const NO_SPARK = m('Non-sparking tools only: bronze chisel, hand file, air saw kept wet.');
