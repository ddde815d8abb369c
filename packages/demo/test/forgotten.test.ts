import {
  demandOfSurvey,
  judge,
  makePlan,
  matchAll,
  Survey,
  word,
  type FamilyId,
  type Verdict,
} from '@kelmot/core';
import { siteSettings, systemCards } from '../src/index';
import { card, known, surveyed, type Leaf } from './surveyed';

/** Easily forgotten facts: given by a survey, and answered by a rule as an expert would. */

type Case = [string, FamilyId, Record<string, Leaf>, string, string, Verdict, RegExp];
const stopgap = { intent: 'stopgap' };
const cases: Case[] = [
  // Approvals
  [
    'drinking water, no certificate',
    'F2',
    { 'service.approval': 'drinking-water' },
    'R-210',
    'approved',
    'no',
    /no approval for drinking water/,
  ],
  [
    'drinking water, certified',
    'F2',
    { 'service.approval': 'drinking-water' },
    'R-230',
    'approved',
    'fits',
    /EX-W-230/,
  ],
  [
    'food, certified for water only',
    'F2',
    { 'service.approval': 'food' },
    'R-250',
    'approved',
    'no',
    /food/,
  ],
  // How it is loaded
  [
    'a pump that shakes, paste made for it',
    'F2',
    { 'duty.vibrates': true },
    'R-215',
    'strain',
    'fits',
    /vibration/,
  ],
  [
    'a pump that shakes, ceramic',
    'F2',
    { 'duty.vibrates': true },
    'R-225',
    'strain',
    'no',
    /vibration/,
  ],
  [
    'the same to bridge a week',
    'F2',
    { 'duty.vibrates': true, ...stopgap },
    'R-225',
    'strain',
    'if',
    /does not name/,
  ],
  [
    'pressure cycles on a carbon wrap',
    'F5',
    { 'line.cycles': true },
    'W-350',
    'strain',
    'fits',
    /comes and goes/,
  ],
  [
    'pressure cycles on a glass wrap',
    'F5',
    { 'line.cycles': true },
    'W-330',
    'strain',
    'no',
    /comes and goes/,
  ],
  [
    'a hot wash on a filler made for it',
    'F8',
    { 'floor.hotWash': true },
    'C-620',
    'strain',
    'fits',
    /hot wash/,
  ],
  ['a yard that freezes', 'F10', { 'yard.frost': 'frost' }, 'C-630', 'strain', 'fits', /freezing/],
  [
    'cavitation on ceramic',
    'F2',
    { 'service.wear': 'cavitation' },
    'R-225',
    'wear',
    'no',
    /cavitation/,
  ],
  [
    'cavitation on tough paste',
    'F2',
    { 'service.wear': 'cavitation' },
    'R-250',
    'wear',
    'if',
    /fair/,
  ],
  ['30 bar in a pump', 'F2', { 'duty.pressureBar': 30 }, 'R-210', 'pressure', 'no', /30 bar/],
  ['5 bar in a pump', 'F2', { 'duty.pressureBar': 5 }, 'R-210', 'pressure', 'fits', /10 bar/],
  // Its position
  [
    '9 bar on an elbow',
    'F4',
    { 'line.at': 'elbow', 'line.pressureBar': 9 },
    'W-310',
    'pressure',
    'no',
    /on this elbow/,
  ],
  [
    'an overlap that has no room',
    'F4',
    { 'line.straightMm': 60 },
    'W-310',
    'room',
    'no',
    /100 mm each side/,
  ],
  [
    'room just enough',
    'F4',
    { 'line.straightMm': 100 },
    'W-310',
    'room',
    'fits',
    /100 mm each side/,
  ],
  ['in the ground', 'F4', { 'line.buried': true }, 'W-310', 'round', 'if', /in the ground/],
  [
    'gas in a line called liquid',
    'F4',
    { 'service.medium': 'air', 'line.pressureBar': 3 },
    'W-310',
    'route',
    'no',
    /stored energy/,
  ],
  [
    'air in an open line',
    'F4',
    { 'service.medium': 'air', 'line.pressureBar': 0.5 },
    'W-310',
    'route',
    'fits',
    /Nothing/,
  ],
  // Its surface
  ['galvanised', 'F3', { 'parent.skin': 'galvanised' }, 'X-870', 'round', 'if', /zinc/],
  ['drank oil', 'F2', { 'parent.skin': 'oil-soaked' }, 'R-210', 'round', 'if', /drank oil/],
  ['rubber-lined', 'F4', { 'parent.skin': 'rubber-lined' }, 'W-310', 'leave', 'if', /lining/],
  ['glass-lined', 'F1', { 'parent.skin': 'glass-lined' }, 'R-210', 'route', 'no', /Glass/],
  [
    'fluoropolymer-lined',
    'F4',
    { 'parent.skin': 'fluoropolymer-lined' },
    'W-310',
    'route',
    'no',
    /Nothing bonds/,
  ],
  [
    'polyethylene pipe, wrapped right round',
    'F4',
    { 'parent.material': 'pe' },
    'W-310',
    'grip',
    'fits',
    /grips right round/,
  ],
  [
    'polypropylene tank, putty',
    'F12',
    { 'parent.material': 'pp' },
    'P-120',
    'grip',
    'if',
    /mechanical grip/,
  ],
  ['soft PVC tank, rigid putty', 'F12', { 'parent.soft': true }, 'P-120', 'grip', 'no', /softener/],
  [
    'soft PVC tank, for a week',
    'F12',
    { 'parent.soft': true, ...stopgap },
    'P-120',
    'grip',
    'if',
    /softener/,
  ],
  [
    'steel cords cut across',
    'F6',
    { 'belt.carcass': 'steel', 'belt.carcassCutPct': 2 },
    'B-410',
    'route',
    'no',
    /Steel cords/,
  ],
  [
    'fabric cut across a little',
    'F6',
    { 'belt.carcassCutPct': 2 },
    'B-410',
    'route',
    'fits',
    /Nothing/,
  ],
  [
    'steel cords bare',
    'F6',
    { 'belt.carcass': 'steel', 'belt.bare': true },
    'B-410',
    'leave',
    'if',
    /rust/,
  ],
  ['plies bare', 'F6', { 'belt.bare': true }, 'B-410', 'round', 'if', /draw water/],
  // Combinations
  [
    'sugar on a cement floor',
    'F9',
    { 'floor.spills': 'sugar' },
    'C-645',
    'medium',
    'no',
    /sugar syrup/,
  ],
  ['fat in a hopper', 'F3', { 'load.holds': 'fatty-acid' }, 'X-870', 'medium', 'no', /fats/],
  ['salted yard', 'F10', { 'yard.frost': 'salt' }, 'C-630', 'medium', 'fits', /brine/],
  // Ignition
  [
    'solvent where a flame stays',
    'F12',
    { 'site.ignition': 'stays' },
    'X-810',
    'ventilation',
    'no',
    /cannot be stopped/,
  ],
  ['solvent in zone 2', 'F12', { 'site.area': 'zone-2' }, 'X-810', 'ventilation', 'if', /zone 2/],
  [
    'no solvent in it',
    'F4',
    { 'site.ignition': 'stays' },
    'W-310',
    'ventilation',
    'fits',
    /No vapour/,
  ],
];

