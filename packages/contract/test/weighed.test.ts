import { planBatches, word } from '@kelmot/core';
import { weighedFor, scaleText } from '../src/index';
import { planOf } from './view';

const plan = planOf();
const [batch] = planBatches(plan);
if (!batch) throw new Error('nothing is mixed');

/** The scale's text for these masses, g, in either unit system. */
function said(aG: number | null, bG: number | null, units: 'metric' | 'us' = 'metric') {
  const on = weighedFor(plan, batch?.no ?? 0, { aG, bG });
  if (!on || !batch) throw new Error('nothing is weighed');
  const { good, say } = scaleText(on.weigh, batch, { pour: { aG, bG }, found: on.found });
  return [good, word(say, units)];
}

test("first what to weigh is shown, in the reader's units", () => {
  expect(said(null, null)).toEqual([true, 'Weigh 322 g base, 40.2 g hardener.']);
  expect(said(322, null)).toEqual(said(null, null));
  expect(said(null, null, 'us')).toEqual([true, 'Weigh 11.3 oz base, 1.42 oz hardener.']);
});

test('then whether the ratio is right; a bigger batch has a shorter working life', () => {
  expect(said(322, 40.25)).toEqual([true, 'Ratio OK. Exact.']);
  expect(said(322, 40)).toEqual([true, 'Ratio OK. Hardener 0.6 % short.']);
  expect(said(322, 40.5)).toEqual([true, 'Ratio OK. Hardener 0.6 % over.']);
  expect(said(400, 50)).toEqual([
    true,
    'Ratio OK. Exact. More than planned: the working life is shorter.',
  ]);
});

test('off ratio: the short part and what to add', () => {
  expect(said(322, 30)).toEqual([
    false,
    'Wrong ratio. Hardener 25 % short; 3 % is the most. Add 10.3 g hardener.',
  ]);
  expect(said(300, 40.25)).toEqual([
    false,
    'Wrong ratio. Hardener 7.3 % over; 3 % is the most. Add 22 g base.',
  ]);
  expect(said(300, 40.25, 'us')[1]).toMatch(/Add 0\.776 oz base\.$/);
});
