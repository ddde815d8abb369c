import {
  makePlan,
  matchAll,
  SiteSettings,
  TRADE_CONSTANTS,
  TRADE_IDS,
  tradeAt,
  USUAL_TRADE,
  word,
} from '@kelmot/core';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { siteSettings, systemCards } from '../src/index';
import { surveyed } from './surveyed';

const CORE = join(__dirname, '../../core/src');

/** The source of core without the registry itself. */
const source = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.startsWith('trade/'))
  .map((file) => readFileSync(join(CORE, file), 'utf8'))
  .join('\n');

test('every constant of the trade has a unit, a source, a reason, and a use in core', () => {
  for (const id of TRADE_IDS) {
    const [group = '', name = ''] = id.split('.');
    const constant = (TRADE_CONSTANTS as Record<string, Record<string, object>>)[group]?.[name];
    expect([id, constant]).toEqual([
      id,
      {
        value: expect.any(Number),
        unit: expect.stringMatching(/./),
        source: expect.stringMatching(/./),
        reason: expect.stringMatching(/\.$/),
      },
    ]);
  }
  const unused = TRADE_IDS.map((id) => id.split('.')).filter(
    ([group, name]) =>
      // The rates of preparation are read by the kind of surface.
      group !== 'prepRate' && !new RegExp(`\\b${name}\\b`).test(source),
  );
  expect(unused).toEqual([]);
});

test('a site’s own figure takes the place of the usual one; the others stay', () => {
  const trade = tradeAt({ trade: { 'flange.closeMin': 20 } });
  expect(trade.flange).toEqual({ ...USUAL_TRADE.flange, closeMin: 20 });
  expect({ ...trade, flange: null }).toEqual({ ...USUAL_TRADE, flange: null });
  expect(tradeAt({})).toBe(USUAL_TRADE);
});

test('a figure that core does not know, or a negative one, is refused by its name', () => {
  const said = (trade: object) =>
    SiteSettings.safeParse({ ...siteSettings, trade }).error?.issues.map((i) => i.path.join(' '));
  expect(said({ 'flange.closeMin': 20 })).toBeUndefined();
  expect(said({ 'flange.closeMin': -1 })).toEqual(['trade flange.closeMin']);
  expect(said({ 'flange.opens': 3 })).toEqual(['trade']);
});

test('a plan is made with the figures of its site', () => {
  const flange = surveyed('F1', {});
  const card = matchAll(flange, systemCards, { site: siteSettings }).find(
    (found) => found.verdict !== 'no',
  )?.card;
  if (!card) throw new Error('no card fits a flange');
  const closing = (trade?: SiteSettings['trade']) => {
    const made = makePlan(flange, card, {
      site: { ...siteSettings, trade },
      madeAt: '2026-11-24T08:00:00Z',
    });
    if (!made.ok) throw new Error(word(made.why));
    return made.plan.steps.find((s) => s.name === 'close')?.minutes ?? NaN;
  };
  const { closeMin } = USUAL_TRADE.flange;
  expect(closing({ 'flange.closeMin': closeMin + 9 })).toBeCloseTo(closing() + 9, 6);
});
