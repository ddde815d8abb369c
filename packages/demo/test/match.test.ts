import {
  atItsLimit,
  ENOUGH_PCT,
  judge,
  marginPct,
  matchAll,
  rank,
  rules,
  weightsOf,
  whatWouldChange,
  whyFirst,
  withChanges,
  word,
  type FamilyId,
  type Verdict,
  type WorkContext,
} from '@kelmot/core';
import { siteSettings, systemCards } from '../src/index';
import { base, card, known, surveyed, type Leaf } from './surveyed';

/** An expert's verdicts, written before any code ran: the job, the card, the question, the verdict. */
const cases: [
  said: string,
  family: FamilyId,
  answers: Record<string, Leaf>,
  code: string,
  rule: string,
  verdict: Verdict,
][] = [
  // Flanges
  ['juice flange at 74 °C, paste good to 80 wet', 'F1', {}, 'R-210', 'heat', 'fits'],
  ['the same at 95 °C', 'F1', { 'service.mediumC': 95 }, 'R-210', 'heat', 'no'],
  [
    'at 95 °C with the paste for heat, post-cured',
    'F1',
    { 'service.mediumC': 95 },
    'R-240',
    'heat',
    'if',
  ],
  ['flange of a 16 bar line', 'F1', { 'joint.pressureBar': 16 }, 'R-210', 'pressure', 'no'],
  ['no good face to copy', 'F1', { 'joint.mateGood': false }, 'R-210', 'route', 'no'],
  [
    'face eaten past a quarter of the flange',
    'F1',
    { 'damages.0.depthMm': 9 },
    'R-210',
    'route',
    'no',
  ],
  ['only hand tools for a lasting face', 'F1', { 'site.tools': 'hand' }, 'R-210', 'prep', 'no'],
  ['blasting in zone 1', 'F1', { 'site.area': 'zone-1' }, 'R-210', 'prep', 'no'],
  // Pumps
  ['lime milk pH 12.6 on the all-rounder', 'F2', {}, 'R-210', 'ph', 'fits'],
  [
    'strong caustic on the all-rounder',
    'F2',
    { 'service.medium': 'caustic', 'service.concPct': 30, 'service.mediumC': 40 },
    'R-210',
    'medium',
    'no',
  ],
  [
    'weak caustic, cool',
    'F2',
    { 'service.medium': 'caustic', 'service.concPct': 5, 'service.mediumC': 40 },
    'R-210',
    'medium',
    'fits',
  ],
  [
    'mineral acid on the all-rounder',
    'F2',
    { 'service.medium': 'mineral-acid', 'service.concPct': 10, 'service.mediumC': 20 },
    'R-210',
    'medium',
    'no',
  ],
  ['a 14 mm pocket with the brush coat', 'F2', {}, 'R-230', 'thickness', 'no'],
  ['turned to size in ceramic', 'F2', { 'parent.machined': true }, 'R-225', 'machine', 'no'],
  ['turned to size in steel paste', 'F2', { 'parent.machined': true }, 'R-210', 'machine', 'fits'],
  ['running wet, dry paste', 'F2', { 'surface.damp': 'wet' }, 'R-210', 'damp', 'no'],
  ['running wet, damp-tolerant paste', 'F2', { 'surface.damp': 'wet' }, 'R-250', 'damp', 'fits'],
  [
    'steel at 2 °C with the all-rounder',
    'F2',
    { 'readings.surfaceC': 2, 'readings.airC': 4 },
    'R-210',
    'ambient',
    'if',
  ],
  [
    'steel at 2 °C with the fast paste',
    'F2',
    { 'readings.surfaceC': 2, 'readings.airC': 4, 'readings.rhPct': 45 },
    'R-215',
    'ambient',
    'fits',
  ],
  ['beside paint that stays', 'F2', { 'site.nearby': 'paint' }, 'R-210', 'nearby', 'if'],
  // Brackets
  ['a guard bracket that takes knocks, toughened', 'F3', {}, 'X-870', 'wear', 'fits'],
  ['the same with instant adhesive', 'F3', {}, 'X-860', 'wear', 'no'],
  ['instant adhesive to last', 'F3', {}, 'X-860', 'intent', 'no'],
  ['a lifting lug', 'F3', { 'load.carries': 'structure' }, 'X-870', 'route', 'no'],
  ['a bracket by a furnace at 130 °C', 'F3', { 'load.serviceC': 130 }, 'X-870', 'heat', 'no'],
  // Low-pressure leaks
  ['pinhole at 3 bar, water-set wrap', 'F4', {}, 'W-310', 'pressure', 'fits'],
  ['pinhole at 8 bar, water-set wrap', 'F4', { 'line.pressureBar': 8 }, 'W-310', 'pressure', 'no'],
  ['damp pipe, water-set wrap', 'F4', {}, 'W-310', 'damp', 'fits'],
  ['steam', 'F4', { 'line.fluid': 'steam' }, 'W-310', 'route', 'no'],
  ['cannot be shut off', 'F4', { 'line.shutOff': false }, 'W-310', 'route', 'no'],
  ['condensate at 90 °C', 'F4', { 'service.mediumC': 90 }, 'W-310', 'heat', 'no'],
  ['a hand-cleaned pipe for a stop-gap', 'F4', { 'site.tools': 'hand' }, 'W-310', 'prep', 'fits'],
  ['putty for under water, meant to last', 'F4', { intent: 'lasting' }, 'P-120', 'intent', 'no'],
  // Rated pipes
  ['22 mm hole at 6 bar and 72 °C, glass', 'F5', {}, 'W-330', 'pressure', 'if'],
  [
    'the same at 110 °C: past the laminate',
    'F5',
    { 'line.designC': 110 },
    'W-330',
    'pressure',
    'no',
  ],
  [
    'a 200 mm hole at 16 bar',
    'F5',
    { 'damages.0.diameterMm': 200, 'line.pressureBar': 16 },
    'W-330',
    'pressure',
    'no',
  ],
  ['hydrocarbon', 'F5', { 'line.fluid': 'hydrocarbon' }, 'W-330', 'route', 'no'],
  ['power tools only under a lasting wrap', 'F5', { 'site.tools': 'power' }, 'W-330', 'prep', 'no'],
  // Belts
  ['a guard of 900 N on its bond', 'F3', {}, 'X-870', 'load', 'fits'],
  ['six tonnes on the same bond', 'F3', { 'load.loadN': 60_000 }, 'X-870', 'load', 'no'],
  ['nothing on it', 'F3', { 'load.carries': 'none', 'load.loadN': null }, 'X-870', 'load', 'fits'],
  ['level belt, pour-on', 'F6', {}, 'B-410', 'flex', 'fits'],
  ['a tenth of the carcass cut', 'F6', { 'belt.carcassCutPct': 10 }, 'B-410', 'route', 'fits'],
  ['a little more of it', 'F6', { 'belt.carcassCutPct': 10.1 }, 'B-410', 'route', 'no'],
  ['a quarter of the carcass cut', 'F6', { 'belt.carcassCutPct': 25 }, 'B-410', 'route', 'no'],
  [
    'five hours, pour-on in time if the belt is warmed',
    'F6',
    { 'window.downMin': 300 },
    'B-410',
    'window',
    'if',
  ],
  ['an hour for the pour-on', 'F6', { 'window.downMin': 60 }, 'B-410', 'window', 'no'],
  ['belt at 85 °C', 'F6', { 'belt.runsC': 85 }, 'B-410', 'heat', 'no'],
  ['rubber only degreased by hand', 'F6', { 'site.tools': 'hand' }, 'B-410', 'prep', 'no'],
  ['a 64 mm hole under a 100 mm strip', 'F6', {}, 'B-430', 'size', 'no'],
  [
    'a 300 mm gash 12 mm wide under the strip',
    'F6',
    { 'damages.0.diameterMm': 12 },
    'B-430',
    'size',
    'fits',
  ],
  ['solvent cement in zone 1', 'F6', { 'site.area': 'zone-1' }, 'B-430', 'ventilation', 'no'],
  ['solvent cement in a closed space', 'F6', { 'site.closed': true }, 'B-430', 'ventilation', 'if'],
  // Tyres
  ['a scuff in the rubber', 'F7', {}, 'T-510', 'route', 'fits'],
  ['cords showing, cover kit', 'F7', { 'tyre.cords': 'showing' }, 'T-510', 'route', 'no'],
  [
    'cords showing, the shop’s section repair',
    'F7',
    { 'tyre.cords': 'showing' },
    'T-540',
    'route',
    'fits',
  ],
  ['the shop’s section repair by the technician', 'F7', {}, 'T-540', 'permission', 'if'],
  ['near the bead', 'F7', { 'tyre.place': 'bead' }, 'T-510', 'route', 'no'],
  ['a plugged sidewall', 'F7', { 'tyre.plugged': true }, 'T-510', 'route', 'no'],
  // Floors
  ['4 mm crack, water-thin resin', 'F8', {}, 'C-605', 'crackWidth', 'no'],
  ['4 mm crack, cartridge', 'F8', {}, 'C-620', 'crackWidth', 'fits'],
  [
    'hairline, water-thin resin',
    'F8',
    { 'damages.0.widthMm': 0.3, 'damages.1.widthMm': 0.3 },
    'C-605',
    'crackWidth',
    'fits',
  ],
  [
    'hairline, cartridge',
    'F8',
    { 'damages.0.widthMm': 0.3, 'damages.1.widthMm': 0.3 },
    'C-620',
    'crackWidth',
    'no',
  ],
  [
    'a crack that moves half its width, rigid filler',
    'F8',
    { 'floor.swingC': 30 },
    'C-620',
    'movement',
    'no',
  ],
  [
    'thin resin in a hairline of a slab that swings 12 °C: it ties the slab',
    'F8',
    { 'damages.0.widthMm': 0.3, 'floor.swingC': 12, 'floor.panelMm': 6000 },
    'C-605',
    'movement',
    'fits',
  ],
  [
    'the same slab at 20 °C: the concrete beside it would crack',
    'F8',
    { 'damages.0.widthMm': 0.3, 'floor.swingC': 20, 'floor.panelMm': 6000 },
    'C-605',
    'movement',
    'no',
  ],
  ['still indoors', 'F8', { 'floor.swingC': 0 }, 'C-620', 'movement', 'fits'],
  ['a slab that spans', 'F8', { 'floor.structural': true }, 'C-620', 'route', 'no'],
  ['a wet washed patch in damp concrete, mortar', 'F9', {}, 'C-640', 'damp', 'fits'],
  ['acid drips on cement mortar', 'F9', { 'floor.juice': true }, 'C-640', 'medium', 'no'],
  ['a 55 mm patch with the overlay', 'F9', {}, 'C-650', 'thickness', 'no'],
  ['wide yard crack, resin and sand', 'F10', {}, 'C-630', 'crackWidth', 'fits'],
  ['wide yard crack, fast thin resin', 'F10', {}, 'C-610', 'crackWidth', 'no'],
  ['yard that swings 40 °C', 'F10', { 'yard.swingC': 40 }, 'C-630', 'movement', 'no'],
  // Walls, tanks, wet
  ['wet wall crack, expanding resin', 'F11', {}, 'C-670', 'damp', 'fits'],
  ['must carry load across', 'F11', { 'wall.structural': true }, 'C-670', 'route', 'no'],
  ['12 % acid in PVC, dissolved polymer', 'F12', {}, 'X-810', 'medium', 'fits'],
  [
    'polyethylene with dissolved ABS',
    'F12',
    { 'parent.material': 'pe' },
    'X-810',
    'substrate',
    'no',
  ],
  ['solvent filler beside plastic parts', 'F12', {}, 'X-810', 'nearby', 'if'],
  ['tank under pressure', 'F12', { 'tank.pressurised': true }, 'X-810', 'pressure', 'no'],
  ['under water, wet-set gel', 'F13', {}, 'X-830', 'damp', 'fits'],
  ['only a diver reaches it', 'F13', { 'sump.diver': true }, 'X-830', 'route', 'no'],
  // Panels, boards, matting
  ['cut fibre', 'F14', { 'panel.fibre': 'cut' }, 'X-840', 'route', 'no'],
  ['a 1.5 mm spot with topcoat alone', 'F14', {}, 'X-850', 'thickness', 'no'],
  ['the lamp does not reach', 'F15', { 'board.lampReaches': false }, 'X-820', 'light', 'no'],
  ['a life-safety board', 'F15', { 'board.lifeSafety': true }, 'X-820', 'route', 'no'],
  ['a board at 170 °C', 'F15', { 'board.hotC': 170 }, 'X-820', 'heat', 'no'],
  ['crumb on a damp day', 'F16', { 'readings.rhPct': 88 }, 'S-710', 'ambient', 'if'],
  ['crumb on wet concrete', 'F16', { 'surface.damp': 'wet' }, 'S-710', 'damp', 'no'],
];

