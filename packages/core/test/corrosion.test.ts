import { USUAL_TRADE } from '../src/trade/trade';
import { cracked, eaten } from '../src/materials/corrosion';
import type { Substrate } from '../src/materials/substrates';
import type { Medium } from '../src/materials/words';
import { word } from '../src/message/word';

const met = (medium: Medium, ph: number, mediumC = 20) => ({ medium, ph, mediumC });
const SAID = /^(.+?) in (.+) \(pH ([\d.]+)\) (eats|pit) bare (.+):/;

test.each<[Substrate, Medium, number, string | null]>([
  // Alkali eats aluminium past pH 9, and lime milk and caustic whatever they are at.
  ['cast-aluminium', 'water', 9, null],
  ['cast-aluminium', 'water', 9.1, 'Alkali'],
  ['cast-aluminium', 'lime-milk', 7, 'Alkali'],
  ['cast-aluminium', 'caustic', 7, 'Alkali'],
  ['carbon-steel', 'caustic', 13, null],
  // Acid: aluminium and concrete under pH 4.5, steel, iron and bronze under 4, stainless under 2.
  ['cast-aluminium', 'water', 4.5, null],
  ['concrete', 'water', 4.5, null],
  ['concrete', 'water', 4.4, 'Acid'],
  ['masonry', 'water', 4.4, 'Acid'],
  ['carbon-steel', 'water', 4, null],
  ['carbon-steel', 'water', 3.9, 'Acid'],
  ['bronze', 'water', 3.9, 'Acid'],
  ['cast-iron', 'water', 3.9, 'Acid'],
  ['stainless', 'water', 2, null],
  ['stainless', 'water', 1.9, 'Acid'],
  ['stainless', 'mineral-acid', 7, 'Acid'],
  // Salt eats what rusts, chlorides pit what does not.
  ['carbon-steel', 'brine', 7, 'Salt'],
  ['cast-iron', 'brine', 7, 'Salt'],
  ['bronze', 'brine', 7, null],
  ['stainless', 'brine', 7, 'Chlorides'],
  // What is sour or sweet eats lime.
  ['concrete', 'fatty-acid', 7, 'What is sour or sweet'],
  ['masonry', 'sugar', 7, 'What is sour or sweet'],
  ['carbon-steel', 'sugar', 7, null],
  // What is dry eats nothing.
  ['carbon-steel', 'air', 2, null],
  ['carbon-steel', 'oil', 2, null],
])('%s in %s at pH %d corrodes because of: %s', (parent, medium, ph, by) => {
  const found = eaten(parent, met(medium, ph));
  const said = found ? SAID.exec(word(found)) : null;
  expect(said?.[1] ?? null).toBe(by);
  if (said) expect(said[4]).toBe(by === 'Chlorides' ? 'pit' : 'eats');
});

test('chlorides crack stainless steel from 60 °C, not below, not without chlorides, and no other metal', () => {
  const hot = cracked('stainless', met('brine', 7, 60), USUAL_TRADE);
  expect(hot && word(hot)).toMatch(/^Chlorides at 60 °C crack stainless steel; from 60 °C on/);
  expect(cracked('stainless', met('brine', 7, 59.9), USUAL_TRADE)).toBeNull();
  expect(cracked('stainless', met('water', 7, 90), USUAL_TRADE)).toBeNull();
  expect(cracked('carbon-steel', met('brine', 7, 90), USUAL_TRADE)).toBeNull();
});
