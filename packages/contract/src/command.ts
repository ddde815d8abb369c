import { INTENTS, StationId, Survey, typedLines, typedText, t } from '@kelmot/core';
import { z } from 'zod';
import { Id, Instant, Version } from './ids';
import {
  LEAST_NOTE,
  MOST_INSTRUMENT,
  MOST_LOT,
  MOST_NOTE,
  ReadingValues,
  SIGNOFF_VERDICTS,
} from './records';

const base = { id: Id, repairId: Id, at: Instant };
const grams = () => z.number().gt(0).max(1e6);
/** Largest picture in base64, characters: about twice a phone’s photo at 1280 px. */
export const MOST_PHOTO = 450_000;
const note = () => typedLines(MOST_NOTE);
/** The plan that the author saw. Absent from older devices: then the present plan. */
const record = { ...base, planId: Id.optional() };

const PICTURES = ['image/jpeg', 'image/png'] as const;
/** The first bytes of each picture type, in base64. */
const BEGINS: Record<(typeof PICTURES)[number], string> = {
  'image/jpeg': '/9j/',
  'image/png': 'iVBORw0KGgo',
};

/**
 * Every write, distinguished by `type`. The client makes `id`: the same command sent twice has one effect. `expect` is
 * the version that the person saw; an older one is answered with 409 and both states.
 */
export const Command = z.discriminatedUnion('type', [
  z.strictObject({ ...base, type: z.literal('repair.create'), survey: Survey }),
  z.strictObject({ ...base, type: z.literal('survey.save'), expect: Version, survey: Survey }),
  z.strictObject({
    ...base,
    type: z.literal('plan.make'),
    expect: Version,
    planId: Id,
    cardCode: typedText(12, 1),
    intent: z.enum(INTENTS),
    /** The chosen school, by question. */
    schools: z.record(typedText(20, 1), typedText(20)).default({}),
    /** Second materials that the person chose, card code by purpose. */
    seconds: z.record(typedText(20, 1), typedText(12)).default({}),
  }),
  z.strictObject({ ...base, type: z.literal('station.move'), expect: Version, station: StationId }),
  z.strictObject({
    ...record,
    type: z.literal('check.set'),
    stepId: typedText(60, 1),
    /** The batch of the tick; null: the whole step. */
    batchNo: z.int().min(1).max(10000).nullable().default(null),
    done: z.boolean(),
    note: note(),
  }),
  z.strictObject({
    ...record,
    type: z.literal('reading.add'),
    stepId: typedText(60, 1),
    values: ReadingValues,
  }),
  z.strictObject({
    ...record,
    type: z.literal('mix.start'),
    batchNo: z.int().min(1).max(10000),
    /** The weighed mass of both parts; null if nothing is weighed. */
    aG: grams().nullable(),
    bG: grams().nullable(),
    lot: typedText(MOST_LOT),
    /** The scale that sent both masses; absent if one was typed. */
    instrument: typedText(MOST_INSTRUMENT, 1).optional(),
  }),
  z
    .strictObject({
      ...record,
      type: z.literal('photo.add'),
      stepId: typedText(60, 1),
      mime: z.enum(PICTURES),
      /** The picture, reduced on the device, in base64. */
      data: z.base64().min(16).max(MOST_PHOTO),
    })
    .refine(({ mime, data }) => data.startsWith(BEGINS[mime]), {
      path: ['data'],
      message: t('is not a picture of this type; take or choose it again'),
    }),
  z.strictObject({ ...base, type: z.literal('mix.placed'), mixId: Id }),
  z.strictObject({ ...base, type: z.literal('mix.binned'), mixId: Id }),
  z.strictObject({
    ...record,
    type: z.literal('signoff.add'),
    /** The version that the signing person saw; absent from older devices. */
    expect: Version.optional(),
    verdict: z.enum(SIGNOFF_VERDICTS),
    statement: typedLines(MOST_NOTE, LEAST_NOTE),
    /**
     * The reason for signing before the cure has ended by this server's clock: the work was done without signal and
     * sent later.
     */
    override: typedLines(MOST_NOTE, LEAST_NOTE).nullable().default(null),
  }),
]);
export type Command = z.infer<typeof Command>;