test.each(cases)('%s', (_, family, answers, code, rule, verdict) => {
  const found = judge(surveyed(family, answers), card(code), {
    site: siteSettings,
    context: known,
  }).judged.find((j) => j.rule.id === rule);
  expect({ rule, verdict: found?.verdict }).toMatchObject({
    rule,
    verdict,
  });
  expect(found && word(found.because)).toMatch(/\.$/);
});

/** The first card of a family for a substrate. */
const onParent = (family: FamilyId, material: string): string =>
  systemCards.find(
    (c) => c.families.includes(family) && c.substrates.some((s) => s.material === material),
  )?.code ?? '';
/** Verdicts about the substrate and the damage, whatever the card. */
const round: [
  said: string,
  family: FamilyId,
  answers: Record<string, Leaf>,
  rule: string,
  verdict: Verdict,
  because: RegExp,
][] = [
  [
    'aluminium in lime milk goes on corroding round the repair',
    'F2',
    { 'parent.material': 'cast-aluminium', 'service.medium': 'lime-milk', 'service.ph': 12.4 },
    'round',
    'if',
    /^Alkali in lime milk \(pH 12\.4\) eats bare cast aluminium/,
  ],
  [
    'aluminium in plain water does not',
    'F2',
    { 'parent.material': 'cast-aluminium', 'service.medium': 'water', 'service.ph': 7 },
    'round',
    'fits',
    /^Nothing/,
  ],
  [
    'cast iron in sour water does',
    'F2',
    { 'parent.material': 'cast-iron', 'service.medium': 'water', 'service.ph': 3.5 },
    'round',
    'if',
    /^Acid in water \(pH 3\.5\) eats bare cast iron/,
  ],
  [
    'cast iron at pH 4 stands it',
    'F2',
    { 'parent.material': 'cast-iron', 'service.medium': 'water', 'service.ph': 4 },
    'round',
    'fits',
    /^Nothing/,
  ],
  [
    'stainless in cool brine pits',
    'F2',
    {
      'parent.material': 'stainless',
      'service.medium': 'brine',
      'service.ph': 7,
      'service.mediumC': 20,
    },
    'round',
    'if',
    /^Chlorides in brine.* pit bare stainless steel/,
  ],
  [
    'stainless in hot brine cracks under any repair',
    'F2',
    {
      'parent.material': 'stainless',
      'service.medium': 'brine',
      'service.ph': 7,
      'service.mediumC': 60,
    },
    'route',
    'no',
    /^Chlorides at 60 °C crack stainless/,
  ],
  [
    'a 60 mm hole in a 4 inch pipe is not a leak',
    'F4',
    { 'damages.0.diameterMm': 60 },
    'route',
    'no',
    /^The opening is 58 % of the bore: a wrap over it would be the pipe/,
  ],
  [
    'a 30 mm hole in it an engineer allows or not',
    'F4',
    { 'damages.0.diameterMm': 30 },
    'leave',
    'if',
    /^The opening is 29 % of the bore: little pipe is left/,
  ],
  [
    'a cover on the tread',
    'F7',
    { 'tyre.place': 'tread' },
    'route',
    'no',
    /the road wears a cover/,
  ],
  [
    'a cut 12 deep that nobody measured to the cords',
    'F7',
    { 'damages.0.depthMm': 12 },
    'leave',
    'if',
    /^It is 12 mm deep, and nobody measured/,
  ],
  [
    'a cut 12 deep in 13 of rubber',
    'F7',
    { 'damages.0.depthMm': 12, 'tyre.rubberMm': 13 },
    'route',
    'no',
    /Too little rubber/,
  ],
  [
    'a cut 12 deep in 20 of rubber',
    'F7',
    { 'damages.0.depthMm': 12, 'tyre.rubberMm': 20 },
    'leave',
    'fits',
    /^Nobody/,
  ],
  ['fibre that shows', 'F14', { 'panel.fibre': 'showing' }, 'leave', 'if', /^Fibre shows/],
  [
    'a bracket under load with more than half of its wall chipped off',
    'F3',
    {
      damages: [
        { shape: 'chip', lengthMm: 50, widthMm: 30, depthMm: 11, wallMm: 20 },
      ] as unknown as Leaf,
      'load.carries': 'working',
      'load.loadN': 500,
    },
    'leave',
    'if',
    /^More than half of the wall/,
  ],
  [
    'a chipped hopper is nobody’s pressure wall',
    'F3',
    {
      damages: [
        { shape: 'chip', lengthMm: 50, widthMm: 30, depthMm: 15, wallMm: 20 },
      ] as unknown as Leaf,
    },
    'wall',
    'fits',
    /holds no pressure/,
  ],
];
test.each(round)('%s', (_, family, answers, rule, verdict, because) => {
  const survey = surveyed(family, answers);
  const code = onParent(family, survey.parent.material);
  const found = judge(survey, card(code), { site: siteSettings, context: known }).judged.find(
    (j) => j.rule.id === rule,
  );
  expect({ verdict: found?.verdict, because: found && word(found.because) }).toEqual({
    verdict,
    because: expect.stringMatching(because),
  });
});

