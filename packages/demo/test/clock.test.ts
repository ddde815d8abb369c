import { type FamilyId } from '@kelmot/core';
import { demoPlan, demoSurvey, openRepairs, surveyedRepairs } from '../src/index';

const AT = '2026-11-25T08:00:00Z';
const surveyOf = (family: string) => {
  const found = [...openRepairs.slice(0, 1), ...surveyedRepairs]
    .map((r) => demoSurvey(r.tag, null, AT, r.survey))
    .filter((s) => s.family === family)
    .at(-1);
  if (!found) throw new Error(`no demo survey of ${family}`);
  return found;
};

/**
 * One job a family on its whole clock, minutes from the start of the stop, gone through by hand. What it stands on:
 *
 * - Cleaning takes 5 min and the prepared area over the pace of what it is of: 60 cm²/min of metal, 400 of concrete, 80 of
 *   rubber. Grading takes its setting up and the area over its own: the pocket of F2 is 290 × 290 mm with its margin, 841 cm²,
 *   so 5 + 14 min and 15 + 42 min; the slab of F9 is 5 400 cm², so 5 + 13.5 and 15 + 21.6.
 * - A touch takes its own minutes, its share of the batch over the card's pace, or its share of the whole: three pails of
 *   153.6 ml at 5 ml/min are 30.7 min each; fourteen ports of F11 are 21 min to set and 70 to fill.
 * - A wait counts from the mix, by the card at the day's temperature: the plug of F5 handles after 611 min, so the wrap waits
 *   from 298.6 to 910; the sealer of F9 opens after 110, so the second coat is gated from 381.1; the last mix of F2 at 277.5
 *   and 1 210 min to full chemical make 1 487.2.
 *
 * A step whose name ends in … is the wait that it starts. Then the minutes of people, and when it is ready.
 */
