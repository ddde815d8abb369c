// Refuses the words that docs/glossary.md bans, in comments, in docs and in sentences on screens and papers.
// usage: node bin/lib/words.mjs [FILE...]     all tracked files if none is given
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import ts from 'typescript';

/** The table under "Banned words": each word or phrase with what to write instead. */
function bannedWords() {
  const [, section = ''] = readFileSync('docs/glossary.md', 'utf8').split('## Banned words');
  return [...section.matchAll(/^\| (?!Word |-)([^|]+?) +\| ([^|]+?) +\|/gm)].map(
    ([, words, instead]) => ({
      pattern: new RegExp(`(?<![\\w-])(${words.split(', ').join('|')})(?![\\w-])`, 'i'),
      instead,
    }),
  );
}

/** The table of the words itself, formulas, and held texts, which are records. */
const NOT_CHECKED = /^(docs\/(glossary|formulas)\.md|packages\/demo\/test\/approved)/;

/** Comments and sentences of a source, each with its line. A string counts as a sentence if it has a space. */
function* textsOf(path, source) {
  if (path.endsWith('.md')) {
    for (const [i, line] of source.split('\n').entries()) yield [i + 1, line];
    return;
  }
  const kind = path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const file = ts.createSourceFile(path, source, ts.ScriptTarget.Latest, true, kind);
  const lineAt = (pos) => file.getLineAndCharacterOfPosition(pos).line + 1;
  const seen = new Set();
  const visit = function* (node) {
    for (const { pos, end } of ts.getLeadingCommentRanges(source, node.getFullStart()) ?? []) {
      if (seen.has(pos)) continue;
      seen.add(pos);
      yield [lineAt(pos), source.slice(pos, end)];
    }
    const isText =
      ts.isStringLiteralLike(node) ||
      ts.isTemplateHead(node) ||
      ts.isTemplateMiddleOrTemplateTail(node);
    if ((isText && node.text.includes(' ')) || ts.isJsxText(node))
      yield [lineAt(node.getStart()), node.text];
    for (const child of node.getChildren(file)) yield* visit(child);
  };
  yield* visit(file);
}

const asked = process.argv.slice(2);
const tracked = execFileSync('git', ['ls-files'], { encoding: 'utf8' }).trim().split('\n');
const files = (asked.length > 0 ? asked : tracked).filter(
  (path) => /\.(ts|tsx|cjs|mjs|md)$/.test(path) && !NOT_CHECKED.test(path) && existsSync(path),
);
const banned = bannedWords();
if (banned.length === 0) throw new Error('docs/glossary.md has no table under "Banned words"');
let found = 0;
for (const path of files)
  for (const [line, text] of textsOf(path, readFileSync(path, 'utf8')))
    for (const { pattern, instead } of banned) {
      const [word] = pattern.exec(text) ?? [];
      if (!word) continue;
      found += 1;
      console.log(`${path}:${line}: "${word}"; write ${instead}`);
    }
process.exitCode = found > 0 ? 1 : 0;
