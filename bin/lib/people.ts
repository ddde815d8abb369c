import { text } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { PersonChange } from '@kelmot/contract';
import { issuesOf } from '@kelmot/core';
import { openDatabase, type Db } from '@kelmot/server/db/client';
import { ProblemError } from '@kelmot/server/common/problemError';
import {
  addPerson,
  changePerson,
  closePerson,
  listPeople,
  resetPassword,
} from '@kelmot/server/services/people';
import { ZodError } from 'zod';

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    name: { type: 'string' },
    role: { type: 'string' },
    approves: { type: 'string', multiple: true },
    site: { type: 'string' },
  },
});

async function run(db: Db): Promise<string> {
  const [what = 'list', username = ''] = positionals;
  if (what !== 'list' && username === '')
    throw new Error('Say whose: bin/people ' + what + ' USERNAME');
  switch (what) {
    case 'list':
      return (await listPeople(db))
        .map((p) =>
          [
            p.username.padEnd(16),
            p.role.padEnd(12),
            p.name,
            p.approves.length > 0 ? `approves ${p.approves.join(', ')}` : '',
            p.mayComeIn ? '' : 'has left',
            p.site,
          ]
            .filter(Boolean)
            .join('  '),
        )
        .join('\n');
    case 'add':
      await addPerson(db, { username, ...values, password: await text(process.stdin) });
      return `${username} may come in`;
    case 'set': {
      const { site, ...change } = values;
      if (site !== undefined) throw new Error('Nobody is moved to another site: add them there');
      await changePerson(db, username, PersonChange.parse(change));
      return `${username} is changed, and signs in again`;
    }
    case 'password':
      await resetPassword(db, username, await text(process.stdin));
      return `${username} has a new password, and signs in again`;
    case 'close':
      await closePerson(db, username);
      return `${username} comes in no more`;
    default:
      throw new Error(`No such thing to do: ${what}. Use list, add, set, password or close`);
  }
}

/** The error in one line, with its remedy. */
function saying(error: unknown): string {
  if (error instanceof ZodError)
    return issuesOf(error)
      .map((i) => `--${i.path}: ${i.message}`)
      .join('\n');
  if (error instanceof ProblemError)
    return [error.title, error.detail, ...(error.issues ?? []).map((i) => i.message)]
      .filter(Boolean)
      .join('. ');
  return error instanceof Error ? error.message : String(error);
}

async function main(): Promise<void> {
  const { db, pool } = openDatabase(process.env.DATABASE_URL ?? '');
  try {
    await pool.query('select 1').catch(() => {
      throw new Error('The database does not run: start bin/demo, then try again');
    });
    console.log(await run(db));
  } catch (error) {
    console.error(saying(error));
    process.exitCode = 1;
  } finally {
    await pool.end();
  }
}

void main();
