/**
 * Runs the tests of the packages that are plain computation in one process, a new one for each broken line, which is
 * broken before anything is read: the tests that reach it, the quick ones first, until one fails. It is begun in two
 * seconds; Jest reads everything again for each file of tests, which takes minutes.
 */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { declareClassPlugin, declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin';
import { DryRunStatus, MutantRunStatus, TestStatus } from '@stryker-mutator/api/test-runner';
import { expect } from 'expect';
import { bind } from 'jest-each';

const broken = (globalThis.__stryker__ ??= {});
const tests = new Map();
const before = [];
let file = '';
let path = [];

const within = (name, body) => {
  path.push(name);
  body();
  path.pop();
};
const one = (name, body) => {
  const id = [file, ...path, name].join(' ');
  tests.set(id, { id, name: id, fileName: file, body });
};
const described = Object.assign(within, { each: bind(within, false) });
const tested = Object.assign(one, { each: bind(one, false) });
Object.assign(globalThis, {
  ...{ expect, describe: described, it: tested, test: tested, afterAll: () => {} },
  beforeAll: (body) => before.push(body),
});

/**
 * Tests that start their own process, which does not see the mutant, and one that adds a family for all later tests.
 */
const NOT_HERE = ['cli.test.ts', 'shell.test.ts', 'family.test.ts'];
const PACKAGES = ['core', 'contract', 'demo'];

async function readTests() {
  for (const folder of PACKAGES.map((name) => resolve(`packages/${name}/test`)))
    for (const name of readdirSync(folder, { recursive: true }).sort()) {
      if (!name.endsWith('.test.ts') || NOT_HERE.includes(basename(name))) continue;
      file = resolve(folder, name);
      globalThis.__dirname = dirname(file);
      await import(pathToFileURL(file).href);
    }
  for (const body of before) await body();
}

/** Time of each test without mutants, ms: written by the first run for later ones. */
const TOOK = 'took.json';

/** The error of a test; null if it passed. */
async function wrongIn(test) {
  try {
    await test.body();
    return null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

class InOneProcess {
  capabilities() {
    return { reloadEnvironment: true };
  }

  async dryRun() {
    await readTests();
    const found = [];
    for (const { id, name, fileName, body } of tests.values()) {
      broken.currentTestId = id;
      const begun = performance.now();
      const failureMessage = await wrongIn({ body });
      const timeSpentMs = performance.now() - begun;
      broken.currentTestId = undefined;
      found.push({
        ...{ id, name, fileName, timeSpentMs },
        ...(failureMessage === null
          ? { status: TestStatus.Success }
          : { status: TestStatus.Failed, failureMessage }),
      });
    }
    writeFileSync(TOOK, JSON.stringify(found.map((t) => [t.id, t.timeSpentMs])));
    const { mutantCoverage } = broken;
    return { status: DryRunStatus.Complete, tests: found, mutantCoverage };
  }

  async mutantRun({ activeMutant, testFilter, hitLimit }) {
    Object.assign(broken, { activeMutant: activeMutant.id, hitLimit, hitCount: 0 });
    try {
      await readTests();
    } catch (error) {
      // A mutant that cannot be loaded is detected by loading.
      return { status: MutantRunStatus.Killed, failureMessage: String(error), killedBy: ['read'] };
    }
    const took = new Map(existsSync(TOOK) ? JSON.parse(readFileSync(TOOK, 'utf8')) : []);
    const asked = (testFilter ?? [...tests.keys()]).toSorted(
      (a, b) => (took.get(a) ?? 0) - (took.get(b) ?? 0),
    );
    let nrOfTests = 0;
    for (const id of asked) {
      nrOfTests += 1;
      const failureMessage = await wrongIn(tests.get(id));
      if (broken.hitCount > hitLimit)
        return { status: MutantRunStatus.Timeout, reason: 'it goes round without end' };
      if (failureMessage !== null)
        return { status: MutantRunStatus.Killed, failureMessage, killedBy: [id], nrOfTests };
    }
    return { status: MutantRunStatus.Survived, nrOfTests };
  }
}

/**
 * People judge the texts that people read: an emptied sentence says nothing about the tests. Ids and units are mutated.
 */
const PROSE = /\s|^[A-Z][a-z]/;
const prose = {
  shouldIgnore: ({ node }) =>
    (node.type === 'StringLiteral' && PROSE.test(node.value)) ||
    (node.type === 'TemplateLiteral' && node.quasis.some((q) => PROSE.test(q.value.raw)))
      ? 'prose'
      : undefined,
};

export const strykerPlugins = [
  declareValuePlugin(PluginKind.Ignore, 'prose', prose),
  declareClassPlugin(PluginKind.TestRunner, 'in-one-process', InOneProcess),
];
