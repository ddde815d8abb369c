import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  families,
  familyOf,
  makePlan,
  matchAll,
  rank,
  type FamilyId,
  type Plan,
} from '@kelmot/core';
import { plainSurvey } from '../src/plain';
import { siteSettings, systemCards } from '../src/index';
import { drawingsOf, sheetOf } from './drawn';
import { known } from './surveyed';
import { AT } from './surveys';

const FOLDER = join(__dirname, 'sections');
/** Set to write the sheets anew. Each that changed is then opened and looked at before it is kept. */
const isApproved = process.env.APPROVE !== undefined;

test.each(families().map((f) => f.id as FamilyId))(
  '%s: every shape of damage is drawn as it was when it was last looked at',
  (family) => {
    const rows = familyOf(family).shapes.map(({ shape }) => {
      const { survey } = plainSurvey({ family, shapes: [shape], startAt: AT });
      if (!survey) throw new Error(`${family} ${shape}: its plain answers are no survey`);
      const [best] = rank(matchAll(survey, systemCards, siteSettings, known), survey.intent);
      const made = best && makePlan(survey, best.match.card, siteSettings, AT, known);
      const plan: Plan | null = made?.ok ? made.plan : null;
      return drawingsOf(family, survey, plan);
    });
    const path = join(FOLDER, `${family}.svg`);
    const sheet = sheetOf(rows);
    if (isApproved) writeFileSync(path, sheet);
    expect(sheet).toBe(readFileSync(path, 'utf8'));
  },
);
