import { MARK_NAMES, storyOf, type RepairView } from '@kelmot/contract';
import { word, type UnitSystem } from '@kelmot/core';
import { csvOf } from './csv';

const FIELDS = ['at', 'what', 'found', 'limit', 'mark', 'by', 'plan'] as const;

/** The record of a repair as CSV, one line a thing that happened, in the order of time. */
export const recordList = (view: RepairView, units: UnitSystem): string =>
  csvOf(
    FIELDS,
    storyOf(view).map(({ at, title, say, limit, mark, by, plan }) => ({
      at,
      what: word(title, units),
      found: say ? word(say, units) : '',
      limit: limit ? word(limit, units) : '',
      mark: mark ? MARK_NAMES[mark] : '',
      by,
      plan: plan ?? view.plan?.number ?? '',
    })),
  );
