import {
  families,
  judge,
  makePlan,
  matchAll,
  sentence,
  USUAL_TRADE,
  word,
  type CardMatch,
  type Plan,
  type Survey,
  stepWords,
} from '@kelmot/core';
import fc from 'fast-check';
import { siteSettings, systemCards } from '../src/index';
import { base, card, known, surveyed } from './surveyed';
import { AT, surveys } from './surveys';

const planOf = ({ work, card: own }: CardMatch): Plan => {
  const made = makePlan(work.survey as Survey, own, {
    site: siteSettings,
    madeAt: AT,
    context: known,
  });
  if (!made.ok) throw new Error(`${own.code}: ${word(made.why)}`);
  return made.plan;
};
const ticked = (plan: Plan) => plan.steps.find((s) => s.name === 'conditions');

/**
 * How each condition of a fitting card is met: approved by name, done by a step, an early look, or a tick with its own
 * minutes.
 */
function met(match: CardMatch): number {
  const plan = planOf(match);
  const names = new Set<string>(plan.steps.map((s) => s.name));
  const approvers = plan.steps.flatMap((s) => (s.hold?.kind === 'approval' ? [s.hold.who] : []));
  const tick = ticked(plan);
  const said = tick ? stepWords(tick) : '';
  let byHand = 0;
  for (const { rule, verdict, who, early, steps, condition } of match.judged) {
    if (verdict !== 'if' || !condition) continue;
    const seen = [plan.survey.family, match.card.code, rule.id, word(condition)];
    if (who) expect([...seen, approvers.includes(who)]).toEqual([...seen, true]);
    else if (early) expect(plan.nextLookDays).toBeLessThan(usualLook(plan));
    else if (!steps || !steps.every((s) => names.has(s))) {
      byHand += 1;
      expect([...seen, said]).toEqual([...seen, expect.stringContaining(sentence(condition))]);
    }
  }
  expect(tick?.minutes ?? 0).toBe(byHand * siteSettings.termMinutes);
  // Match says the plan's time, with all conditions met by hand.
  expect(match.readyMin).toBeCloseTo(plan.readyMin, 6);
  expect(plan.labourMin * (siteSettings.labourPerHour / 60)).toBeLessThanOrEqual(
    (match.workCost ?? 0) + 1e-6,
  );
  return byHand;
}
const usualLook = ({ survey }: Plan): number =>
  families()
    .find((f) => f.id === survey.family)
    ?.method.nextLookDays(USUAL_TRADE)[survey.intent] ?? NaN;

test('for any survey, every condition is met in the plan, in the minutes that Match counts', () => {
  let byHand = 0;
  for (const { id } of families())
    for (const survey of fc.sample(surveys(id), { numRuns: 25, seed: 23 }))
      for (const match of survey
        ? matchAll(survey, systemCards, { site: siteSettings, context: known })
        : [])
        if (match.verdict === 'if') byHand += met(match);
  expect(byHand).toBeGreaterThan(10);
});

const matched = (survey: Survey, code: string): CardMatch => {
  const [match] = matchAll(survey, [card(code)], { site: siteSettings, context: known });
  if (!match) throw new Error(code);
  return match;
};
const second = (match: CardMatch) => match.judged.find((j) => j.rule.id === 'seconds');

test('a condition of a second material is a condition of the card that needs it', () => {
  const open = matched(base.get('F14') as Survey, 'X-840');
  expect([open.verdict, second(open)?.verdict]).toEqual(['fits', 'fits']);
  expect(ticked(planOf(open))).toBeUndefined();
  // The paste has no solvent, its topcoat has.
  const zone = matched(surveyed('F14', { 'site.area': 'zone-2', 'site.tools': 'hand' }), 'X-840');
  const found = second(zone);
  expect(found && [found.verdict, word(found.because)]).toEqual([
    'if',
    'X-850: Its vapour burns, and this is zone 2.',
  ]);
  const tick = ticked(planOf(zone));
  expect(tick && stepWords(tick)).toBe('The air is tested for gas before and during its use.');
});

test('a condition of both materials in the same words is asked once', () => {
  const paste = card('X-840');
  const beside = surveyed('F14', { 'site.nearby': 'plastic' });
  const asks = (own: typeof paste) =>
    judge(beside, own, { site: siteSettings, context: known }).judged.flatMap(
      ({ rule, verdict }) => (verdict === 'if' ? [rule.id] : []),
    );

  expect(asks(paste)).toEqual(['seconds']);
  expect(asks({ ...paste, spoils: ['plastic'] })).toEqual(['nearby']);
});

test('a dry surface is required where a film is laid: on the layer below, not on the damp floor', () => {
  const damp = matched(surveyed('F9', { 'surface.damp': 'damp' }), 'C-645');
  expect(second(damp)?.verdict).toBe('fits');
});

test('a hot surface is cooled by hand: no step does it, and it takes its time', () => {
  const hot = matched(surveyed('F16', { 'readings.surfaceC': 36 }), 'S-710');
  expect([hot.verdict, hot.judged.find((j) => j.rule.id === 'ambient')?.steps]).toEqual([
    'if',
    undefined,
  ]);
  expect(met(hot)).toBeGreaterThan(0);
  const said = ticked(planOf(hot));
  expect(said && stepWords(said)).toMatch(/The surface is cooled to \d+ °C\./);
});

test('a card with post-cure is heated in every family', () => {
  const hot = { ...card('R-240'), families: ['F3'] };
  const survey = surveyed('F3', { 'load.serviceC': 90, 'window.downMin': 20_000 });
  const match = judge(survey, hot, { site: siteSettings, context: known });
  expect(match.judged.find((j) => j.rule.id === 'heat')?.verdict).toBe('if');
  const draft = match.job().draft.steps.map((s) => s.name);
  expect(draft).toContain('post-cure');
  expect(draft.indexOf('post-cure')).toBeLessThan(draft.indexOf('look'));
});