const CLOCKS: [FamilyId, string, number, number, string][] = [
  [
    'F1',
    'R-210',
    1862.7,
    527,
    'isolate 0, protect 40, former 50, degrease 110, grade 133.3, dust-off 203.2, release 208.2, release-dry… 223.2, mask 233.2, template 243.2, wipe 258.2, gate 268.2, lay-out 273.2, mix 278.2, wet-former 283.2, wet-metal 287.5, close 298.2, tools 310.2, open 657.2, look 1724.7, dress 1734.7, flatness 1744.7, hardness 1754.7, gasket 1764.7, pressure-half 1779.7, pressure-full 1804.7, agree 1849.7, tidy 1852.7',
  ],
  [
    'F2',
    'R-210',
    1540.2,
    458,
    'isolate 0, protect 20, degrease 30, open-up 49, grade 89, dust-off 146, release 151, release-dry… 166, mask 176, wipe 186, gate 196, lay-out 201, mix 206, place 211, mix 241.7, place 246.7, mix 277.5, place 282.5, tools 313.2, look 1487.2, hardness 1497.2, dress 1507.2, agree 1527.2, tidy 1530.2',
  ],
  [
    'F3',
    'X-870',
    1745.8,
    358,
    'isolate 0, protect 20, degrease 30, sweat 41.5, gouge 131.5, grade 151.5, drill-ends 186, dust-off 190, dry-fit 195, wipe 210, heat 220, gate 250, lay-out 255, mix 262, tack 262.3, wait 263.9, mix 265.9, wet 268.9, gate 423.9, mix 428.9, place 431.9, tools 439.6, dress 692.2, look 1692.8, hardness 1702.8, clearance 1712.8, proof 1717.8, agree 1732.8, tidy 1735.8',
  ],
  [
    'F4',
    'W-310',
    335.9,
    325,
    'isolate 0, mark-leak 20, protect 25, remove-old 35, degrease 65, grade 82.3, dust-off 134.1, dry 139.1, wipe 149.1, gate 159.1, lay-out 164.1, mix 171.1, plug 173.1, wait 184.2, mix 186.2, place 187.2, mix 189.2, place 190.2, mix 192.1, place 193.1, press 195, film 201, tools 205, look 229.9, hardness 239.9, pressure-half 249.9, pressure-full 274.9, tag 319.9, agree 322.9, tidy 325.9',
  ],
  [
    'F5',
    'W-330',
    3176.3,
    484,
    'isolate 0, protect 20, wall-grid 30, degrease 50, grade 103.4, dust-off 263.6, mask 268.6, wipe 278.6, gate 288.6, lay-out 293.6, mix 300.6, fair 304.6, wait 912, gate 922, mix 927, prime 931, mix 931.4, place 935.4, compact 940.3, bind 942.7, tools 947.7, look 3053.3, thickness 3063.3, hardness 3073.3, pressure-half 3083.3, pressure-full 3108.3, record 3153.3, agree 3163.3, tidy 3166.3',
  ],
  [
    'F6',
    'B-410',
    404,
    141,
    'isolate 0, protect 10, cut 20, degrease 28, grade 38.7, dust-off 58.2, back 61.2, gate 66.2, lay-out 71.2, mix 78.2, condition 79.2, mix 96.5, pour 99.5, cover 100.5, tools 101.1, tack-free 191, look 361, hardness 371, run 381, agree 391, tidy 394',
  ],
  [
    'F7',
    'T-510',
    445.8,
    155,
    'isolate 0, core-out 20, cords 30, protect 40, degrease 50, grade 56.9, dust-off 68.8, cut-strips 73.8, trace 82.8, gate 87.8, lay-out 92.8, mix 99.8, condition 100.8, mix 118.1, drops 118.3, roll 119, mix 119.8, drops 120, roll 120.7, tools 121.5, bevel 155.8, look 407.8, inflate 417.8, agree 432.8, tidy 435.8',
  ],
  [
    'F8',
    'C-620',
    292.4,
    173,
    'isolate 0, protect 5, degrease 15, chase 32.5, grade 50.5, dust-off 85.5, dry 90.5, gate 95.5, lay-out 100.5, mix 105.5, gun 106, mix 108.9, gun 109.4, mix 112.2, gun 112.7, tools 114, grind 156.3, look 263.4, fingernail 273.4, straight 276.4, agree 279.4, tidy 282.4',
  ],
  [
    'F9',
    'C-645',
    2181.5,
    289,
    'isolate 0, protect 10, remove-old 20, degrease 65, cut 83.5, grade 108.5, dust-off 145.1, etch 150.1, neutral 165.1, gate 180.1, dampen 185.1, lay-out 195.1, mix 202.1, coat 204.1, finish 210.9, mix 213.2, coat 215.2, finish 222, joints 253.2, tools 263.2, mix 273.2, seal 274.2, gate 383.1, mix 388.1, seal 389.1, look 2145.5, fingernail 2155.5, level 2158.5, open-traffic 2166.5, agree 2168.5, tidy 2171.5',
  ],
  [
    'F10',
    'C-630',
    1752.1,
    375,
    'isolate 0, protect 15, remove-old 25, clear 50, grade 121.5, dust-off 218.5, dry 223.5, dry 233.5, gate 251.7, lay-out 256.7, mix 261.7, pack 265.7, strike 280.7, mix 285.2, pack 289.2, strike 294.2, mix 295.7, pack 299.7, strike 304.1, tools 305.4, look 1724.1, fingernail 1734.1, open-traffic 1737.1, agree 1739.1, tidy 1742.1',
  ],
  [
    'F11',
    'C-670',
    582.8,
    446,
    'isolate 0, protect 20, grade 30, dust-off 55.4, mark-ports 60.4, dry 79.4, water-temp 89.4, lay-out 94.4, mix 101.4, ports 103.4, band 113.9, mix 120.8, ports 122.8, band 133.3, wait 210, flush 212, mix 222, inject 223, mix 237, inject 238, mix 252, inject 253, mix 267, inject 268, mix 282, inject 283, tools 297, strip-ports 390.9, look 499.8, head 509.8, agree 569.8, tidy 572.8',
  ],
  [
    'F12',
    'X-810',
    9246.1,
    193,
    'isolate 0, protect 20, which-plastic 30, degrease 35, drill-ends 41.2, vee 45.2, grade 55.2, dust-off 65, plug-outlets 70, wipe 80, gate 90, lay-out 95, mix 100, place 105, gate 246.5, mix 251.5, place 256.5, gate 397.9, mix 402.9, place 407.9, lid 408, tools 410, look 9190.1, fingernail 9200.1, fill 9203.1, agree 9233.1, tidy 9236.1',
  ],
  [
    'F13',
    'X-830',
    1376.9,
    156,
    'isolate 0, protect 20, try-dry 30, clean 40, wipe 59.1, peel-tools 64.1, water-temp 69.1, lay-out 74.1, mix 79.1, bed 82.1, hold 90.9, tools 95.9, look 1335.9, sample 1345.9, flow 1348.9, agree 1363.9, tidy 1366.9',
  ],
  [
    'F14',
    'X-840',
    625.3,
    171,
    'isolate 0, protect 15, wash 25, mask 33, grade 41, dust-off 58.6, wipe 63.6, re-mask 73.6, gate 78.6, lay-out 83.6, mix 90.6, level-fill 91.1, demask 92.7, tools 93.7, sand 241.8, gate 251.8, mix 256.8, topcoat 258.8, mix 282, topcoat 284, tools 284, polish 584.3, look 599.3, fingernail 609.3, agree 612.3, tidy 615.3',
  ],
  [
    'F15',
    'X-820',
    443.2,
    162,
    'isolate 0, photo 20, parts 30, mill 45, dust-off 61.2, wipe 64.2, wipe… 69.2, formers-in 74.2, gate 83.2, lay-out 88.2, mix 93.2, passes 96.2, tools 101, formers 382.2, look 390.2, insulation 400.2, creepage 410.2, function 415.2, agree 430.2, tidy 433.2',
  ],
  [
    'F16',
    'S-710',
    1667,
    177,
    'isolate 0, protect 5, cut 15, grade 30, dust-off 83.4, dry 88.4, dry-day 93.4, gate 95.4, lay-out 100.4, mix 105.4, prime 106.4, mix 124.3, rake 128.3, trowel 134.2, tools 138.2, look 1636, fingernail 1646, drain 1649, trip 1652, agree 1654, tidy 1657',
  ],
];

test.each(CLOCKS)('%s with %s runs on this clock', (family, cardCode, ready, labour, clock) => {
  const plan = demoPlan({ survey: surveyOf(family), cardCode, madeAt: AT });
  const words = plan.schedule.map(
    (s) => `${s.step.split('.')[0]}${s.people === 0 ? '…' : ''} ${Number(s.from.toFixed(1))}`,
  );
  expect(words).toEqual(clock.split(', '));
  expect(plan.readyMin).toBeCloseTo(ready, 0);
  expect(Math.round(plan.labourMin)).toBe(labour);
});
