import { t } from '@kelmot/core';
import { PersonDraft, Role, type Me, type NewPassword, type PersonChange } from '@kelmot/contract';
import { verify } from '@node-rs/argon2';
import { and, asc, eq, ne } from 'drizzle-orm';
import { hashPassword } from './auth';
import type { Db, Tx } from '../db/client';
import { accounts, deviceCodes, sessions, users } from '../db/people';
import { sites } from '../db/plant';
import { notFound, ProblemError } from '../common/problemError';
import { uuidv7 } from '../common/ids';
import { writeAudit, auditRejections, type Actor } from './auditLines';
import { refuseGuessable } from './passwords';

/** A person, as the administrator sees them. */
export interface Person {
  username: string;
  name: string;
  role: string;
  approves: readonly string[];
  site: string;
  /** Whether they have a password: a person who has left has none, but their records keep the name. */
  mayComeIn: boolean;
}

/** The administrator at the machine itself: not an account. */
const AT_THE_MACHINE: Actor = { by: null, address: null };

/** All people of the site, present and past, by user name. */
export async function listPeople(db: Db): Promise<Person[]> {
  const rows = await db
    .select({ user: users, site: sites.name, account: accounts.id })
    .from(users)
    .innerJoin(sites, eq(sites.id, users.siteId))
    .leftJoin(accounts, and(eq(accounts.userId, users.id), eq(accounts.providerId, 'credential')))
    .orderBy(asc(users.username));
  return rows.map(({ user: { username, name, role, approves }, site, account }) => ({
    ...{ username, name, role, approves, site },
    mayComeIn: account !== null,
  }));
}

async function personOf(tx: Tx, username: string) {
  const [found] = await tx.select().from(users).where(eq(users.username, username.toLowerCase()));
  if (!found) throw notFound(`person ${username}`);
  return found;
}

/** Sets a person's password; ends all their sessions except the named one. */
async function setPassword(
  tx: Tx,
  {
    userId,
    username,
    password,
    keep = '',
  }: { userId: string; username: string; password: string; keep?: string },
): Promise<void> {
  refuseGuessable(password, username);
  const hashed = await hashPassword(password);
  const own = and(eq(accounts.userId, userId), eq(accounts.providerId, 'credential'));
  const changed = await tx
    .update(accounts)
    .set({ password: hashed, updatedAt: new Date() })
    .where(own)
    .returning({ id: accounts.id });
  if (changed.length === 0)
    await tx.insert(accounts).values({
      id: uuidv7(),
      accountId: userId,
      providerId: 'credential',
      userId,
      password: hashed,
    });
  await tx.delete(sessions).where(and(eq(sessions.userId, userId), ne(sessions.token, keep)));
  // A code stands for the password it was set with: it is removed with it.
  await tx.delete(deviceCodes).where(eq(deviceCodes.userId, userId));
}

/** Whether this is the person's password. */
export async function isOwnPassword(
  db: Db | Tx,
  userId: string,
  password: string,
): Promise<boolean> {
  const [account] = await db
    .select({ password: accounts.password })
    .from(accounts)
    .where(and(eq(accounts.userId, userId), eq(accounts.providerId, 'credential')));
  return Boolean(account?.password) && verify(account?.password ?? '', password);
}

/** Adds a person. Throws ProblemError if the name is taken, or the password is easy to guess. */
export function addPerson(db: Db, given: unknown): Promise<void> {
  const { username, name, role, approves, site: siteName, password } = PersonDraft.parse(given);
  return db.transaction(async (tx) => {
    const all = await tx.select({ id: sites.id, name: sites.name }).from(sites);
    const site =
      siteName === undefined && all.length === 1 ? all[0] : all.find((s) => s.name === siteName);
    if (!site)
      throw new ProblemError(422, t('Say which site'), {
        detail: t('Use one of: {all}.', { all: all.map((s) => s.name).join(', ') }),
      });
    const id = uuidv7();
    const made = await tx
      .insert(users)
      .values({
        ...{ id, name, username, displayUsername: username, role, approves, siteId: site.id },
        email: `${id}@kelmot.invalid`,
      })
      .onConflictDoNothing()
      .returning({ id: users.id });
    if (made.length === 0)
      throw new ProblemError(409, t('{username} is taken', { username }), {
        detail: t('Choose another user name.'),
      });
    await setPassword(tx, { userId: id, username, password });
    const body = { username, name, role, approves, site: site.name };
    await writeAudit(tx, AT_THE_MACHINE, { type: 'person.add', body });
  });
}

/** Changes a person's name, role or permissions. Ends their sessions. */
export function changePerson(db: Db, username: string, change: PersonChange): Promise<void> {
  return db.transaction(async (tx) => {
    const { id, name, role, approves } = await personOf(tx, username);
    const before = { name, role: Role.parse(role), approves };
    await tx
      .update(users)
      .set({ ...change, updatedAt: new Date() })
      .where(eq(users.id, id));
    await tx.delete(sessions).where(eq(sessions.userId, id));
    const body = { username, before, after: { ...before, ...change } };
    await writeAudit(tx, AT_THE_MACHINE, { type: 'person.change', body });
  });
}

/** Sets a new password for a person who lost theirs; ends all their sessions. */
export function resetPassword(db: Db, username: string, password: string): Promise<void> {
  return db.transaction(async (tx) => {
    const person = await personOf(tx, username);
    await setPassword(tx, { userId: person.id, username: person.username, password });
    await writeAudit(tx, AT_THE_MACHINE, { type: 'person.password', body: { username } });
  });
}

/** Closes the account of a person who has left: no password, no session. Their records keep the name. */
export function closePerson(db: Db, username: string): Promise<void> {
  return db.transaction(async (tx) => {
    const { id } = await personOf(tx, username);
    await tx.delete(accounts).where(eq(accounts.userId, id));
    await tx.delete(sessions).where(eq(sessions.userId, id));
    await tx.delete(deviceCodes).where(eq(deviceCodes.userId, id));
    await writeAudit(tx, AT_THE_MACHINE, { type: 'person.close', body: { username } });
  });
}

/** Changes a person's own password: checks the old one, and ends their other sessions. */
export function changeOwnPassword(
  db: Db,
  me: Me,
  {
    passwords: { current, next },
    here: { address, token },
  }: { passwords: NewPassword; here: { address: string | null; token: string } },
): Promise<void> {
  const doer = { by: me.id, address };
  const body = { username: me.username };
  return auditRejections(db, doer, {
    line: { body: { type: 'person.password', ...body } },
    work: () =>
      db.transaction(async (tx) => {
        if (!(await isOwnPassword(tx, me.id, current)))
          throw new ProblemError(422, t('Input out of range'), {
            issues: [
              {
                path: 'current',
                message: t('is not your password; type the one you signed in with'),
              },
            ],
          });
        await setPassword(tx, {
          userId: me.id,
          username: me.username,
          password: next,
          keep: token,
        });
        await writeAudit(tx, doer, { type: 'person.password', body });
      }),
  });
}
