import { t } from '../text/text';
import { z } from 'zod';

/** The milestones of a cure. `life` is the working life; the order is that of a plain job. */
export const MILESTONES = [
  'life',
  'tackFree',
  'overcoatOpens',
  'overcoatCloses',
  'handle',
  'machine',
  'lightLoad',
  'fullLoad',
  'immersion',
  'chemical',
] as const;
export const MilestoneId = z.enum(MILESTONES);
export type MilestoneId = z.infer<typeof MilestoneId>;
/** What service waits for: one milestone, or all of several. */
export type Needed = MilestoneId | readonly MilestoneId[];

export const MILESTONE_NAMES: Record<MilestoneId, string> = {
  life: t('working life ends'),
  tackFree: 'tack-free',
  overcoatOpens: t('overcoat opens'),
  overcoatCloses: t('overcoat closes'),
  handle: 'handle',
  machine: 'machine',
  lightLoad: t('light load'),
  fullLoad: t('full load'),
  immersion: 'immersion',
  chemical: t('full chemical'),
};
