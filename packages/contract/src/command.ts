import { INTENTS, StationId, Survey } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant, Version } from './ids';
import { ReadingValues, SIGNOFF_VERDICTS } from './repair';

const base = { id: Id, repairId: Id, at: Instant };
const grams = () => z.number().gt(0).max(1e6);
/** Most of a picture in base64, characters: a phone’s photo at 1280 px is half of it. */
export const MOST_PHOTO = 450_000;
const note = () => z.string().max(500);

/**
 * Every write, told apart by `type`. `id` is made by the client: the same command sent twice has one effect.
 * `expect` is the version the person was looking at; an older one gets 409 with both states.
 */
export const Command = z.discriminatedUnion('type', [
  z.strictObject({ ...base, type: z.literal('repair.create'), survey: Survey }),
  z.strictObject({ ...base, type: z.literal('survey.save'), expect: Version, survey: Survey }),
  z.strictObject({
    ...base,
    type: z.literal('plan.make'),
    expect: Version,
    planId: Id,
    cardCode: z.string().max(12),
    intent: z.enum(INTENTS),
    /** What was chosen where practitioners differ, by question. */
    schools: z.record(z.string().max(20), z.string().max(20)).default({}),
    /** Second materials that were chosen by the person, card code by purpose. */
    seconds: z.record(z.string().max(20), z.string().max(12)).default({}),
  }),
  z.strictObject({ ...base, type: z.literal('station.move'), expect: Version, station: StationId }),
  z.strictObject({
    ...base,
    type: z.literal('check.set'),
    stepId: z.string().max(60),
    /** The batch it was done with; null: the step as a whole. */
    batchNo: z.int().min(1).max(10000).nullable().default(null),
    done: z.boolean(),
    note: note(),
  }),
  z.strictObject({
    ...base,
    type: z.literal('reading.add'),
    stepId: z.string().max(60),
    values: ReadingValues,
  }),
  z.strictObject({
    ...base,
    type: z.literal('mix.start'),
    batchNo: z.int().min(1).max(10000),
    /** What the scale shows of both parts; null where nothing is weighed. */
    aG: grams().nullable(),
    bG: grams().nullable(),
    lot: z.string().max(60),
  }),
  z.strictObject({
    ...base,
    type: z.literal('photo.add'),
    stepId: z.string().max(60),
    mime: z.enum(['image/jpeg', 'image/png']),
    /** The picture, made small on the device, in base64. */
    data: z.base64().min(16).max(MOST_PHOTO),
  }),
  z.strictObject({ ...base, type: z.literal('mix.placed'), mixId: Id }),
  z.strictObject({ ...base, type: z.literal('mix.binned'), mixId: Id }),
  z.strictObject({
    ...base,
    type: z.literal('signoff.add'),
    verdict: z.enum(SIGNOFF_VERDICTS),
    statement: z.string().trim().min(3).max(500),
  }),
]);
export type Command = z.infer<typeof Command>;

/** The state after a command, as acknowledged: it is in the database. */
export const Ack = z.object({ commandId: Id, repairId: Id, version: Version });
export type Ack = z.infer<typeof Ack>;
