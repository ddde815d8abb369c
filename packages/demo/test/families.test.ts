import {
  demandOfSurvey,
  drawSection,
  families,
  familyOf,
  familiesFor,
  makePlan,
  matchAll,
  readDraft,
  schoolsOf,
  chosenSchools,
  surveyLines,
  surveyTitle,
  word,
  type Damage,
  type FamilyId,
  type Survey,
  type SurveyDraft,
  stepWords,
} from '@kelmot/core';
import { demoCards, demoSurvey, siteSettings, surveyedRepairs, systemCards } from '../src/index';
import { card, known, surveyed } from './surveyed';

const AT = '2026-11-24T06:00:00Z';
const options = {
  width: 358,
  height: 230,
  system: 'metric' as const,
  tag: 'X-1',
  medium: null,
  edgeMm: 3,
  label: 'R-100',
  dimensions: true,
  unknown: [],
};
const everyShape = families().flatMap((f) =>
  f.shapes.map((s) => [`${f.id} ${s.shape}`, f.id as FamilyId, s] as const),
);

test.each(everyShape)(
  '%s is drawn inside its box, with and without layers, and has a description',
  (_, family, shape) => {
    const damage = { shape: shape.shape, ...shape.typical } as Damage;
    const material = familyOf(family).typicalParent;
    for (const layers of [[], ['planned'], ['set', 'wet']] as const) {
      const drawing = drawSection(family, damage, { ...options, material, layers: [...layers] });
      const points = drawing.prims.flatMap((p) =>
        p.kind === 'area' || p.kind === 'line' ? p.points : [],
      );
      expect(points.length).toBeGreaterThan(10);
      for (const [x, y] of points) {
        expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true);
        expect(x >= -1 && x <= 359 && y >= -1 && y <= 231).toBe(true);
      }
      expect(drawing.describe).toMatch(/^Section of .+\.$/);
      expect(drawing.title[1]?.value).toMatch(/^mm(, (depth|width) ×\d+)?$/);
    }
    const open = drawSection(family, damage, {
      ...options,
      material,
      layers: [],
      unknown: Object.keys(shape.typical),
    });
    expect(open.prims.some((p) => 'text' in p && p.text.includes('?'))).toBe(true);
  },
);

test.each(everyShape)(
  '%s: usual and typical answers make a survey; an empty one names what is missing',
  (_, family, shape) => {
    const { usual, groups } = familyOf(family);
    const texts: Record<string, string> = {
      ...usual,
      'site.tools': 'blast',
      'window.downMin': '40 h',
    };
    for (const [key, x] of Object.entries(shape.typical)) texts[`damages.0.${key}`] = String(x);
    for (const g of groups)
      for (const [key, field] of Object.entries(g.fields)) {
        const path = `${g.id}.${key}`;
        if (texts[path] !== undefined) continue;
        if (field.kind === 'choice') texts[path] = field.options[0]?.value ?? '';
        if (field.kind === 'quantity')
          texts[path] = String(Math.min(Math.max(20, field.min), field.max));
      }
    const draft: SurveyDraft = {
      family,
      intent: 'lasting',
      startAt: AT,
      asset: { id: null, tag: 'X-1', name: 'Thing', position: '', costPerHour: 0 },
      shapes: [shape.shape],
      texts,
    };
    const { survey, issues } = readDraft(draft, 'metric');
    expect(issues.filter((i) => !i.path.startsWith('damages'))).toEqual([]);
    if (survey) {
      expect(surveyTitle(survey)).toBe(shape.named);
      const demand = demandOfSurvey(survey, siteSettings);
      expect(demand.longestMm).toBeGreaterThan(0);
      expect(demand.prepMm2).toBeGreaterThan(0);
      expect(surveyLines(survey, 'us').every((l) => l.text !== '')).toBe(true);
    }
    const empty = readDraft({ ...draft, texts: {} }, 'metric');
    expect(empty.survey).toBeNull();
    expect(empty.issues.length).toBeGreaterThan(3);
  },
);

