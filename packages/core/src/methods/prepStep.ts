import { joined, m, type Message } from '../message/message';
import type { StepDraft } from '../work/step';
import type { Work } from '../work/work';
import { step, type More } from './step';

/** What every step of Prep may have added to it by its family. */
export type Extra = More & { extra?: Message | false };
const withExtra = (text: Message, extra?: Message | false): Message =>
  extra ? joined([text, extra]) : text;

/** Any work in Prep of a step’s own name. */
export const prep = (
  name: Parameters<typeof step>[0],
  does: StepDraft['does'],
  title: string | Message,
  minutes: number,
  text: () => Message,
  { extra, ...more }: Extra = {},
): StepDraft => step(name, 'prep', does, title, minutes, () => withExtra(text(), extra), more);

export const inZone = ({ survey }: Pick<Work, 'survey'>) => survey.site.area !== 'safe';
/** Said wherever a tool bites in a classified area. */
export const NO_SPARK = m('Non-sparking tools only: bronze chisel, hand file, air saw kept wet.');
