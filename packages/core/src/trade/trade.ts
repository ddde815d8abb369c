import { z } from 'zod';
import type { TradeGroup } from './constant';
import * as ground from './ground';
import * as metal from './metal';
import * as rubber from './rubber';
import * as shell from './shell';
import * as work from './work';

/** Every figure of the trade that core uses and no card or survey gives, in groups. */
export const TRADE_CONSTANTS = {
  ...metal,
  ...rubber,
  ...ground,
  ...shell,
  ...work,
} satisfies Record<string, TradeGroup>;

type Constants = typeof TRADE_CONSTANTS;

/** The values of all constants, as core reads them: `trade.flange.closeMin`. */
export type Trade = {
  readonly [G in keyof Constants]: { readonly [N in keyof Constants[G]]: number };
};

/** Every constant by its id: "flange.closeMin". */
export const TRADE_IDS: readonly string[] = Object.entries(TRADE_CONSTANTS).flatMap(
  ([group, constants]) => Object.keys(constants).map((name) => `${group}.${name}`),
);

/** A site's own values, by id; the others are the usual ones. */
export const OwnTrade = z.partialRecord(z.enum(TRADE_IDS), z.number().min(0));
export type OwnTrade = z.infer<typeof OwnTrade>;

/** The constants with a site's own values in place of the usual ones. */
export const tradeOf = (own: OwnTrade = {}): Trade =>
  Object.fromEntries(
    Object.entries(TRADE_CONSTANTS).map(([group, constants]) => [
      group,
      Object.fromEntries(
        Object.entries(constants).map(([name, { value }]) => [
          name,
          own[`${group}.${name}`] ?? value,
        ]),
      ),
    ]),
  ) as Trade;

/** Every constant at its usual value. */
export const USUAL_TRADE = tradeOf();
const known = new WeakMap<object, Trade>();

/** The constants of a site, made once for each settings object. */
export function tradeAt(site: { trade?: OwnTrade | undefined }): Trade {
  if (!site.trade) return USUAL_TRADE;
  const found = known.get(site.trade) ?? tradeOf(site.trade);
  known.set(site.trade, found);
  return found;
}
