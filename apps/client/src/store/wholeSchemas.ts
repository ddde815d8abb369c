import { CardOutcome, RepairView } from '@kelmot/contract';
import { Card } from '@kelmot/core';
import { z } from 'zod';

/** Answers whose schemas contain every family; they load with the screens that show them. */
export const wholeSchemas = {
  cards: z.array(Card),
  outcomes: z.array(CardOutcome),
  repair: RepairView,
};
