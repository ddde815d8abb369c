import { tradeAt } from '../../trade/trade';
import { t } from '../../text/text';
import { z } from 'zod';
import { m } from '../../message/message';
import { closingGroups, commonShape, commonUsual } from '../../survey/common';
import { demandOf } from '../../survey/demand';
import type { RouteCondition } from '../../survey/refusal';
import { surveyOf } from '../../family/family';
import { amount, choice, flag, schemasOf, type DamageShape } from '../../survey/fields';
import { body, depth, grownArea, length, parentOf, pathsOf, wall, width } from '../../survey/parts';

const spot = {
  lengthMm: length(3000),
  widthMm: width(2000),
  depthMm: depth(20),
  wallMm: wall(t('Panel thickness'), 120),
};
const film = {
  lengthMm: length(3000),
  widthMm: width(2000),
  filmUm: amount('thinFilm', {
    label: t('Film thickness'),
    why: t('It sets the coats.'),
    min: 10,
    max: 2000,
    step: 10,
  }),
  wallMm: wall(t('Panel thickness'), 120),
};
const shapes: DamageShape[] = [
  {
    shape: 'spot',
    title: t('Eroded spot'),
    hint: t('film and filler gone'),
    named: t('eroded panel'),
    typical: { lengthMm: 180, widthMm: 60, depthMm: 1.5, wallMm: 12 },
    fields: spot,
  },
  {
    shape: 'film',
    title: t('Film gone'),
    hint: t('topcoat only'),
    named: t('bare panel'),
    typical: { lengthMm: 300, widthMm: 120, filmUm: 150, wallMm: 3 },
    fields: film,
  },
];
const Damage = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('spot'), ...schemasOf(spot) }),
  z.strictObject({ shape: z.literal('film'), ...schemasOf(film) }),
]);

const parentFields = parentOf(
  ['grp', 'coated-sheet', 'carbon-steel', 'stainless'],
  t('Panel'),
  t('Only the solvent the film stands may touch it.'),
);
const panelFields = {
  fibre: choice(
    ['covered', 'showing', 'cut'] as const,
    { covered: t('Not to be seen'), showing: t('Showing'), cut: t('Cut') },
    { label: t('Fibre'), why: t('Cut fibre is strength gone, not looks.') },
  ),
  turns: flag({
    label: t('It turns or carries load'),
    why: t('A blade or a rotor is its maker’s.'),
  }),
  erodes: flag({ label: t('Rain or grit beats on it'), why: t('A leading edge wears.') }),
};

/** The most damages one repair takes. */
export const MOST_DAMAGES = 12;

export const PanelSurvey = z.strictObject({
  family: z.literal('F14'),
  ...commonShape,
  damages: z.array(Damage).min(1).max(MOST_DAMAGES),
  parent: z.strictObject(schemasOf(parentFields)),
  panel: z.strictObject(schemasOf(panelFields)),
});
export type PanelSurvey = z.infer<typeof PanelSurvey>;

/** What an engineer inspects before filling: visible fibre, and a place that goes deep into the panel. */
function looked({ damages, panel }: PanelSurvey, deepShare: number): RouteCondition[] {
  const deep = damages.some((d) => d.shape === 'spot' && d.depthMm > d.wallMm * deepShare);
  const because =
    panel.fibre === 'showing'
      ? m('Fibre shows: whether strength is hurt is for an engineer to say.')
      : m('It goes through more than half of the panel: that is strength, not looks.');
  const condition = m('a structural engineer approves it');
  return panel.fibre === 'showing' || deep
    ? [{ id: 'laminate', condition, because, who: 'structural-engineer' }]
    : [];
}

export const panelSurvey = surveyOf({
  id: 'F14',
  title: t('Composite panel, coated sheet'),
  hint: t('film and spot repairs'),
  kinds: ['panel', 'cowl'],
  shapes,
  groups: [
    { id: 'parent', title: t('The panel'), fields: parentFields },
    { id: 'panel', title: t('What is hurt'), fields: panelFields },
    ...closingGroups,
  ],
  usual: {
    ...commonUsual,
    'panel.fibre': 'covered',
    'panel.turns': 'no',
    'panel.erodes': 'no',
    'surface.slope': 'vertical',
  },
  schema: PanelSurvey,
  demand: (survey, site) => {
    const { fibre, turns, erodes } = survey.panel;
    const longestMm = Math.max(...survey.damages.map((d) => d.lengthMm));
    return demandOf(survey, site, {
      needed: 'handle',
      bodies: survey.damages.map((d, i) => {
        const depthMm = d.shape === 'spot' ? d.depthMm : d.filmUm / 1000;
        return body(d.shape === 'spot' ? t('Spot') : t('Film'), {
          shape: { kind: 'slab', lengthMm: d.lengthMm, widthMm: d.widthMm, depthMm },
          buildMm: depthMm,
          paths: pathsOf(i, 'lengthMm', 'widthMm', d.shape === 'spot' ? 'depthMm' : 'filmUm'),
        });
      }),
      longestMm,
      prepMm2: survey.damages.reduce((sum, d) => sum + grownArea(d.lengthMm, d.widthMm, 50), 0),
      conditions: looked(survey, tradeAt(site).panel.deepShare),
      refusals:
        fibre === 'cut' || turns
          ? [
              {
                id: 'laminate',
                because: m(
                  fibre === 'cut'
                    ? 'The fibre is cut: its strength is gone, and a filler does not bring it back.'
                    : 'It turns or carries load: its maker’s repair, not a spot repair.',
                ),
                who: 'structural-engineer',
              },
            ]
          : [],
      service: { medium: 'water', mediumC: 40, wear: erodes ? 'erosion' : 'none' },
    });
  },
});
