import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { ceil, lossPct, positive } from '../calc/number';

const PortRow = z.strictObject({
  uptoWidthMm: positive().meta(named(t('Up to width'), 'mm')),
  minutes: z
    .number()
    .min(0)
    .max(1e5)
    .meta(named(t('Minutes'), 'min')),
});

export const InjectionInput = z.strictObject({
  crackLengthMm: positive().meta(named(t('Crack length'), 'mm')),
  wallMm: positive().meta(named(t('Wall'), 'mm')),
  maxSpacingMm: positive().meta(named(t('Widest spacing'), 'mm')),
  crackWidthMm: positive().meta(named(t('Crack width'), 'mm')),
  sealWidthMm: positive().meta(named(t('Seal width'), 'mm')),
  sealThickMm: positive().meta(named(t('Seal thickness'), 'mm')),
  sealFaces: z
    .int()
    .min(1)
    .max(2)
    .default(1)
    .meta(named(t('Faces sealed'))),
  lossPct: lossPct().meta(named(t('Lost into the wall'), '%')),
  expansion: z
    .number()
    .min(1)
    .max(100)
    .default(1)
    .meta(named(t('Expands, times'))),
  minutesPerPort: z
    .array(PortRow)
    .min(1)
    .max(100)
    .meta(named(t('Minutes a port'))),
});
export type InjectionInput = z.output<typeof InjectionInput>;
export interface Injection {
  ports: number;
  spacingMm: number;
  sealMl: number;
  resinMl: number;
  minutes: number;
}

/**
 * Ports, seal paste and resin for injecting a wall crack (mm in, ml out), and the minutes: ports × minutes at a port,
 * from the row for the crack's width. Expansion of a foam held in the crack, 1 if unknown. Never refuses.
 */
export function injection(input: InjectionInput): Worked<Injection> {
  const { crackLengthMm, wallMm, maxSpacingMm, crackWidthMm, sealFaces, lossPct, expansion } =
    input;
  const widest = Math.min(wallMm, maxSpacingMm);
  const gaps = Math.max(1, ceil(crackLengthMm / widest));
  const ports = gaps + 1;
  const spacingMm = crackLengthMm / gaps;
  const sealMl = (crackLengthMm * input.sealWidthMm * input.sealThickMm * sealFaces) / 1000;
  const resinMl = (crackLengthMm * wallMm * crackWidthMm * (1 + lossPct / 100)) / expansion / 1000;
  const rows = [...input.minutesPerPort].sort((p, q) => p.uptoWidthMm - q.uptoWidthMm);
  const row = rows.find((r) => r.uptoWidthMm >= crackWidthMm) ?? rows[rows.length - 1];
  const perPort = row?.minutes ?? 0;
  const minutes = ports * perPort;
  const working = [
    line({
      symbol: 'smax',
      label: t('widest spacing'),
      expression: `min(${formatFigure(wallMm)}, ${formatFigure(maxSpacingMm)})`,
      value: widest,
      unit: 'mm',
      source: t('wall thickness, card'),
    }),
    line({
      symbol: 's',
      label: t('spacing'),
      expression: `${formatFigure(crackLengthMm)}/(${ports} − 1)`,
      value: spacingMm,
      unit: 'mm',
    }),
    line({
      symbol: 'Vs',
      label: t('seal paste'),
      expression: `${formatFigure(crackLengthMm)}·${formatFigure(input.sealWidthMm)}·${formatFigure(input.sealThickMm)}·${sealFaces}/1000`,
      value: sealMl,
      unit: 'ml',
    }),
    line({
      symbol: 'Vr',
      label: t('resin'),
      expression: `${formatFigure(crackLengthMm)}·${formatFigure(wallMm)}·${formatFigure(crackWidthMm)}·(1 + ${formatFigure(lossPct)} %)/${formatFigure(expansion)}/1000`,
      value: resinMl,
      unit: 'ml',
    }),
    line({
      symbol: 't',
      label: t('time to inject'),
      expression: t('{ports}·{perPort}, crack of {crackWidth} mm', {
        ports,
        perPort: formatFigure(perPort),
        crackWidth: formatFigure(crackWidthMm),
      }),
      value: minutes,
      unit: 'min',
      source: 'card',
    }),
    line({
      symbol: 'n',
      label: t('ports'),
      expression: t('{crackLength}/{widest}, rounded up, + 1', {
        crackLength: formatFigure(crackLengthMm),
        widest: formatFigure(widest),
      }),
      value: ports,
    }),
  ];
  return worked({ ports, spacingMm, sealMl, resinMl, minutes }, working);
}

export const injectionCalc = defineCalc({
  name: 'injection',
  purpose: t('Ports, paste, resin and time for injecting a wall crack.'),
  input: InjectionInput,
  run: injection,
  result: {
    ports: named(t('Ports')),
    spacingMm: named(t('Spacing'), 'mm'),
    sealMl: named(t('Seal'), 'ml'),
    resinMl: named(t('Resin'), 'ml'),
    minutes: named(t('Minutes'), 'min'),
  },
  formula: [
    t('n = L/min(wall, most) rounded up, + 1; spacing = L/(n − 1)'),
    t('seal = L·w·t·faces; resin = L·wall·width·(1 + loss)/expansion'),
    t('minutes = n × the row for the width'),
  ],
  source: t('Port spacing by the wall’s thickness, as the trade does it.'),
  limits: t(
    'A crack of even width right through. Voids behind it take more; watch the lowest port.',
  ),
  example: {
    crackLengthMm: 2683,
    wallMm: 465,
    maxSpacingMm: 200,
    crackWidthMm: 0.4,
    sealWidthMm: 44,
    sealThickMm: 2,
    lossPct: 27,
    minutesPerPort: [
      { uptoWidthMm: 0.3, minutes: 4.5 },
      { uptoWidthMm: 1, minutes: 3 },
      { uptoWidthMm: 3, minutes: 2 },
    ],
  },
});
