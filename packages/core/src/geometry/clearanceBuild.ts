import { t } from '../text/text';
import { z } from 'zod';
import { defineCalc, formatFigure, line, worked, type Worked } from '../calc/calc';
import { named } from '../calc/field';
import { atLeastZero } from '../calc/number';

export const ClearanceBuildInput = z.strictObject({
  stations: z
    .array(
      z.strictObject({
        name: z
          .string()
          .trim()
          .min(1)
          .max(80)
          .meta(named(t('Place'))),
        clearanceMm: atLeastZero().meta(named(t('Clearance'), 'mm')),
        marginMm: atLeastZero().meta(named(t('Margin'), 'mm')),
        wantedMm: atLeastZero().meta(named(t('Build wanted'), 'mm')),
      }),
    )
    .min(1)
    .max(1000)
    .meta(named(t('Places'))),
});
export type ClearanceBuildInput = z.output<typeof ClearanceBuildInput>;
export interface StationBuild {
  name: string;
  buildMm: number;
  verdict: 'ok' | 'reduced' | 'none';
}

/** The thickness that can be built at each station without touching the part that moves past it, mm. Never refuses. */
export function clearanceBuild({
  stations,
}: ClearanceBuildInput): Worked<{ stations: StationBuild[] }> {
  const built = stations.map(({ name, clearanceMm, marginMm, wantedMm }): StationBuild => {
    const buildMm = Math.max(0, Math.min(wantedMm, clearanceMm - marginMm));
    const verdict = buildMm === 0 ? 'none' : buildMm < wantedMm ? 'reduced' : 'ok';
    return { name, buildMm, verdict };
  });
  const working = [
    ...stations.map((s, i) => {
      const { buildMm, verdict } = built[i] as StationBuild;
      return line({
        symbol: `b${i + 1}`,
        label: `${s.name}, ${verdict}`,
        expression: t('min({wanted}, {clearance} − {margin}), not below 0', {
          wanted: formatFigure(s.wantedMm),
          clearance: formatFigure(s.clearanceMm),
          margin: formatFigure(s.marginMm),
        }),
        value: buildMm,
        unit: 'mm',
        source: t('dry fit'),
      });
    }),
    line({
      symbol: '',
      label: t('stations'),
      expression: t('built as wanted, of all'),
      value: `${built.filter((b) => b.verdict === 'ok').length} of ${built.length}`,
    }),
  ];
  return worked({ stations: built }, working);
}

export const clearanceBuildCalc = defineCalc({
  name: 'clearance-build',
  purpose: t('How thick may be built at each station without fouling.'),
  input: ClearanceBuildInput,
  run: clearanceBuild,
  result: {
    stations: {
      ...named(t('Places')),
      of: {
        name: named(t('Place')),
        buildMm: named(t('Build'), 'mm'),
        verdict: named(t('Verdict')),
      },
    },
  },
  formula: [t('build = min(wanted, clearance − margin), not below 0')],
  source: t('Clearances measured at a dry fit.'),
  limits: t('Measure with the parts as they move, warm and loaded.'),
  example: {
    stations: [
      { name: t('cover side'), clearanceMm: 9.4, marginMm: 1, wantedMm: 6 },
      { name: t('pin side'), clearanceMm: 4.2, marginMm: 1, wantedMm: 6 },
    ],
  },
});