test.each(cases)('%s', (_, family, answers, code, rule, verdict, said) => {
  const found = judge(surveyed(family, answers), card(code), {
    site: siteSettings,
    context: known,
  }).judged.find((j) => j.rule.id === rule);
  expect([rule, found?.verdict]).toEqual([rule, verdict]);
  expect(found && word(found.because)).toMatch(said);
});

test('an elbow needs a fifth more layers and a tee twice as many, and the plan says so', () => {
  const layers = (at: string) => {
    const made = makePlan(surveyed('F5', { 'line.at': at }), card('W-350'), {
      site: siteSettings,
      madeAt: '2026-11-24T06:00:00Z',
      context: known,
    });
    if (!made.ok) throw new Error(word(made.why));
    const { value, working } = made.plan.figures.layers ?? { value: 0, working: [] };
    expect(working.at(-1)?.value).toBe(value);
    return value;
  };
  const straight = layers('straight');
  expect(layers('elbow')).toBe(Math.ceil(straight * 1.2));
  expect(layers('tee')).toBe(straight * 2);
});

test('everything wetted in a drinking water job is certified for it, the plug too', () => {
  const survey = surveyed('F4', {
    'service.approval': 'drinking-water',
    'service.medium': 'water',
    'service.mediumC': 20,
    'window.downMin': 1440,
  });
  const fits = matchAll(survey, systemCards, { site: siteSettings, context: known }).filter(
    (m) => m.verdict !== 'no',
  );
  expect(fits.map((m) => m.card.code)).toEqual(['W-320']);
  const used = fits.flatMap((m) => m.job().draft.rounds.map((r) => r.card));
  expect(used.length).toBeGreaterThan(fits.length);
  for (const c of used)
    expect([c.code, c.approvals.some((a) => a.for === 'drinking-water')]).toEqual([c.code, true]);
});