const demand = (tag: string) => {
  const found = surveyedRepairs.find((r) => r.tag === tag);
  if (!found) throw new Error(tag);
  return demandOfSurvey(demoSurvey(tag, null, AT, found.survey), siteSettings);
};

test('demands by hand: a flange ring, a low-pressure wrap, a yard over sand, a wall, a juice floor', () => {
  expect(demand('JH-2')).toMatchObject({ pressureBar: 4, longestMm: 410, needed: 'chemical' });
  expect(demand('JH-2').bodies[0]?.shape).toEqual({
    kind: 'ring',
    outerMm: 410,
    innerMm: 268,
    depthMm: 4,
  });
  // The plug has three times the hole's volume; the wrap extends 100 mm beyond it on both sides.
  expect(demand('CP-08').bodies[0]?.shape).toEqual({ kind: 'disc', diameterMm: 15, depthMm: 5 });
  expect(demand('CP-08').wrap).toMatchObject({ engineered: false, extentMm: 100, pressureBar: 3 });
  expect(demand('JP-31').wrap).toMatchObject({
    engineered: true,
    designC: 72,
    defects: [{ kind: 'hole', diameterMm: 22 }],
  });
  // Resin to the working depth, sand below.
  expect(demand('YD-1').bodies.map((b) => b.buildMm)).toEqual([40, 40]);
  expect(demand('YD-1').crack).toEqual({
    widthMm: 40,
    widthsMm: [26, 40],
    stepMm: 0,
    wheels: false,
    panelLengthM: 8,
    swingC: 12,
  });
  expect(demand('BS-4').bodies[0]?.shape).toEqual({
    kind: 'slab',
    lengthMm: 2600,
    widthMm: 300,
    depthMm: 0.6,
  });
  expect(demand('TK-22').service).toMatchObject({ medium: 'mineral-acid', concPct: 12 });
  expect(demand('CB-3')).toMatchObject({
    nearby: 'electronics',
    light: { reaches: true, irradianceWcm2: 0.45 },
  });
});

test('a hole in a belt takes the hole and its overlap, as calculated by hand', () => {
  const [body] = demand('BC-3').bodies;
  if (body?.shape.kind !== 'slab') throw new Error('slab');
  const { lengthMm, widthMm, depthMm } = body.shape;
  const area = (d: number) => (Math.PI * d * d) / 4;
  const cover = (3 / 6) * (area(64 + 150) + 4 * area(64 + 75) + area(64));
  expect((lengthMm * widthMm * depthMm) / 1000).toBeCloseTo((area(64) * 14 + cover) / 1000, 6);
});

test('refusals say why and who; families are offered by kind of asset', () => {
  expect(demand('WL-2').refusals).toEqual([
    expect.objectContaining({ id: 'cords', who: 'tyre-shop' }),
  ]);
  expect(demand('TR-6').refusals).toEqual([]);
  expect(familiesFor('belt')[0]?.id).toBe('F6');
  expect(
    familiesFor('pipe')
      .slice(0, 2)
      .map((f) => f.id),
  ).toEqual(['F4', 'F5']);
  expect(familiesFor(null)).toHaveLength(16);
});

test('schools are asked where they matter, with the usual answer by default', () => {
  const asked = schoolsOf(familyOf('F4').method.schools);
  expect(asked.map((s) => s.id)).toContain('plug');
  expect(schoolsOf(familyOf('F2').method.schools).map((s) => s.id)).not.toContain('plug');
  expect(chosenSchools(asked)).toMatchObject({ clean: 'card', plug: 'plug' });
  expect(chosenSchools(asked, { plug: 'wrap', clean: 'shiny' })).toMatchObject({
    plug: 'wrap',
    clean: 'card',
  });
  for (const s of asked) expect(s.why).toMatch(/\.$/);
});

