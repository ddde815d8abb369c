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
    1748.8,
    369,
    'isolate 0, protect 20, degrease 30, sweat 41.5, gouge 131.5, grade 151.5, drill-ends 186, dust-off 190, dry-fit 195, wipe 210, heat 220, gate 250, lay-out 255, mix 260, tack 260.3, wait 261.9, lay-out 263.9, mix 268.9, wet 271.9, lay-out 272.2, gate 426.9, mix 431.9, place 434.9, tools 442.6, dress 695.2, look 1695.8, hardness 1705.8, clearance 1715.8, proof 1720.8, agree 1735.8, tidy 1738.8',
  ],
  [
    'F4',
    'W-310',
    338.9,
    326,
    'isolate 0, mark-leak 20, protect 25, remove-old 35, degrease 65, grade 82.3, dust-off 134.1, dry 139.1, wipe 149.1, gate 159.1, lay-out 164.1, mix 169.1, plug 171.1, wait 182.2, lay-out 184.2, mix 189.2, place 190.2, mix 192.2, place 193.2, mix 195.1, place 196.1, press 198, film 204, tools 208, look 232.9, hardness 242.9, pressure-half 252.9, pressure-full 277.9, tag 322.9, agree 325.9, tidy 328.9',
  ],
  [
    'F5',
    'W-330',
    3184.3,
    500,
    'isolate 0, protect 20, wall-grid 30, degrease 50, grade 103.4, dust-off 263.6, mask 268.6, wipe 278.6, gate 288.6, lay-out 293.6, mix 298.6, fair 302.6, wait 910, lay-out 920, gate 925, mix 930, prime 934, lay-out 934.4, mix 939.4, place 943.4, compact 948.3, bind 950.7, tools 955.7, look 3061.3, thickness 3071.3, hardness 3081.3, record 3091.3, pressure-half 3101.3, pressure-full 3126.3, agree 3171.3, tidy 3174.3',
  ],
  [
    'F6',
    'B-410',
    402,
    142,
    'isolate 0, protect 10, cut 20, degrease 28, grade 38.7, dust-off 58.2, back 61.2, gate 66.2, lay-out 71.2, mix 76.2, condition 77.2, lay-out 77.5, mix 94.5, pour 97.5, cover 98.5, tools 99.1, tack-free 189, look 359, hardness 369, run 379, agree 389, tidy 392',
  ],
  [
    'F7',
    'T-510',
    443.8,
    158,
    'isolate 0, core-out 20, cords 30, protect 40, degrease 50, grade 56.9, dust-off 68.8, cut-strips 73.8, trace 82.8, gate 87.8, lay-out 92.8, mix 97.8, condition 98.8, lay-out 98.9, mix 116.1, drops 116.3, roll 117, mix 117.8, drops 118, roll 118.7, tools 119.5, bevel 153.8, look 405.8, inflate 415.8, agree 430.8, tidy 433.8',
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
    2179.5,
    295,
    'isolate 0, protect 10, remove-old 20, degrease 65, cut 83.5, grade 108.5, dust-off 145.1, etch 150.1, neutral 165.1, gate 180.1, dampen 185.1, lay-out 195.1, mix 200.1, coat 202.1, finish 208.9, mix 211.2, coat 213.2, finish 220, joints 251.2, tools 261.2, lay-out 266.2, mix 271.2, seal 272.2, lay-out 272.4, gate 381.1, mix 386.1, seal 387.1, look 2143.5, fingernail 2153.5, level 2156.5, open-traffic 2164.5, agree 2166.5, tidy 2169.5',
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
    585.8,
    452,
    'isolate 0, protect 20, grade 30, dust-off 55.4, mark-ports 60.4, dry 79.4, water-temp 89.4, lay-out 94.4, mix 99.4, ports 101.4, band 111.9, mix 118.8, ports 120.8, band 131.3, wait 208, flush 210, lay-out 220, mix 225, inject 226, mix 240, inject 241, mix 255, inject 256, mix 270, inject 271, mix 285, inject 286, tools 300, strip-ports 393.9, look 502.8, head 512.8, agree 572.8, tidy 575.8',
  ],
  [
    'F12',
    'X-810',
    9246.1,
    213,
    'isolate 0, protect 20, which-plastic 30, degrease 35, drill-ends 41.2, vee 45.2, grade 55.2, dust-off 65, plug-outlets 70, wipe 80, gate 90, lay-out 95, mix 100, place 105, lay-out 105.1, gate 246.5, mix 251.5, place 256.5, lay-out 256.5, gate 397.9, mix 402.9, place 407.9, lid 408, tools 410, look 9190.1, fingernail 9200.1, fill 9203.1, agree 9233.1, tidy 9236.1',
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
    628.3,
    187,
    'isolate 0, protect 15, wash 25, mask 33, grade 41, dust-off 58.6, wipe 63.6, re-mask 73.6, gate 78.6, lay-out 83.6, mix 88.6, level-fill 89.1, demask 90.7, tools 91.7, sand 239.8, lay-out 249.8, gate 254.8, mix 259.8, topcoat 261.8, lay-out 261.8, mix 285, topcoat 287, tools 287, polish 587.3, look 602.3, fingernail 612.3, agree 615.3, tidy 618.3',
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
    1662,
    177,
    'isolate 0, protect 5, cut 15, grade 30, dust-off 83.4, dry 88.4, dry-day 93.4, gate 95.4, mix 100.4, prime 101.4, lay-out 107.4, mix 119.3, rake 123.3, trowel 129.2, tools 133.2, look 1631, fingernail 1641, drain 1644, trip 1647, agree 1649, tidy 1652',
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
