// Extracts every text that a person reads to texts/en.json: its id, and the English text in ICU MessageFormat.
// A text is the literal in a call `t('…')` or `m('…')`, or each line of one in `sentences(`…`)`. The id is made from the text.
// usage: node bin/lib/texts.mjs            writes the catalogue
//        node bin/lib/texts.mjs --check    fails on texts that are missing in it or unused, and on wrong ones
import { parse, TYPE } from '@formatjs/icu-messageformat-parser';
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import ts from 'typescript';

const CATALOGUE = 'texts/en.json';
const FOLDERS = [
  'apps/client/app',
  'apps/client/src',
  'apps/server/src',
  'packages/core/src',
  'packages/contract/src',
  'packages/papers/src',
];
const CALLS = new Set(['t', 'm', 'sentences']);

const idOf = (text) => createHash('sha256').update(text).digest('hex').slice(0, 10);

/** The string literals that an expression can be; null if it can be anything else. */
function literalsOf(node) {
  if (ts.isStringLiteralLike(node)) return [node.text];
  if (ts.isParenthesizedExpression(node)) return literalsOf(node.expression);
  if (!ts.isConditionalExpression(node)) return null;
  const [yes, no] = [literalsOf(node.whenTrue), literalsOf(node.whenFalse)];
  return yes && no && [...yes, ...no];
}

/** The names of all values that a text needs. */
const needsOf = (parts) =>
  parts.flatMap((part) => [
    ...([TYPE.argument, TYPE.number, TYPE.plural, TYPE.select].includes(part.type)
      ? [part.value]
      : []),
    ...Object.values(part.options ?? {}).flatMap(({ value }) => needsOf(value)),
  ]);

/** A sentence that a person reads has at most this many words. */
const MOST_WORDS = 25;
const wordsIn = (sentence) => sentence.split(/\s+/).filter((word) => /\w/.test(word)).length;

/** A text at its longest: a value is one word, and of choices the longest stands. */
const longest = (parts) =>
  parts
    .map((part) => {
      if (!part.options) return part.type === TYPE.literal ? part.value : 'value';
      const choices = Object.values(part.options).map(({ value }) => longest(value));
      return choices.sort((a, b) => wordsIn(b) - wordsIn(a))[0];
    })
    .join('');

/** What is wrong with a text for its reader, and for the next person who edits it. */
function faultsOf(parts, needs) {
  const sentences = longest(parts).split(/(?<=[.!?:])\s+/);
  const long = sentences.filter((sentence) => wordsIn(sentence) > MOST_WORDS);
  const unnamed = needs.filter((name) => name.length === 1 && name !== 'n');
  return [
    ...long.map(
      (sentence) => `has a sentence of ${wordsIn(sentence)} words; ${MOST_WORDS} are the most`,
    ),
    ...unnamed.map((name) => `calls a value “${name}”; name it after what it is`),
  ];
}

/** The sentences in texts with one on each line. */
const linesIn = (found) =>
  found
    .flatMap((text) => text.split('\n'))
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** The names of the values that a call gives; null if they are not written there. */
function givenBy(values) {
  if (!values || !ts.isObjectLiteralExpression(values)) return null;
  const names = values.properties.map((p) => (ts.isSpreadAssignment(p) ? null : p.name.getText()));
  return names.includes(null) ? null : names;
}

const texts = new Map();
const wrong = [];
const files = execFileSync('git', ['ls-files', ...FOLDERS], { encoding: 'utf8' })
  .trim()
  .split('\n');
for (const path of files.filter((p) => /\.tsx?$/.test(p) && existsSync(p))) {
  const kind = path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const file = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    kind,
  );
  const visit = (node) => {
    ts.forEachChild(node, visit);
    if (!ts.isCallExpression(node) || !CALLS.has(node.expression.getText())) return;
    const [first, values] = node.arguments;
    const at = `${path}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
    const found = first && literalsOf(first);
    // A message may be made from a text that its caller names, such as the title of a step.
    if (!found && node.expression.getText() !== 'm')
      wrong.push(`${at}: ${node.expression.getText()}() needs a literal`);
    const all = node.expression.getText() === 'sentences' ? linesIn(found ?? []) : (found ?? []);
    const usedByAll = new Set();
    for (const text of all) {
      texts.set(idOf(text), text);
      try {
        const parts = parse(text, { ignoreTag: true });
        const needs = needsOf(parts);
        for (const fault of faultsOf(parts, [...new Set(needs)]))
          wrong.push(`${at}: “${text}” ${fault}`);
        const given = givenBy(values);
        const missing = given ? needs.filter((name) => !given.includes(name)) : [];
        for (const name of needs) usedByAll.add(name);
        for (const name of new Set(missing)) wrong.push(`${at}: “${text}” needs ${name}`);
      } catch (error) {
        wrong.push(`${at}: “${text}” is not ICU MessageFormat: ${error.message}`);
      }
    }
    for (const name of all.length > 0 ? (givenBy(values) ?? []) : [])
      if (!usedByAll.has(name)) wrong.push(`${at}: “${all[0]}” does not use ${name}`);
  };
  visit(file);
}

const sorted = [...texts].sort(([, p], [, q]) => (p < q ? -1 : 1));
if (process.argv.includes('--check')) {
  const kept = JSON.parse(readFileSync(CATALOGUE, 'utf8'));
  for (const [id, text] of sorted)
    if (kept[id] !== text) wrong.push(`missing in ${CATALOGUE}: “${text}”`);
  for (const [id, text] of Object.entries(kept))
    if (!texts.has(id)) wrong.push(`unused in ${CATALOGUE}: “${text}”`);
  if (wrong.length > 0) wrong.push('Write the catalogue again: npm run texts');
} else writeFileSync(CATALOGUE, `${JSON.stringify(Object.fromEntries(sorted), null, 2)}\n`);
for (const line of wrong) console.log(line);
process.exitCode = wrong.length > 0 ? 1 : 0;