test('approvals by name and work are separate in the plan', () => {
  const survey = surveyed('F4', {
    'damages.0.diameterMm': 30,
    'parent.material': 'carbon-steel',
    'service.medium': 'condensate',
    'service.ph': 3.5,
  });
  const made = systemCards
    .filter((c) => c.families.includes('F4'))
    .map((c) => ({
      match: judge(
        survey,
        { ...c, service: { ...c.service, ph: { min: 0, max: 14 } } },
        { site: siteSettings, context: known },
      ),
    }))
    .find(
      ({ match }) =>
        match.judged.filter((j) => ['leave', 'round'].includes(j.rule.id)).length === 2,
    );
  const ifs = made?.match.judged.filter((j) => ['leave', 'round'].includes(j.rule.id));
  expect(ifs?.map((j) => [j.rule.id, j.verdict, j.who])).toEqual([
    ['leave', 'if', 'pressure-engineer'],
    ['round', 'if', undefined],
  ]);
});

const step = { lengthMm: 1800, widthMm: 12, depthMm: 80, stepMm: 8, shape: 'stepped' };
test.each([
  ['wheels', 'C-620', 'no'],
  ['foot', 'C-620', 'if'],
  ['wheels', 'C-645', 'fits'],
] as const)('a stepped crack under %s with %s: %s', (traffic, code, verdict) => {
  const loads = traffic === 'foot' ? 'foot' : 'wheels';
  const survey = surveyed('F8', {
    damages: [step] as unknown as Leaf,
    'floor.traffic': loads,
  });
  const found = judge(survey, card(code), { site: siteSettings, context: known }).judged.find(
    (j) => j.rule.id === 'step',
  );
  expect(found?.verdict).toBe(verdict);
});

