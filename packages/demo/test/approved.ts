import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Set to write what is held anew. Whatever changed by it is then looked at before it is kept. */
const isApproved = process.env.APPROVE !== undefined;
const FOLDER = join(__dirname, 'approved');

/** Holds a text to what it was when it was last looked at. */
export function expectApproved(name: string, text: string): void {
  const path = join(FOLDER, name);
  if (isApproved) writeFileSync(path, text);
  expect(text).toBe(readFileSync(path, 'utf8'));
}
