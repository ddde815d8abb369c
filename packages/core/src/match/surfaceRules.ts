import {
  gradeRank,
  GRADE_NAMES,
  prepKindOf,
  SUBSTRATE_NAMES,
  TOOLS,
  TOOL_NAMES,
  TOOL_REACH,
} from '../materials/substrates';
import { AREA_NAMES, DAMP, DAMP_NAMES, INTENT_NAMES } from '../materials/words';
import { bestGrade, gradeReached } from '../plan/workUp';
import { ambientRule } from './ambientRule';
import { fits, fitsIf, no, type Rule } from './rule';

/** Whether it holds on this metal, cleaned with these tools, as damp as it is, in this air. */
export const surfaceRules: Rule[] = [
  {
    id: 'substrate',
    name: 'What it is on',
    question: 'Does it hold on this?',
    judge: ({ card, demand }) => {
      const name = SUBSTRATE_NAMES[demand.material].toLowerCase();
      return card.substrates.some((s) => s.material === demand.material)
        ? fits(() => `The card names ${name}.`)
        : no(() => `The card does not name ${name}.`);
    },
  },
  {
    id: 'prep',
    name: 'Prep',
    question: 'Can the grade it needs be reached with the tools and the area?',
    judge: (work) => {
      const { survey, grade, demand } = work;
      if (!grade) return no('No prep grade on the card for this.');
      const kind = prepKindOf(demand.material);
      const needs = () => `${INTENT_NAMES[survey.intent]} asks ${grade}, ${GRADE_NAMES[grade]}`;
      if (gradeReached(work, grade))
        return fits(() => `${needs()}; ${TOOL_NAMES[survey.site.tools].toLowerCase()} reach it.`);
      if (survey.site.area !== 'safe') {
        return no(
          () => `${needs()}. ${AREA_NAMES[survey.site.area]} allows no sparks and no blasting.`,
          {
            relax: { say: 'Would with a gas-free permit.', path: 'site.area', text: 'safe' },
          },
        );
      }
      const tool = TOOLS.find((t) => gradeRank(TOOL_REACH[t].grades[kind]) >= gradeRank(grade));
      const best = bestGrade(work);
      return no(() => `${needs()}; ${TOOL_NAMES[survey.site.tools].toLowerCase()} reach ${best}.`, {
        relax: tool && {
          say: `Would with ${TOOL_NAMES[tool].toLowerCase()}.`,
          path: 'site.tools',
          text: tool,
        },
      });
    },
  },
  {
    id: 'damp',
    name: 'Damp',
    question: 'Does it hold on a surface as damp as this?',
    judge: ({ card, survey }) => {
      const got = DAMP_NAMES[survey.surface.damp].toLowerCase();
      const most = DAMP_NAMES[card.damp].toLowerCase();
      if (DAMP.indexOf(survey.surface.damp) <= DAMP.indexOf(card.damp))
        return fits(() => `Holds on a ${got} surface.`);
      if (survey.surface.damp === 'damp')
        return fitsIf('the surface is dried first', () => `Needs it ${most}; it is ${got}.`);
      return no(() => `Needs it ${most}; it is ${got}.`, {
        relax: { say: `Would if ${most}.`, path: 'surface.damp', text: card.damp },
      });
    },
  },
  ambientRule,
];
