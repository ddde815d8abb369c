import { t } from '@kelmot/core';
import type { Message, Plan } from '@kelmot/core';
import { CURE, isOfCure, judgeCure, titleOfCure, wrongOfCure, type CureValues } from './cureRecord';
import {
  HANDOVER,
  handoverText,
  isOfHandover,
  titleOfHandover,
  type HandoverValues,
} from './handoverRecord';
import type { ReadingVerdict } from './judge';
import type { ReadingValues } from './records';

/** Records of the repair itself, whatever its current step: cure and handover. */
export type OwnValues = CureValues | HandoverValues;

export const isOfRepair = (values: ReadingValues): values is OwnValues =>
  isOfCure(values) || isOfHandover(values);

/** The places of such records, instead of a step. */
export const OWN_PLACES: readonly string[] = [CURE, HANDOVER];

/** Why such a record may not be made at a moment: the field and the remedy; null if it may. */
export function wrongOfRepair(
  { stepId, at }: { stepId: string; at: string },
  values: OwnValues,
  plan: Plan,
): { path: string; message: string } | null {
  const place = isOfCure(values) ? CURE : HANDOVER;
  if (stepId !== place)
    return { path: 'stepId', message: t('must be {place}: this belongs to no step', { place }) };
  return isOfCure(values) ? wrongOfCure(values, at, plan) : null;
}

/** The text and verdict of such a record, the same on device and server. */
export const judgeOfRepair = (values: OwnValues, plan: Plan): ReadingVerdict =>
  isOfCure(values) ? judgeCure(values, plan) : { passed: true, say: handoverText(values) };

/** The title of such a record in the story. */
export const titleOfRepair = (values: OwnValues): Message =>
  isOfCure(values) ? titleOfCure(values) : titleOfHandover(values);
