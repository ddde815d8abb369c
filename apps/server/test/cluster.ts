import { randomUUID } from 'node:crypto';
import { seedDemo } from '@kelmot/demo-server/seedDemo';
import { Client } from 'pg';
import { prepareDatabase } from '../src/db/prepare';

/** A database of the test cluster by its two roles: the owner that migrates, and the application. */
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

/** Does something in the test cluster as the role that migrates. */
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

/** One for each run: every file of it is begun by the same runner. */
const PLANT = `plant_${process.ppid}`;
/** Whoever seeds the plant holds this lock, and the others wait for it. */
const SEEDING = 4_207_312;

/**
 * Makes a database with the demo plant in it. Seeded once for all files of tests, which takes seconds, and copied for
 * each, which takes a moment: its clocks began when the first of them did.
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
      // Under its name only once all of it is there.
      await owner.query(`alter database ${made} rename to ${PLANT}`);
    }
    await owner.query(`create database ${name} template ${PLANT}`);
  });
  return at(name);
}
