import { z } from 'zod';
import { MilestoneId } from '../materials/card';
import { PERMISSIONS } from '../materials/words';

export const STATIONS = ['survey', 'match', 'prep', 'mix', 'build', 'cure', 'accept'] as const;
export const StationId = z.enum(STATIONS);
export type StationId = z.infer<typeof StationId>;
export const STATION_NAMES: Record<StationId, string> = {
  survey: 'Survey',
  match: 'Match',
  prep: 'Prep',
  mix: 'Mix',
  build: 'Build',
  cure: 'Cure',
  accept: 'Accept',
};

const bound = () => z.number().nullable();

/** What must be shown before the job goes on. */
export const Hold = z.discriminatedUnion('kind', [
  /** A tick. */
  z.strictObject({ kind: z.literal('check') }),
  /** Air, humidity and surface against the card’s limits. */
  z.strictObject({ kind: z.literal('ambient') }),
  /** One figure inside its limits. */
  z.strictObject({
    kind: z.literal('reading'),
    label: z.string(),
    quantity: z.enum(['length', 'thinFilm', 'temperature', 'percent', 'pressure', 'force', 'mass']),
    min: bound(),
    max: bound(),
  }),
  z.strictObject({
    kind: z.literal('hardness'),
    target: z.number(),
    minReadings: z.int(),
    minSharePct: z.number(),
    scale: z.enum(['A', 'D']).default('D'),
  }),
  /** Several thicknesses: their mean on target, none under four fifths of it. */
  z.strictObject({
    kind: z.literal('thickness'),
    targetMm: z.number(),
    minReadings: z.int(),
  }),
  /** A wait that runs from when it was started. */
  z.strictObject({ kind: z.literal('countdown'), label: z.string(), minutes: z.number() }),
  /** A picture of what will be covered. */
  z.strictObject({ kind: z.literal('photo'), label: z.string() }),
  /** The name of who may decide, and where it is written. */
  z.strictObject({ kind: z.literal('approval'), who: z.enum(PERMISSIONS) }),
]);
export type Hold = z.infer<typeof Hold>;

export const Step = z.strictObject({
  id: z.string(),
  station: StationId,
  title: z.string(),
  text: z.string(),
  minutes: z.number().min(0),
  people: z.int().min(1),
  /** Not before this moment of the last mix’s cure; null where it follows the step before. */
  waitsFor: MilestoneId.nullable().default(null),
  hold: Hold.nullable(),
  wrong: z.array(z.strictObject({ sign: z.string(), remedy: z.string() })),
  figures: z.array(z.string()),
});
export type Step = z.infer<typeof Step>;

/** A step as a method file writes it: what is left out takes the usual value. */
export type StepDraft = Pick<Step, 'id' | 'station' | 'minutes'> &
  Partial<Omit<Step, 'text' | 'title'>> & {
    title: string;
    /** Given as a function, since the hours of a job are asked for far more often than its words. */
    text: () => string;
  };

export const finishStep = (draft: StepDraft): Step => ({
  people: 1,
  waitsFor: null,
  hold: null,
  wrong: [],
  figures: [],
  ...draft,
  text: draft.text(),
});
