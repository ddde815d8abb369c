import {
  everyField,
  familyOf,
  readDraft,
  shownUnit,
  type SurveyDraft,
  type UnitSystem,
} from '@kelmot/core';

/** Answers on an ordinary day, as typed, for fields without a usual answer. */
const PLAIN: Readonly<Record<string, string>> = {
  'joint.pressureBar': '2 bar',
  'line.pressureBar': '2 bar',
  'line.designC': '40 °C',
  'load.loadN': '500 N',
  'load.clearanceMm': '20 mm',
  'load.serviceC': '30 °C',
  'belt.runsC': '25 °C',
  'tyre.cords': 'covered',
  'floor.panelMm': '4 m',
  'floor.swingC': '8 °C',
  'yard.panelMm': '5 m',
  'yard.swingC': '10 °C',
  'wall.panelMm': '2 m',
  'wall.swingC': '3 °C',
  'board.lampWcm2': '0.5',
  'board.hotC': '60 °C',
  'service.medium': 'water',
  'service.ph': '7',
  'service.mediumC': '30 °C',
  'window.downMin': '40 h',
  'site.tools': 'blast',
  'readings.airC': '20 °C',
  'readings.rhPct': '50 %',
  'readings.surfaceC': '20 °C',
};

export interface PlainAsk {
  family: string;
  shapes: readonly string[];
  intent?: SurveyDraft['intent'];
  startAt: string;
  tag?: string;
  costPerHour?: number;
  /** As typed, by the field's path. */
  answers?: Readonly<Record<string, string>>;
}

/** A draft's bare numbers with their unit added. */
const metric = (draft: SurveyDraft): Record<string, string> =>
  Object.fromEntries(
    everyField(draft).flatMap(({ path, field }) => {
      const text = draft.texts[path] ?? '';
      if (field.kind !== 'quantity' || !/^[\d.]+$/.test(text)) return [];
      return [[path, `${text} ${shownUnit(field.quantity, 'metric').symbol}`.trim()]];
    }),
  );

/** A typed survey: missing answers are the family’s usual ones, then typical sizes, then those of an ordinary day. */
export function plainDraft(ask: PlainAsk): SurveyDraft {
  const { family, shapes, intent = 'lasting', startAt, tag = 'X-1', costPerHour = 0 } = ask;
  const { usual, typicalParent, shapes: known } = familyOf(family);
  const sizes = shapes.flatMap((shape, i) =>
    Object.entries(known.find((s) => s.shape === shape)?.typical ?? {}).map(
      ([key, x]) => [`damages.${i}.${key}`, String(x)] as const,
    ),
  );
  const parent = { 'parent.material': typicalParent };
  const texts = { ...PLAIN, ...parent, ...Object.fromEntries(sizes), ...usual };
  const asset = { id: null, tag, name: tag, position: '', costPerHour };
  const draft = { family, intent, startAt, asset, shapes: [...shapes], texts };
  // These are metric, whatever the unit system.
  return { ...draft, texts: { ...texts, ...metric(draft), ...ask.answers } };
}

/** The same, parsed: the survey, or the errors by answer. An answer to no field is an error. */
export function plainSurvey(ask: PlainAsk, units: UnitSystem = 'metric') {
  const draft = plainDraft(ask);
  const paths = new Set(everyField(draft).map((p) => p.path));
  const strange = Object.keys(ask.answers ?? {}).filter((path) => !paths.has(path));
  const read = readDraft(draft, units);
  if (strange.length === 0) return read;
  const issues = strange.map((path) => ({
    path,
    message: `no such field here; there are ${[...paths].join(', ')}`,
  }));
  return { survey: null, issues: [...issues, ...read.issues] };
}
