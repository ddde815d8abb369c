import fc from 'fast-check';
import { readPackCode } from '../src/work/packCode';

const GS = '\u001d';

test.each<[string, string, string | null, string | null]>([
  ['a plain lot', ' L-0426/7 ', 'L-0426/7', null],
  ['parts in a row, the lot last', '010950600013435217270131' + '10AB-12', 'AB-12', '2027-01-31'],
  [
    'parts in a row, the lot first, its end marked',
    `0109506000134352` + `10AB-12${GS}17270131`,
    'AB-12',
    '2027-01-31',
  ],
  ['what a reader puts before it', `]d20109506000134352` + '10X9', 'X9', null],
  ['a separator before all', `${GS}17270131${GS}10X9`, 'X9', '2027-01-31'],
  ['brackets, as printed', '(01)09506000134352(17)270200(10)AB 12', 'AB 12', '2027-02-28'],
  ['best before, where there is no use by', '(15)280229(10)Q', 'Q', '2028-02-29'],
  ['use by before best before', '(15)270101(17)270301(10)Q', 'Q', '2027-03-01'],
  [
    'a web address',
    'https://id.example/01/09506000134352/10/AB%2F12?17=270131',
    'AB/12',
    '2027-01-31',
  ],
  ['a web address of something else', 'https://example.org/shop?p=10', null, null],
  ['no lot among its parts', '0109506000134352' + '17270131', null, '2027-01-31'],
  ['no such day', '(17)271332(10)Q', 'Q', null],
  ['the 30th of February', '(17)270230(10)Q', 'Q', null],
  ['a number that is not known', `0109506000134352${GS}77zz`, null, null],
  ['longer than any lot', 'x'.repeat(61), null, null],
  ['nothing', '', null, null],
])('%s', (_, code, lot, expiresOn) => {
  expect(readPackCode(code)).toEqual({ lot, expiresOn });
});

test('any code is read or not, never throws; results fit their fields', () => {
  const text = fc.oneof(
    fc.string({ unit: 'binary' }),
    fc.stringMatching(/^(\(\d{2}\)[0-9A-Z()]{0,9}){1,4}$/),
    fc.stringMatching(/^01\d{14}[0-9A-Z]{0,40}$/),
    fc.webUrl({ withQueryParameters: true }),
  );
  fc.assert(
    fc.property(text, (code) => {
      const { lot, expiresOn } = readPackCode(code);
      expect(lot === null || (lot.length > 0 && lot.length <= 60)).toBe(true);
      expect(expiresOn === null || !Number.isNaN(Date.parse(expiresOn))).toBe(true);
    }),
  );
});
