import { randomUUID } from 'node:crypto';
import { seedDemo } from '@kelmot/demo-server/seedDemo';
import { Client } from 'pg';
import { prepareDatabase } from '../src/db/prepare';

/** A test database by its two roles: the owner that migrates, and the application. */
export interface TestDatabase {
  ownerUrl: string;
  appUrl: string;
}

const given = (url: string | undefined): string => {
  if (!url) throw new Error('The addresses of the test cluster are missing: run bin/test');
  return url;
};

const at = (name: string): TestDatabase => {
  const named = (url: string | undefined) => given(url).replace(/\/[^/]*$/, `/${name}`);
  return {
    ownerUrl: named(process.env.TEST_DATABASE_OWNER_URL),
    appUrl: named(process.env.TEST_DATABASE_URL),
  };
};

/** Runs a function as the owner of the test cluster. */
async function asOwner(work: (owner: Client) => Promise<unknown>): Promise<void> {
  const owner = new Client({ connectionString: given(process.env.TEST_DATABASE_OWNER_URL) });
  await owner.connect();
  try {
    await work(owner);
  } finally {
    await owner.end();
  }
}

const ownName = (kind: string): string => `${kind}_${randomUUID().replace(/-/g, '')}`;

/** Makes an empty database in the test cluster, owned by the role that migrates. */
export async function emptyDatabase(kind: string): Promise<TestDatabase> {
  const name = ownName(kind);
  await asOwner((owner) => owner.query(`create database ${name}`));
  return at(name);
}

/** One name for each run: the same runner starts every test file. */
const PLANT = `plant_${process.ppid}`;
/** The lock for seeding the plant; other processes wait for it. */
const SEEDING = 4_207_312;

/**
 * Makes a database with the demo plant. Seeded once for all test files, which takes seconds, and copied for each, which
 * is quick. Its clocks begin with the first file.
 */
export async function plantDatabase(kind: string): Promise<TestDatabase> {
  const name = ownName(kind);
  await asOwner(async (owner) => {
    await owner.query('select pg_advisory_lock($1)', [SEEDING]);
    const { rowCount } = await owner.query('select from pg_database where datname = $1', [PLANT]);
    if (rowCount === 0) {
      const seeded = await emptyDatabase('seeding');
      const seed = async (tx: Parameters<typeof seedDemo>[0]) =>
        void (await seedDemo(tx, Date.now()));
      await prepareDatabase({ ...seeded, seed });
      const [made] = seeded.ownerUrl.split('/').slice(-1);
      // Renamed only after it is complete.
      await owner.query(`alter database ${made} rename to ${PLANT}`);
    }
    await owner.query(`create database ${name} template ${PLANT}`);
  });
  return at(name);
}