test('a limit met exactly is met, and the card with some margin goes first', () => {
  const survey = surveyed('F2', { 'service.mediumC': 20 });
  const cards = systemCards.filter((c) => c.families.includes('F2'));
  const fit = cards.find(
    (c) => judge(survey, c, { site: siteSettings, context: known }).verdict === 'fits',
  );
  if (!fit) throw new Error('nothing fits');
  const own = { ...fit, code: 'Z-1', service: { ...fit.service, wetHeatC: 20, dryHeatC: 20 } };
  const just = judge(survey, own, { site: siteSettings, context: known });
  expect(just.judged.find((j) => j.rule.id === 'heat')?.verdict).toBe('fits');
  expect([just.verdict, just.marginPct, atItsLimit(just)]).toEqual(['fits', 0, true]);
  // However cheap it is, and however long its stated life.
  const lifeDays = { lasting: 36_500, stopgap: 36_500 };
  const cheap = { ...own, lifeDays, packs: own.packs.map((p) => ({ ...p, price: 0.01 })) };
  const [first, second] = rank(
    matchAll(survey, [cheap, fit], { site: siteSettings, context: known }),
    'lasting',
  );
  expect([first?.match.card.code, second?.match.card.code]).toEqual([fit.code, 'Z-1']);
  expect(first && whyFirst(first, second, 'lasting')?.text).toMatch(/at its limit/);
  // A thousandth past a limit is past it; rounding noise of a converted unit is not.
  const over = (c: number) =>
    judge(surveyed('F2', { 'service.mediumC': c }), own, {
      site: siteSettings,
      context: known,
    }).judged.find((j) => j.rule.id === 'heat')?.verdict;
  expect([over(20.001), over(20 + 1e-12)]).toEqual(['no', 'fits']);
});

