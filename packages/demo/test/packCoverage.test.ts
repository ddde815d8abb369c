import { families, familyOf, packCoverage, makePlan, type FamilyId } from '@kelmot/core';
import { demoCards, plainSurvey, siteSettings, systemCards } from '../src/index';
import { card } from './surveyed';

const AT = '2026-11-25T08:00:00Z';
const asked = (
  code: string,
  packId: string,
  family: string,
  shape: string,
  sizes: Record<string, string>,
) =>
  packCoverage({
    card: card(code),
    packId,
    family,
    shape,
    sizes,
    units: 'metric',
    site: siteSettings,
    library: demoCards,
  });

test('a paste by the pocket: the inverse of a plan', () => {
  const sizes = { lengthMm: '200', widthMm: '100', depthMm: '5', wallMm: '30' };
  const far = asked('R-210', 'R-210/1000', 'F2', 'flat', sizes);
  if (!far.ok) throw new Error(far.why);
  const { survey } = plainSurvey({
    family: 'F2',
    shapes: ['flat'],
    startAt: AT,
    answers: Object.fromEntries(
      Object.entries(sizes).map(([k, x]) => [`damages.0.${k}`, `${x} mm`]),
    ),
  });
  const made =
    survey &&
    makePlan(survey, card('R-210'), {
      site: siteSettings,
      madeAt: AT,
      context: { library: demoCards },
    });
  const drawn = made?.ok ? made.plan.supplies.find((s) => s.code === 'R-210')?.amount : undefined;
  expect(far.each).toBeCloseTo(drawn ?? NaN, 6);
  expect(far.count).toBe(Math.floor(385 / far.each));
  expect(far.lengthMm).toBeCloseTo((200 * 385) / far.each, 6);
  expect(far.areaMm2).toBeCloseTo((200 * 100 * 385) / far.each, 6);
  expect(far.working.at(-1)).toMatchObject({ symbol: 'n', value: far.count });
});

test('of a whole cartridge only the placed part counts: the rest does the next crack', () => {
  const { packs } = card('C-620');
  const far = (lengthMm: string) => {
    const answer = asked('C-620', packs[0]?.id ?? '', 'F8', 'crack', {
      lengthMm,
      widthMm: '3',
      depthMm: '20',
    });
    if (!answer.ok) throw new Error(answer.why);
    return answer;
  };
  const [short, long] = [far('300'), far('600')];
  expect(short.each).toBeLessThan((packs[0]?.size ?? 0) / 2);
  expect(short.count).toBeGreaterThan(2);
  // By length it goes equally far in short and long cracks.
  expect((short.lengthMm ?? 0) / (long.lengthMm ?? 1)).toBeCloseTo(1, 1);
});

test('a wrap is counted in its own tape, whatever width is cheapest', () => {
  for (const pack of card('W-310').packs) {
    const far = asked('W-310', pack.id, 'F4', 'pinhole', {
      diameterMm: '4',
      outsideDiameterMm: '60.3',
      wallMm: '4',
    });
    if (!far.ok) throw new Error(far.why);
    expect(far.quantity).toBe('run');
    expect(far.count).toBe(Math.floor((pack.size * 1000) / far.each + 1e-9));
  }
});

test('twice the pack goes twice as far; half the depth goes further', () => {
  const of = (packId: string, depthMm: string) => {
    const far = asked('R-210', packId, 'F2', 'flat', {
      lengthMm: '200',
      widthMm: '100',
      depthMm,
      wallMm: '30',
    });
    if (!far.ok || far.areaMm2 === null) throw new Error('no area');
    return far.areaMm2;
  };
  const size = (id: string) => card('R-210').packs.find((p) => p.id === id)?.size ?? NaN;
  expect(of('R-210/1000', '6') / of('R-210/500', '6')).toBeCloseTo(
    size('R-210/1000') / size('R-210/500'),
    9,
  );
  expect(of('R-210/500', '3')).toBeGreaterThan(1.8 * of('R-210/500', '6'));
});

test('an unreadable size is named, and every card answers for every damage that it repairs', () => {
  const bad = asked('R-210', 'R-210/500', 'F2', 'flat', { lengthMm: 'x' });
  expect(bad).toMatchObject({ ok: false, why: expect.stringMatching(/^Length cannot be read/) });
  expect(asked('R-210', 'no such', 'F2', 'flat', {})).toMatchObject({ ok: false });
  let answers = 0;
  for (const { id } of families())
    for (const c of systemCards.filter((s) => s.families.includes(id)))
      for (const { shape, typical } of familyOf(id).shapes) {
        const sizes = Object.fromEntries(Object.entries(typical).map(([k, x]) => [k, String(x)]));
        const far = asked(c.code, c.packs[0]?.id ?? '', id as FamilyId, shape, sizes);
        if (!far.ok) continue;
        answers += 1;
        expect(far.each).toBeGreaterThan(0);
        expect(Number.isFinite(far.count)).toBe(true);
      }
  expect(answers).toBeGreaterThan(60);
});
