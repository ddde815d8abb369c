import {
  Ack,
  Asset,
  DemoUser,
  DevicePerson,
  Forecast,
  KnownAir,
  LeftoverOffer,
  Me,
  RepairPage,
  ShelfLot,
  Site,
} from '@kelmot/contract';
import { z } from 'zod';
import { loadLaterChunk } from './laterChunk';
import type { wholeSchemas } from './wholeSchemas';

const by =
  <T>(schema: z.ZodType<T>) =>
  (answer: unknown): T =>
    schema.parse(answer);

type Whole = typeof wholeSchemas;
const whole =
  <K extends keyof Whole>(key: K) =>
  async (answer: unknown): Promise<z.output<Whole[K]>> =>
    // The schema's type is lost when it is looked up by a key; the cast restores it.
    (await loadLaterChunk<{ wholeSchemas: Whole }>()).wholeSchemas[key].parse(answer) as z.output<
      Whole[K]
    >;

/** Parses the server's answers with the contract's schemas; throws on a mismatch. */
export const reads = {
  me: by(Me),
  demoUsers: by(z.array(DemoUser)),
  here: by(z.array(DevicePerson)),
  site: by(Site),
  assets: by(z.array(Asset)),
  shelf: by(z.array(ShelfLot)),
  forecast: by(Forecast),
  air: by(KnownAir.nullable()),
  page: by(RepairPage),
  leftovers: by(z.array(LeftoverOffer)),
  ack: by(Ack),
  cards: whole('cards'),
  outcomes: whole('outcomes'),
  repair: whole('repair'),
};

/** The same for answers that are kept on the device; an answer without an entry here is not kept. */
export const readsKept = {
  ...{ me: reads.me, site: reads.site, assets: reads.assets, cards: reads.cards },
  ...{ shelf: reads.shelf, forecast: reads.forecast, air: reads.air, repair: reads.repair },
  ...{ leftovers: reads.leftovers, here: reads.here },
  repairs: by(z.object({ pages: z.array(RepairPage), pageParams: z.array(z.string().nullable()) })),
};