test('a margin does not depend on the zero of its scale, and a thin layer has none', () => {
  const at = (value: number, limit: number) =>
    marginPct({ value, limit, quantity: 'temperature', sense: 'max' });
  expect(at(-10, 20)).toBeCloseTo(at(50, 80), 9);
  expect(marginPct({ value: 6, limit: 9, quantity: 'ph', sense: 'max' })).toBeCloseTo(75, 9);
  const strong = rules.filter((r) => r.strength).map((r) => r.id);
  expect(strong.sort()).toEqual([
    'flex',
    'heat',
    'load',
    'medium',
    'movement',
    'ph',
    'pressure',
    'wear',
  ]);
});

test('oil is dry heat with its own limit on the card', () => {
  const survey = surveyed('F2', { 'service.medium': 'oil', 'service.mediumC': 90 });
  const fit = systemCards.find(
    (c) =>
      c.families.includes('F2') &&
      c.service.wetHeatC < 90 &&
      c.service.dryHeatC >= 90 &&
      c.service.media.some((x) => x.medium === 'oil' && x.maxC >= 90),
  );
  if (!fit) throw new Error('no card for hot oil');
  const verdicts = judge(survey, fit, { site: siteSettings, context: known }).judged;
  expect(verdicts.find((j) => j.rule.id === 'heat')).toMatchObject({ verdict: 'fits' });
  const hotter = surveyed('F2', { 'service.medium': 'oil', 'service.mediumC': 240 });
  expect(
    judge(hotter, fit, { site: siteSettings, context: known }).judged.find(
      (j) => j.rule.id === 'medium',
    )?.verdict,
  ).toBe('no');
});

