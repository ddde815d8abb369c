import { t } from '../text/text';
/** A figure of the trade that no card and no survey gives. */
export interface TradeConstant {
  value: number;
  /** Unit symbol; '1' for a share, a factor or a count. */
  unit: string;
  /** Where the figure comes from: a standard, or what practitioners do. */
  source: string;
  /** What it is for, and why it has this size. */
  reason: string;
}

/** What practitioners do; a site may know better. */
export const PRACTICE = t('usual practice');

/** A group of constants by name. */
export type TradeGroup = Readonly<Record<string, TradeConstant>>;

/** One constant; usual practice unless a source is given. */
