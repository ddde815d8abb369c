import { t } from '@kelmot/core';
import {
  MOST_WRONG_CODES,
  Role,
  type CodeSignIn,
  type DevicePerson,
  type Me,
  type OwnCode,
} from '@kelmot/contract';
import { hash, verify } from '@node-rs/argon2';
import { and, asc, eq, lt, sql } from 'drizzle-orm';
import type { Db } from '../db/client';
import { accounts, deviceCodes, users } from '../db/people';
import { ProblemError } from '../common/problemError';
import { writeAudit, auditRejections } from './auditLines';
import { isOwnPassword } from './people';

const of = (device: string, userId: string) =>
  and(eq(deviceCodes.device, device), eq(deviceCodes.userId, userId));

/**
 * The people with a code on a device and whether they may still sign in, by name; empty for a device without a cookie.
 */
export async function peopleOf(db: Db, device: string | null): Promise<DevicePerson[]> {
  if (device === null) return [];
  const rows = await db
    .select({
      ...{ id: users.id, name: users.name, role: users.role },
      ...{ siteId: users.siteId, approves: users.approves },
    })
    .from(deviceCodes)
    .innerJoin(users, eq(users.id, deviceCodes.userId))
    .innerJoin(accounts, eq(accounts.userId, users.id))
    .where(eq(deviceCodes.device, device))
    .orderBy(asc(users.name));
  return rows.map((row) => ({ ...row, role: Role.parse(row.role) }));
}

/** The device and address of a request. */
interface Here {
  device: string;
  address: string | null;
}

/** Sets a person's own code on a device, in place of an earlier one. Throws ProblemError for a wrong password. */
export function setCode(
  db: Db,
  me: Me,
  { own: { code, password }, here }: { own: OwnCode; here: Here },
): Promise<void> {
  const doer = { by: me.id, address: here.address };
  const body = { type: 'person.code', username: me.username };
  return auditRejections(db, doer, {
    line: { body },
    work: async () => {
      if (!(await isOwnPassword(db, me.id, password)))
        throw new ProblemError(422, t('Input out of range'), {
          issues: [
            { path: 'password', message: t('is not your password; type the one you sign in with') },
          ],
        });
      const set = { code: await hash(code), tries: 0, createdAt: new Date() };
      await db.transaction(async (tx) => {
        await tx
          .insert(deviceCodes)
          .values({ device: here.device, userId: me.id, ...set })
          .onConflictDoUpdate({ target: [deviceCodes.device, deviceCodes.userId], set });
        await writeAudit(tx, doer, { type: 'person.code', body: { username: me.username } });
      });
    },
  });
}

/** Removes a person's code from the device. */
export async function dropCode(db: Db, me: Me, device: string | null): Promise<void> {
  if (device !== null) await db.delete(deviceCodes).where(of(device, me.id));
}

const USE_PASSWORD = t('Sign in with the password; then set a new code.');

/**
 * Signs in by code. A try is counted before it is checked, so that simultaneous tries count too. Throws ProblemError
 * for a wrong code; after five in a row the device asks for the password.
 */
export async function checkCode(
  db: Db,
  { device, address }: { device: string | null; address: string | null },
  { personId, code }: CodeSignIn,
): Promise<string> {
  const known = (await peopleOf(db, device)).some((p) => p.id === personId);
  const [user] = await db
    .select({ username: users.username })
    .from(users)
    .where(eq(users.id, personId));
  const username = known ? user?.username : undefined;
  // Not counted as a rejected name: five tries are the limit, and they do not block the password.
  const body = { type: 'code', codeOf: username };
  return auditRejections(
    db,
    { by: null, address },
    {
      line: { body },
      work: async () => {
        const [found] =
          device !== null && known
            ? await db
                .update(deviceCodes)
                .set({ tries: sql`${deviceCodes.tries} + 1` })
                .where(and(of(device, personId), lt(deviceCodes.tries, MOST_WRONG_CODES)))
                .returning({ code: deviceCodes.code, tries: deviceCodes.tries })
            : [];
        if (!device || !found)
          throw new ProblemError(401, t('There is no code here any more'), {
            detail: USE_PASSWORD,
          });
        if (!(await verify(found.code, code))) {
          const left = MOST_WRONG_CODES - found.tries;
          if (left > 0)
            throw new ProblemError(401, t('This code is wrong'), {
              detail: t('Tries left: {left}.', { left }),
            });
          await db.delete(deviceCodes).where(of(device, personId));
          throw new ProblemError(401, t('This code was wrong too often'), { detail: USE_PASSWORD });
        }
        await db.update(deviceCodes).set({ tries: 0 }).where(of(device, personId));
        await writeAudit(
          db,
          { by: personId, address },
          { type: 'sign-in', body: { username, by: 'code' } },
        );
        return personId;
      },
    },
  );
}