test('there are sixty cases or more, and every rule is tested here or separately', () => {
  expect(cases.length).toBeGreaterThanOrEqual(60);
  const spoken = new Set(cases.map((c) => c[4]));
  const silent = rules.map((r) => r.id).filter((id) => !spoken.has(id));
  // These have their own tests.
  expect(silent.sort()).toEqual([
    'aids',
    'approved',
    'batches',
    'chosen',
    'grip',
    'in-use',
    'leave',
    'room',
    'round',
    'seconds',
    'step',
    'stock',
    'strain',
    'wall',
  ]);
});

test('a stricter survey never allows more cards', () => {
  const stricter: Record<string, Leaf>[] = [
    { 'site.tools': 'hand' },
    { 'site.area': 'zone-1' },
    { 'site.closed': true },
    { 'window.downMin': 30 },
    { 'surface.slope': 'overhead' },
  ];
  const rankOf = { fits: 2, if: 1, no: 0 };
  for (const [family, survey] of base) {
    const before = matchAll(survey, systemCards, { site: siteSettings, context: known });
    for (const answers of stricter) {
      const after = matchAll(surveyed(family, answers), systemCards, {
        site: siteSettings,
        context: known,
      });
      after.forEach((m, i) => {
        const was = before[i];
        if (was)
          expect([family, m.card.code, answers, rankOf[m.verdict] <= rankOf[was.verdict]]).toEqual([
            family,
            m.card.code,
            answers,
            true,
          ]);
      });
    }
  }
});

