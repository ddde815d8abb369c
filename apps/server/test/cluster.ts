import { randomUUID } from 'node:crypto';
import { Pool } from 'pg';

/** A database of the test cluster by its two roles: the owner that migrates, and the application. */
export interface TestDatabase {
  ownerUrl: string;
  appUrl: string;
}

const given = (url: string | undefined): string => {
  if (!url) throw new Error('The addresses of the test cluster are missing: run bin/test');
  return url;
};

/** Makes an empty database in the test cluster, owned by the role that migrates. */
export async function emptyDatabase(kind: string): Promise<TestDatabase> {
  const owner = given(process.env.TEST_DATABASE_OWNER_URL);
  const name = `${kind}_${randomUUID().replace(/-/g, '')}`;
  const admin = new Pool({ connectionString: owner, max: 1 });
  await admin.query(`create database ${name}`);
  await admin.end();
  const at = (url: string) => url.replace(/\/[^/]*$/, `/${name}`);
  return { ownerUrl: at(owner), appUrl: at(given(process.env.TEST_DATABASE_URL)) };
}
