import { readAuditChain } from '@kelmot/server/db/auditChain';
import { openDatabase } from '@kelmot/server/db/client';

const WHY = { gap: 'a line is missing before it', changed: 'it does not say what was written' };

async function main(): Promise<void> {
  const { db, pool } = openDatabase(process.env.DATABASE_URL ?? '');
  const { lines, brokenAt, why, last } = await readAuditChain(db);
  await pool.end();
  if (brokenAt === null) {
    console.log(`${lines} lines, whole; the last is ${last}`);
    return;
  }
  console.log(`broken at line ${brokenAt} of ${lines}: ${why ? WHY[why] : ''}`);
  process.exitCode = 1;
}

void main();