test('what would change this: few changes, each set tested on the whole survey', () => {
  const survey = surveyed('F2', { 'site.tools': 'power' });
  const ranked = rank(
    matchAll(survey, systemCards, { site: siteSettings, context: known }),
    'lasting',
  );
  const found = whatWouldChange(survey, ranked, { site: siteSettings, context: known });
  expect(found.length).toBeGreaterThan(0);
  for (const w of found) {
    const after = withChanges(survey, w.changes);
    if (!after) throw new Error(w.code);
    expect(judge(after, card(w.code), { site: siteSettings, context: known }).verdict).toBe(
      w.verdict,
    );
  }
  expect(found.map((w) => w.changes.length)).toEqual(
    [...found.map((w) => w.changes.length)].sort(),
  );
});

test('weights add up to one however they are moved, and change the ranking', () => {
  const sum = (w: Record<string, number>) => Object.values(w).reduce((s, x) => s + x, 0);
  expect(sum(weightsOf('lasting'))).toBeCloseTo(1, 12);
  expect(sum(weightsOf('lasting', { life: 5, margin: 0 }))).toBeCloseTo(1, 12);
  const none = { year: 0, ready: 0, life: 0, cost: 0, margin: 0 };
  expect(sum(weightsOf('lasting', none))).toBeCloseTo(1, 12);
  const matches = matchAll(surveyed('F6', { 'damages.0.diameterMm': 12 }), systemCards, {
    site: siteSettings,
    context: known,
  });
  const only = (id: string) => rank(matches, 'lasting', { ...none, [id]: 1 })[0]?.match.card.code;
  expect(only('life')).toBe('B-430');
  const cheapest = [...matches]
    .filter((m) => m.verdict !== 'no' && m.marginPct >= ENOUGH_PCT)
    .sort((p, q) => (p.totalCost ?? 0) - (q.totalCost ?? 0))[0];
  expect(only('cost')).toBe(cheapest?.card.code);
});

test('stock and forecast change the verdict', () => {
  const survey = surveyed('F2', {});
  const r210 = card('R-210');
  const rule = (id: string, context: WorkContext) =>
    judge(survey, r210, { site: siteSettings, context }).judged.find((j) => j.rule.id === id);
  expect(rule('stock', { shelf: [] })).toMatchObject({ verdict: 'if' });
  const lots = (expiresOn: string) =>
    r210.packs.map((p) => ({
      id: p.id,
      cardCode: 'R-210',
      packId: p.id,
      lot: 'A1',
      expiresOn,
      count: 99,
    }));
  expect(rule('stock', { shelf: lots('2099-01-01') })).toMatchObject({ verdict: 'fits' });
  expect(rule('stock', { shelf: lots('2001-01-01') })).toMatchObject({ verdict: 'if' });
  const cold = [
    { atMin: 0, tempC: 17 },
    { atMin: 240, tempC: 4 },
  ];
  // In the cold night it would be too late; it fits if it is held warm.
  const held = judge(survey, r210, { site: siteSettings, context: { ...known, forecast: cold } });
  expect([held.verdict, held.heldC]).toEqual(['if', 18]);
  expect(judge(survey, r210, { site: siteSettings, context: known })).toMatchObject({
    verdict: 'fits',
    heldC: null,
  });
});