test('a plug that sets in water makes a weeping pipe fit for a wrap: both are judged together', () => {
  const wet = surveyed('F4', {
    'surface.damp': 'wet',
    'service.mediumC': 40,
    'line.pressureBar': 1,
    'window.downMin': 1440,
  });
  const damp = (survey: Survey, schools = {}) =>
    judge(survey, card('W-310'), {
      site: siteSettings,
      context: { ...known, schools },
    }).judged.find((j) => j.rule.id === 'damp');
  expect(damp(wet)?.verdict).toBe('if');
  const made = makePlan(wet, card('W-310'), {
    site: siteSettings,
    madeAt: '2026-11-24T06:00:00Z',
    context: known,
  });
  if (!made.ok) throw new Error(word(made.why));
  const plug = made.plan.rounds.find((r) => r.purpose === 'plug');
  expect(plug && card(plug.card.code).damp).toMatch(/wet|under-water/);
  // The named card is the one in use.
  expect(made.plan.conditions.map((c) => word(c)).join()).toContain(
    `${plug?.card.code} stops it wet`,
  );
  // Without a plug, or under water, nothing stops the leak first.
  expect(damp(wet, { plug: 'wrap' })?.verdict).toBe('no');
  expect(damp(surveyed('F4', { 'surface.damp': 'under-water' }))?.verdict).toBe('no');
  // If it is too hot for every plug that sets in water, the pair does not count.
  const hot = surveyed('F4', { 'surface.damp': 'wet', 'service.mediumC': 74 });
  expect(damp(hot)?.verdict).toBe('no');
});

test('where nothing may burn, the plan uses non-flammable cleaners', () => {
  const codes = (survey: Survey) => {
    const made = makePlan(survey, card('R-210'), {
      site: siteSettings,
      madeAt: '2026-11-24T06:00:00Z',
      context: known,
    });
    if (!made.ok) throw new Error(word(made.why));
    return made.plan.supplies.map((s) => s.code);
  };
  expect(codes(surveyed('F2', {}))).toContain('A-930');
  const stays = codes(surveyed('F2', { 'site.ignition': 'stays' }));
  expect(stays).toContain('A-935');
  expect(stays).not.toContain('A-930');
});

test('a survey stored before these questions reads as ordinary', () => {
  const { duty: _duty, ...before } = surveyed('F2', {}) as unknown as Record<string, unknown>;
  const { skin: _skin, ...parent } = before.parent as Record<string, unknown>;
  const { approval: _approval, ...service } = before.service as Record<string, unknown>;
  const { ignition: _ignition, ...site } = before.site as Record<string, unknown>;
  const read = Survey.parse({ ...before, parent, service, site });
  expect(read).toEqual(surveyed('F2', {}));
  expect(demandOfSurvey(read, siteSettings)).toMatchObject({
    approval: null,
    strains: [],
    ignition: false,
    soft: false,
    pressureBar: 0,
  });
});
