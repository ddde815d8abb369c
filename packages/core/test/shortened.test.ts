import fc from 'fast-check';
import { call } from '../src/calculations/call';
import { calcByName } from '../src/calculations/registry';
import { formOf } from '../src/tool/form';
import { blank, readTyped, type TypedGroup } from '../src/tool/typed';
import { shortened } from '../src/calc/shortened';
import { parseQuantity } from '../src/units/parse';
import { QUANTITY_IDS } from '../src/units/quantities';

/** What an error may say at most: a line on a phone at its largest text is shorter, two are not. */
const A_LINE = 160;

test.each([
  ['twelve', 'twelve'],
  ['  twelve \n millimetres ', 'twelve millimetres'],
  ['a'.repeat(32), 'a'.repeat(32)],
  ['a'.repeat(33), `${'a'.repeat(31)}…`],
  ['🔩'.repeat(40), `${'🔩'.repeat(31)}…`],
  ['\u0000\u0007', ''],
])('%j is shortened to %j', (typed, said) => expect(shortened(typed)).toBe(said));

const anything = fc.oneof(
  fc.string({ minLength: 200, maxLength: 2000, unit: 'grapheme' }),
  fc.constantFrom('x', '12 kg ', '1e9 ', 'ü', '\n', '½ ').map((part) => part.repeat(400)),
);

test('any amount of typed text gives an error on one line', () => {
  fc.assert(
    fc.property(anything, fc.constantFrom(...QUANTITY_IDS), (text, id) => {
      const read = parseQuantity(text, id, { system: 'metric' });
      return read.ok || (read.message.length <= A_LINE && !read.message.includes('\n'));
    }),
  );
});

test('the same in a tool', () => {
  const calc = calcByName.get('dew-point');
  if (!calc) throw new Error('dew-point');
  const node = formOf(calc);
  fc.assert(
    fc.property(anything, (text) => {
      const typed = { ...(blank(node) as TypedGroup), rhPct: text };
      return readTyped(node, typed, { system: 'us' }).issues.every(
        ({ message }) => message.length <= A_LINE && !message.includes('\n'),
      );
    }),
  );
});

test('sent names are shortened too: a calculation, a pack, a field', () => {
  const long = 'n'.repeat(5000);
  const unknown = call(long, {});
  if (unknown.status !== 'bad') throw new Error('it is known');
  expect(unknown.bad.error).toBe(`no calculation "${'n'.repeat(31)}…"`);
  const kit = { id: long, yieldMl: 100 };
  const packs = call('kit-pick', { neededMl: 100, kits: [kit, kit] });
  expect(JSON.stringify(packs).length).toBeLessThan(1500);
});

test('unknown fields are named by their first letters, and a thousand of them by fifty', () => {
  const found = call('dew-point', { airC: 20, rhPct: 50, ['k'.repeat(3000)]: 1 });
  if (found.status !== 'bad') throw new Error('it was taken');
  expect(found.bad.issues).toEqual([
    { path: `${'k'.repeat(31)}…`, message: 'unknown field; remove it' },
  ]);
  const many = call(
    'dew-point',
    Object.fromEntries(Array.from({ length: 1000 }, (_, i) => [`k${i}`, i])),
  );
  if (many.status !== 'bad') throw new Error('it was taken');
  expect(many.bad.issues).toHaveLength(50);
});
