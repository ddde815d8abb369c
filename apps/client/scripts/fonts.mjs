/**
 * Writes the faces in use as WOFF2, with the letters and signs that are written here: a third of the bytes of the whole
 * faces. Run by hand (`node scripts/fonts.mjs`) when a face or a sign is new; what it writes is kept with the sources.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
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
const range = (from, to) =>
  Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)).join('');
/** Latin with its accents, Greek for sums, and the signs of measuring. */
const SIGNS =
  range(0x20, 0x7e) +
  range(0xa0, 0x17f) +
  range(0x391, 0x3c9) +
  range(0x2010, 0x203a) +
  range(0x2070, 0x209c) +
  '€−√∫≤≥≠≈∞←↑→↓⌀⌈⌉⌊⌋✓⅛⅜⅝⅞⅓⅔∆';

mkdirSync('assets/fonts', { recursive: true });
for (const [family, weights] of Object.entries(FACES))
  for (const weight of weights) {
    const name = `${NAMES[family]}_${weight}`;
    const whole = readFileSync(
      require.resolve(`@expo-google-fonts/${family}/${weight}/${name}.ttf`),
    );
    const small = await subsetFont(whole, SIGNS, { targetFormat: 'woff2' });
    writeFileSync(`assets/fonts/${name}.woff2`, small);
    console.log(name, whole.length, small.length);
  }
