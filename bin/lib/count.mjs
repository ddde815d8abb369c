// Prints "PASSED FAILED" of a jest JSON report or of a TAP file; a missing or broken report counts as one failure.
import { readFileSync } from 'node:fs';

const [kind, file] = process.argv.slice(2);
function counts() {
  const text = readFileSync(file, 'utf8');
  if (kind === 'jest') {
    const r = JSON.parse(text);
    return [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites];
  }
  const of = (name) => Number(new RegExp(`^# ${name} (\\d+)`, 'm').exec(text)?.[1] ?? NaN);
  return [of('pass'), of('fail') + of('cancelled')];
}
let answer = [0, 1];
try {
  const [p, f] = counts();
  if (Number.isInteger(p) && Number.isInteger(f) && p + f > 0) answer = [p, f];
} catch (error) {
  console.error(String(error));
}
console.log(answer.join(' '));
