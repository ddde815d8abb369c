import { readAuditChain } from '@kelmot/server/db/auditChain';
import { drizzle } from 'drizzle-orm/node-postgres';
import { Client } from 'pg';

const WHY = { gap: 'a line is missing before it', changed: 'it does not say what was written' };

/** With its own connection: a long chain takes longer than the server's statement limit. */
async function main(): Promise<void> {
  const client = new Client({ connectionString: process.env.DATABASE_URL });
  await client.connect();
  const { lines, brokenAt, why, last } = await readAuditChain(drizzle(client));
  await client.end();
  if (brokenAt === null) {
    console.log(`${lines} lines, whole; the last is ${last}`);
    return;
  }
  console.log(`broken at line ${brokenAt} of ${lines}: ${why ? WHY[why] : ''}`);
  process.exitCode = 1;
}

void main();
