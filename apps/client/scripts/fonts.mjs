/**
 * Writes the used fonts as WOFF2, in two parts each: common letters and signs, and rare ones that load only where a
 * text needs them. Run by hand (`node scripts/fonts.mjs`) after a new font or sign; the output is committed.
 */
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import subsetFont from 'subset-font';

const require = createRequire(import.meta.url);
const FACES = {
  barlow: ['400Regular', '600SemiBold'],
  'barlow-semi-condensed': ['500Medium', '600SemiBold', '700Bold'],
  'martian-mono': ['500Medium', '600SemiBold'],
};
const NAMES = {
  barlow: 'Barlow',
  'barlow-semi-condensed': 'BarlowSemiCondensed',
  'martian-mono': 'MartianMono',
};
const range = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => from + i);
const signs = (text) => [...text].map((sign) => sign.codePointAt(0));
/** Shown on nearly every screen: letters, figures and signs of measurement. */
const COMMON = new Set([
  ...range(0x20, 0x7e),
  ...signs('\u00a0°±²³µ·½¼¾×÷–—‘’“”…′″−≤≥≈→←↑↓⌀∆✓⅛⅜⅝⅞⅓⅔'),
]);
/** Accented Latin letters, Greek letters for formulas, and the remaining signs. */
const RARE = new Set(
  [
    ...range(0xa0, 0x17f),
    ...range(0x391, 0x3c9),
    ...range(0x2010, 0x203a),
    ...range(0x2070, 0x209c),
    ...signs('€√∫≠∞⌈⌉⌊⌋'),
  ].filter((sign) => !COMMON.has(sign)),
);
const hex = (sign) => sign.toString(16).toUpperCase();
const ranges = (set) => {
  const runs = [];
  for (const sign of [...set].sort((p, q) => p - q)) {
    const last = runs.at(-1);
    if (last && sign === last[1] + 1) last[1] = sign;
    else runs.push([sign, sign]);
  }
  return runs.map(([from, to]) => `U+${hex(from)}${to > from ? `-${hex(to)}` : ''}`).join(', ');
};

const FOLDER = 'public/fonts';
rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
const rules = ['/* Written by scripts/fonts.mjs. */'];
for (const [family, weights] of Object.entries(FACES))
  for (const weight of weights) {
    const name = `${NAMES[family]}_${weight}`;
    const whole = readFileSync(
      require.resolve(`@expo-google-fonts/${family}/${weight}/${name}.ttf`),
    );
    for (const set of [COMMON, RARE]) {
      const part = await subsetFont(whole, String.fromCodePoint(...set), {
        targetFormat: 'woff2',
        // Kerning and figures of equal width. Screens are fine enough to need no hinting.
        keepFeatures: ['kern', 'tnum'],
        noHinting: true,
      });
      // The name contains a hash of the content, so that a device can cache the file for ever.
      const file = `${name}.${createHash('md5').update(part).digest('hex')}.woff2`;
      writeFileSync(`${FOLDER}/${file}`, part);
      rules.push(`@font-face {
  font-family: ${name};
  font-display: swap;
  src: url('/fonts/${file}') format('woff2');
  unicode-range: ${ranges(set)};
}`);
      console.log(file, whole.length, part.length);
    }
  }
writeFileSync('src/faces.css', `${rules.join('\n')}\n`);
