import { CardOutcome, RepairView } from '@kelmot/contract';
import { Card } from '@kelmot/core';
import { z } from 'zod';

/** Answers that say the whole of something: their schemas bring every family, and come with the screens that show them. */
export const wholeSchemas = {
  cards: z.array(Card),
  outcomes: z.array(CardOutcome),
  repair: RepairView,
};
