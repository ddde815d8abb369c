import {
  families,
  matchAll,
  previewFigures,
  word,
  YEAR_DAYS,
  type CardMatch,
  type Figure,
} from '@kelmot/core';
import { plainSurvey } from '../src/plain';
import { siteSettings, systemCards } from '../src/index';
import { known } from './surveyed';
import { AT } from './surveys';

interface Shown {
  name: string;
  match: CardMatch;
  figures: Record<string, Figure>;
}

/** Every card for an ordinary survey of every shape, with Match's figures. */
const shown: Shown[] = families().flatMap(({ id: family, shapes }) =>
  shapes.flatMap(({ shape }) => {
    const { survey } = plainSurvey({ family, shapes: [shape], startAt: AT, costPerHour: 100 });
    if (!survey) throw new Error(`${family} ${shape}`);
    return matchAll(survey, systemCards, { site: siteSettings, context: known }).map((match) => ({
      name: `${family} ${shape} ${match.card.code}`,
      match,
      figures: previewFigures(match, 'metric'),
    }));
  }),
);
const each = (look: (of: Shown) => void): void => {
  expect(shown.length).toBeGreaterThan(100);
  for (const one of shown)
    try {
      look(one);
    } catch (error) {
      throw new Error(`${one.name}: ${String(error)}`);
    }
};
const closeTo = (x: number) => expect.closeTo(x, 6);

test('each figure of a match is named by its card, with its working', () =>
  each(({ match, figures }) => {
    for (const [key, { id, label, working }] of Object.entries(figures)) {
      expect(id).toBe(`${match.card.code}.${key}`);
      expect(label).not.toBe('');
      expect(working.length).toBeGreaterThan(0);
    }
  }));

test('life, time and money are those of the ranking', () => {
  let [dear, late] = [0, 0];
  each(({ match, figures }) => {
    const { lifeDays, totalCost, serviceMin, readyMin, besides, card } = match;
    expect(figures.life).toMatchObject({ value: lifeDays * 1440, quantity: 'time' });
    expect(figures.life?.working).toEqual([
      expect.objectContaining({ value: lifeDays, unit: 'd', source: `card ${card.code}` }),
    ]);
    if (serviceMin !== null) {
      expect(figures.ready?.value).toBeCloseTo(serviceMin, 6);
      const sum = figures.ready?.working.slice(-2).map((l) => [l.value, l.unit]);
      if (besides.minutes === 0) expect(serviceMin).toBeCloseTo(readyMin ?? NaN, 6);
      else {
        late += 1;
        expect(sum).toEqual([
          [closeTo(serviceMin - (readyMin ?? NaN)), 'min'],
          [closeTo(serviceMin), 'min'],
        ]);
      }
    }
    if (totalCost === null) {
      expect([figures.cost, figures.year]).toEqual([undefined, undefined]);
      return;
    }
    dear += 1;
    const parts = [match.materialCost, match.workCost, besides.cost, match.downtimeCost];
    const year = (totalCost / lifeDays) * YEAR_DAYS;
    expect(figures.cost).toMatchObject({ value: totalCost, quantity: 'money' });
    expect(figures.cost?.working.map((l) => l.value)).toEqual(
      [...parts, totalCost].map((x) => x ?? 0),
    );
    expect(parts.reduce((sum: number, x) => sum + (x ?? 0), 0)).toBeCloseTo(totalCost, 6);
    expect(figures.year).toMatchObject({ value: closeTo(year), quantity: 'money' });
    expect(figures.year?.working.slice(-2).map((l) => [l.value, l.unit])).toEqual([
      [lifeDays, 'd'],
      [closeTo(year), siteSettings.currency],
    ]);
  });
  expect(Math.min(dear, late)).toBeGreaterThan(5);
});

/** Rules that judge plan results: their figures end their workings. */
const ENDS = ['window', 'thickness', 'batches', 'ambient'];

test('a measuring rule shows its figure beside its limit, at the end of its working', () => {
  const seen = new Set<string>();
  each(({ match, figures }) => {
    for (const { rule, against, because } of match.judged) {
      const figure = figures[`rule.${rule.id}`];
      if (!against) {
        expect(figure).toBeUndefined();
        continue;
      }
      seen.add(`${rule.id} ${against.sense}`);
      expect(figure).toMatchObject({
        label: rule.name,
        value: against.value,
        quantity: against.quantity,
      });
      const ends = ENDS.includes(rule.id) && match.job().laid.ok;
      expect([rule.id, (figure?.working.length ?? 0) > 2]).toEqual([rule.id, ends]);
      const [limit, found] = figure?.working.slice(-2) ?? [];
      expect(limit).toMatchObject({
        label: against.sense === 'max' ? 'most' : 'least',
        expression: rule.question,
        value: against.limit,
        source: rule.id === 'window' ? 'survey' : `card ${match.card.code}`,
      });
      expect(found).toMatchObject({
        label: rule.name.toLowerCase(),
        expression: word(because),
        value: against.value,
        source: ends ? 'from above' : 'survey',
      });
    }
  });
  expect([...seen].map((s) => s.split(' ')[1])).toEqual(expect.arrayContaining(['max', 'min']));
  for (const id of ENDS) expect([...seen].join()).toContain(id);
});
