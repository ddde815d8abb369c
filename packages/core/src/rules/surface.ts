import { t } from '../text/text';
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
import { m } from '../message/message';
import { bestGrade, gradeReached, type Work } from '../work/work';
import { ambientRule } from './ambient';
import { fits, fitsIf, no, relaxCommon, type Rule } from './rule';

/**
 * The plug that the job would use, if it sets in water: once it stops the leak, the wrapped surface can be dried. Its
 * code; null if there is none, or it does not resist the leak.
 */
function wetPlug({ demand, schools, card, second }: Work): string | null {
  const leaks = demand.wrap?.defects.some((d) => d.kind === 'hole') ?? false;
  if (!leaks || schools.plug === 'wrap') return null;
  const { longestMm } = demand;
  const plug = second({ purpose: 'plug', wetted: true, longestMm, under: card });
  const setsInWater = DAMP.indexOf(plug.card.damp) >= DAMP.indexOf('wet');
  return setsInWater && !plug.problem ? plug.card.code : null;
}

/** Whether it bonds to this substrate, prepared with these tools, at this dampness, in this air. */
export const surfaceRules: Rule[] = [
  {
    id: 'substrate',
    name: t('What it is on'),
    question: t('Does it hold on this?'),
    judge: ({ card, demand }) => {
      const name = SUBSTRATE_NAMES[demand.material].toLowerCase();
      return card.substrates.some((s) => s.material === demand.material)
        ? fits(() => m('The card names {name}.', { name }))
        : no(() => m('The card does not name {name}.', { name }));
    },
  },
  {
    id: 'prep',
    name: t('Prep'),
    question: t('Can the grade it needs be reached with the tools and the area?'),
    judge: (work) => {
      const { survey, grade, demand } = work;
      if (!grade) return no(t('No prep grade on the card for this.'));
      const kind = prepKindOf(demand.material);
      const { tools, area } = survey.site;
      const given = {
        intent: INTENT_NAMES[survey.intent],
        grade,
        what: GRADE_NAMES[grade],
        tools: TOOL_NAMES[tools].toLowerCase(),
        many: TOOL_NAMES[tools].endsWith('s') ? 'yes' : 'no',
        area: AREA_NAMES[area],
        best: bestGrade(work),
      };
      if (gradeReached(work, grade))
        return fits(() =>
          m(
            '{intent} asks {grade}, {what}; {tools} {many, select, yes {reach} other {reaches}} it.',
            given,
          ),
        );
      const able = TOOLS.filter((t) => gradeRank(TOOL_REACH[t].grades[kind]) >= gradeRank(grade));
      const safe = able.find((t) => !TOOL_REACH[t].sparks);
      if (area !== 'safe')
        return no(
          () => m('{intent} asks {grade}, {what}. {area} allows no sparks and no blasting.', given),
          {
            relax: safe
              ? relaxCommon(
                  'site.tools',
                  safe,
                  m('Would with {tools}.', { tools: TOOL_NAMES[safe].toLowerCase() }),
                )
              : TOOL_REACH[tools].sparks && able.includes(tools)
                ? relaxCommon('site.area', 'safe', m('Would with a gas-free permit.'))
                : undefined,
          },
        );
      const tool = able[0];
      return no(
        () =>
          m(
            '{intent} asks {grade}, {what}; {tools} {many, select, yes {reach} other {reaches}} {best}.',
            given,
          ),
        {
          relax:
            tool &&
            relaxCommon(
              'site.tools',
              tool,
              m('Would with {tools}.', { tools: TOOL_NAMES[tool].toLowerCase() }),
            ),
        },
      );
    },
  },
  {
    id: 'damp',
    name: t('Damp'),
    question: t('Does it hold on a surface as damp as this?'),
    judge: (work) => {
      const { card, survey } = work;
      const given = {
        got: DAMP_NAMES[survey.surface.damp].toLowerCase(),
        most: DAMP_NAMES[card.damp].toLowerCase(),
      };
      if (DAMP.indexOf(survey.surface.damp) <= DAMP.indexOf(card.damp))
        return fits(() => m('Holds on a {got} surface.', given));
      const because = () =>
        m(
          'It holds {most, select, dry {on a dry surface only} other {up to a {most} surface}}; this one is {got}.',
          given,
        );
      if (survey.surface.damp === 'damp')
        return fitsIf(t('the surface is dried first'), because, { steps: ['dry'] });
      const plug = survey.surface.damp === 'wet' ? wetPlug(work) : null;
      if (plug)
        return fitsIf(
          () =>
            m(
              '{plug} stops it wet, and what is wrapped is then {most, select, dry {dry} other {no more than {most}}}',
              { plug, ...given },
            ),
          because,
          { steps: ['dry'] },
        );
      return no(because, {
        relax: relaxCommon('surface.damp', card.damp, m('Would if {most}.', given)),
      });
    },
  },
  ambientRule,
];
