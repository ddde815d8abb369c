import { z } from 'zod';

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

/** What must be shown before the job goes on: a tick, a reading against limits, a gate, hardness, a name. */
export const Hold = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('check') }),
  z.strictObject({ kind: z.literal('ambient') }),
  z.strictObject({
    kind: z.literal('reading'),
    label: z.string(),
    quantity: z.enum(['length', 'thinFilm', 'temperature', 'percent']),
    min: bound(),
    max: bound(),
  }),
  z.strictObject({
    kind: z.literal('hardness'),
    target: z.number(),
    minReadings: z.int(),
    minSharePct: z.number(),
  }),
]);
export type Hold = z.infer<typeof Hold>;

export const Step = z.strictObject({
  id: z.string(),
  station: StationId,
  title: z.string(),
  text: z.string(),
  minutes: z.number().min(0),
  people: z.int().min(1),
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
  hold: null,
  wrong: [],
  figures: [],
  ...draft,
  text: draft.text(),
});
