import { t } from '@kelmot/core';
import { isDeepStrictEqual } from 'node:util';
import type { CardFile, CardOutcome, Me } from '@kelmot/contract';
import type { Card } from '@kelmot/core';
import { and, desc, eq, inArray } from 'drizzle-orm';
import type { Db } from '../db/client';
import { durably } from '../db/durably';
import { cards } from '../db/plant';
import { ProblemError } from '../common/problemError';
import { writeAudit, auditRejections, type Actor } from './auditLines';
import { lockById } from './idempotency';

const without = ({ version: _version, ...rest }: Card) => rest;

/**
 * Imports cards. A card with new content becomes the next version, so that old plans keep theirs; an unchanged card is
 * skipped. A card edited from an older version is rejected with its code, and with it the whole file, because somebody
 * else changed it in between. All or nothing.
 */
export function importCards(
  db: Db,
  me: Me,
  { file, address }: { file: CardFile; address: string | null },
): Promise<CardOutcome[]> {
  const doer = { by: me.id, address };
  const body = { type: 'cards.import', codes: file.cards.map((c) => c.code) };
  return auditRejections(db, doer, {
    line: { body },
    work: () => imported(db, me, { file, doer }),
  });
}

async function imported(
  db: Db,
  me: Me,
  { file, doer }: { file: CardFile; doer: Actor },
): Promise<CardOutcome[]> {
  if (me.role !== 'planner')
    throw new ProblemError(403, t('Only a planner changes cards'), {
      detail: t('Ask a planner to import them.'),
    });
  const codes = file.cards.map((c) => c.code);
  const twice = codes.find((code, i) => codes.indexOf(code) !== i);
  if (twice)
    throw new ProblemError(422, t('Input out of range'), {
      issues: [
        { path: 'cards', message: t('{twice} stands twice; give each card once', { twice }) },
      ],
    });
  return durably(db, async (tx) => {
    // One import at a time: cards are only added, so there is no row to lock.
    await lockById(tx, `cards of ${me.siteId}`);
    const stored = await tx
      .select({ code: cards.code, version: cards.version, body: cards.body })
      .from(cards)
      .where(and(eq(cards.siteId, me.siteId), inArray(cards.code, codes)))
      .orderBy(desc(cards.version));
    const outcomes: CardOutcome[] = [];
    for (const [i, card] of file.cards.entries()) {
      const newest = stored.find((s) => s.code === card.code);
      if (newest && isDeepStrictEqual(without(newest.body), without(card))) {
        outcomes.push({ code: card.code, version: newest.version, outcome: 'unchanged' });
        continue;
      }
      if (newest && card.version < newest.version)
        throw new ProblemError(409, t('{code} was changed in between', { code: card.code }), {
          issues: [
            {
              path: `cards.${i}.version`,
              message: t(
                'is {version}; the newest is {newest}. Export again and put your change into it',
                { version: card.version, newest: newest.version },
              ),
            },
          ],
        });
      const version = (newest?.version ?? 0) + 1;
      const [made] = await tx
        .insert(cards)
        .values({
          siteId: me.siteId,
          code: card.code,
          version,
          role: card.role,
          body: { ...card, version },
        })
        .onConflictDoNothing()
        .returning({ version: cards.version });
      if (!made)
        throw new ProblemError(409, t('{code} was changed in between', { code: card.code }), {
          detail: t('Send it again.'),
        });
      outcomes.push({ code: card.code, version, outcome: newest ? 'new-version' : 'added' });
    }
    await writeAudit(tx, doer, { type: 'cards.import', body: outcomes });
    return outcomes;
  });
}