test('a chosen kind of fill or tyre repair excludes the others, with the reason', () => {
  const verdicts = (tag: string, schools: Record<string, string>) => {
    const found = surveyedRepairs.find((r) => r.tag === tag);
    if (!found) throw new Error(tag);
    const survey = demoSurvey(tag, null, '2026-11-25T08:00:00Z', found.survey);
    return matchAll(survey, systemCards, {
      site: siteSettings,
      context: { schools, library: demoCards },
    }).map((m) => {
      const rule = m.judged.find((j) => j.rule.id === 'chosen');
      return [m.card.code, rule?.verdict, rule && word(rule.because)] as const;
    });
  };
  const allowed = (tag: string, schools: Record<string, string>) =>
    verdicts(tag, schools)
      .filter(([, verdict]) => verdict === 'fits')
      .map(([code]) => code);
  expect(allowed('FL-06', { moving: 'flexible' })).toEqual(['C-680']);
  expect(allowed('FL-06', { moving: 'tied' })).toEqual(['C-640', 'C-645']);
  expect(allowed('FL-06', { moving: 'check' })).toHaveLength(verdicts('FL-06', {}).length);
  expect(verdicts('FL-06', { moving: 'flexible' }).find(([c]) => c === 'C-620')?.[2]).toBe(
    'You chose flexible fill; this one is rigid.',
  );
  expect(allowed('TR-6', { tyre: 'shop' })).toEqual(['T-540']);
  expect(allowed('TR-6', {})).toEqual(['T-510', 'T-540']);
});

test('a machined bore or seat is built up by the machining allowance', () => {
  const across = (shape: 'bore' | 'seat', machined: boolean, machiningMm: number) => {
    const survey = surveyed('F2', { 'parent.machined': machined });
    const round = { shape, finishedDiameterMm: 160, wornDiameterMm: shape === 'bore' ? 163 : 157 };
    const asked = { ...survey, damages: [{ ...round, lengthMm: 52 }] };
    const { bodies } = familyOf('F2').demand(asked as never, { ...siteSettings, machiningMm });
    return (bodies[0]?.shape as { finishedDiameterMm: number }).finishedDiameterMm;
  };
  expect(across('bore', false, 1)).toBe(160);
  expect(across('bore', true, 1)).toBe(158);
  expect(across('bore', true, 2.5)).toBe(155);
  expect(across('seat', true, 1)).toBe(162);
  expect(across('bore', true, 60)).toBe(80);
});

test('a tyre cover shows its strips, end to end where one damage needs several', () => {
  const strips = (...lengthsMm: number[]): string => {
    const survey = surveyed('F7', {});
    const [crack] = survey.damages;
    const damages = lengthsMm.map((lengthMm) => ({ ...crack, lengthMm }));
    const made = makePlan({ ...survey, damages } as Survey, card('T-510'), {
      site: siteSettings,
      madeAt: AT,
      context: known,
    });
    if (!made.ok) throw new Error(word(made.why));
    const said = made.plan.steps.map((s) => stepWords(s)).join(' ');
    return /Cut the strips\. (.*?) Lay/.exec(said)?.[1] ?? said;
  };
  expect(strips(60)).toBe('Number: 1. Width: 120 mm.');
  expect(strips(60, 60)).toBe('Number: 1. Width: 120 mm.');
  expect(strips(120)).toBe('Number: 2. Width: 60 mm.');
  expect(strips(120, 60)).toBe('Number: A: 2; B: 1. Width: A: 60 mm; B: 120 mm.');
});

test('a worn patch of a casing is as long as its longer side, whichever was measured first', () => {
  const longest = (lengthMm: number, widthMm: number) => {
    const survey = surveyed('F2', {});
    const flat = { shape: 'flat', lengthMm, widthMm, depthMm: 3, wallMm: 14 };
    return familyOf('F2').demand({ ...survey, damages: [flat] } as never, siteSettings).longestMm;
  };
  expect([longest(240, 90), longest(90, 240)]).toEqual([240, 240]);
});
