import fc from 'fast-check';
import { IntlMessageFormat } from 'intl-messageformat';
import {
  celsius,
  grams,
  joined,
  m,
  MessageSchema,
  minutes,
  ml,
  mm,
  q,
  type MessageValue,
} from '../src/message/message';
import { sayApart, sentence, spoken, word, wordIn } from '../src/message/word';
import type { UnitSystem } from '../src/units/quantities';

describe('a message is worded for its reader', () => {
  test.each<[string, ReturnType<typeof m>, string, string]>([
    ['a length', m('Cut {deep} deep', { deep: mm(12.7) }), 'Cut 12.7 mm deep', 'Cut 1/2 in deep'],
    ['a temperature', m('at {t}', { t: celsius(20) }), 'at 20 °C', 'at 68 °F'],
    // A step of temperature has no zero to move: 5 °C more is 9 °F more.
    [
      'a step of temperature',
      m('{d} warmer', { d: q(5, 'temperatureStep') }),
      '5 °C warmer',
      '9 °F warmer',
    ],
    ['a mass', m('{g} of it', { g: grams(100) }), '100 g of it', '3.53 oz of it'],
    ['a time', m('for {t}', { t: minutes(90) }), 'for 1 h 30 min', 'for 1 h 30 min'],
    ['a large volume steps up', m('{v}', { v: ml(25_000) }), '25 l', '845.4 US fl oz'],
    ['plain text is left alone', m('100 % sure', {}), '100 % sure', '100 % sure'],
  ])('%s', (_, message, metric, us) => {
    expect(word(message)).toBe(metric);
    expect(word(message, 'us')).toBe(us);
  });

  test('it counts, chooses, and holds smaller messages and lists', () => {
    const passes = (n: number) =>
      word(m('{n, plural, =0 {none} one {# pass} other {# passes}}', { n }));
    expect([passes(0), passes(1), passes(3)]).toEqual(['none', '1 pass', '3 passes']);
    const inner = m('{d} deep', { d: mm(3) });
    expect(word(m('{a}; {all}', { a: inner, all: [inner, 'square'] }), 'us')).toBe(
      '0.118 in deep; 0.118 in deep, square',
    );
    expect(sentence(m('{round} next', { round: m('coat 2') }))).toBe('Coat 2 next');
  });

  test('spoken units are names, not signs', () => {
    const message = m('Weigh {g} at {t}.', { g: grams(40.2), t: celsius(18) });
    expect(wordIn(message, { units: 'metric', spoken: true })).toBe(
      'Weigh 40.2 grams at 18 degrees Celsius.',
    );
    const aloud = (value: MessageValue, units: 'metric' | 'us') =>
      wordIn(m('{x}', { x: value }), { units, spoken: true });
    expect(aloud(mm(12), 'metric')).toBe('12 millimetres');
    expect(aloud(mm(25.4), 'us')).toMatch(/^1 /);
    expect(aloud(q(17_000, 'run'), 'metric')).toBe('17 metres');
    expect(aloud(q(62, 'hardnessA'), 'metric')).toBe('62 shore a');
    expect(aloud(q(135, 'time'), 'metric')).toBe('2 hours 15 minutes');
    expect(aloud(q(61, 'time'), 'metric')).toBe('1 hour 1 minute');
    expect(aloud(q(3 * 1440, 'time'), 'us')).toBe('3 days');
    expect(spoken(m('Wait {t}.', { t: q(0.5, 'time') }))).toBe('Wait 30 seconds.');
    expect(aloud(q(99.7, 'chance'), 'metric')).toBe('over 99 percent');
    expect(aloud(q(3, 'count'), 'metric')).toBe('3');
  });

  test('lengths of rolls are in metres or feet, of builds in millimetres or inches', () => {
    expect(word(m('{x}', { x: q(8087, 'run') }))).toBe('8.09 m');
    expect(word(m('{x}', { x: q(8087, 'run') }), 'us')).toBe('26.5 ft');
    expect(word(m('{x}', { x: mm(8087) }))).toBe('8087 mm');
  });

  test.each<[string, MessageValue, MessageValue, string, string]>([
    ['lengths', mm(152.3), mm(151.8), '152.3 mm, not 151.8 mm', '5.996 in, not 5.976 in'],
    [
      'lengths on one mark of a tape',
      mm(12.7),
      mm(12.706),
      '12.7 mm, not 12.71 mm',
      '0.5 in, not 0.5002 in',
    ],
    ['temperatures', celsius(4.96), celsius(5), '4.96 °C, not 5 °C', '40.9 °F, not 41 °F'],
    [
      'times',
      minutes(135.4),
      minutes(135),
      '2 h 15 min 24 s, not 2 h 15 min',
      '2 h 15 min 24 s, not 2 h 15 min',
    ],
    [
      'short times',
      minutes(-0.51),
      minutes(-0.513),
      '−30.6 s, not −30.8 s',
      '−30.6 s, not −30.8 s',
    ],
    [
      'what differs by the last bits of a sum',
      mm(0.1 + 0.2),
      mm(0.3),
      '0.3 mm, not 0.3 mm',
      '0.012 in, not 0.012 in',
    ],
    ['what is the same', grams(100), grams(100), '100 g, not 100 g', '3.53 oz, not 3.53 oz'],
    [
      'chances, which are never finer than they are',
      q(99.5, 'chance'),
      q(99.7, 'chance'),
      'over 99 %, not over 99 %',
      'over 99 %, not over 99 %',
    ],
    ['unlike things', mm(152.3), grams(151.8), '152 mm, not 152 g', '5.996 in, not 5.35 oz'],
  ])('digits that show a difference are kept: %s', (_, is, was, metric, us) => {
    const message = m('{is}, not {was}', { is, was });
    expect([word(message), word(message, 'us')]).toEqual([metric, us]);
  });

  test('two different values in a sentence never read the same', () => {
    const quantities = ['length', 'mass', 'temperature', 'time', 'thinFilm', 'pressure'] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...quantities),
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.double({ min: 0.0001, max: 0.5, noNaN: true }),
        fc.constantFrom<UnitSystem>('metric', 'us'),
        (of, value, share, units) => {
          const said = word(
            m('{a}|{b}', { a: q(value, of), b: q(value * (1 + share), of) }),
            units,
          );
          const [a, b] = said.split('|');
          return a !== b;
        },
      ),
    );
  });

  test('the same in a list, and for two figures side by side', () => {
    expect(word(m('Cut {all}.', { all: [mm(152.3), mm(151.8), mm(90)] }))).toBe(
      'Cut 152.3 mm, 151.8 mm, 90 mm.',
    );
    expect(sayApart('thinFilm', { a: 249.6, b: 250, units: 'metric' })).toEqual([
      '249.6 µm',
      '250 µm',
    ]);
    expect(sayApart('thinFilm', { a: 249.6, b: 300, units: 'metric' })).toEqual([
      '250 µm',
      '300 µm',
    ]);
    expect(sayApart('temperature', { a: 5, b: 5, units: 'us' })).toEqual(['41 °F', '41 °F']);
  });

  test('equal values stay short: six decimals at most', () => {
    expect(word(m('{x}', { x: q(0.000_000_123, 'density') }))).toBe('0 g/ml');
    expect(word(m('{x}', { x: q(0.000_012_3, 'density') }))).toBe('0.000012 g/ml');
  });

  test('absent parts leave no gap', () => {
    expect(word(joined([m('One.'), null, false, m('Two.')]))).toBe('One. Two.');
    expect(word(joined([m('One.'), null]))).toBe('One.');
  });

  test('a message is saved and read back; an invalid one is rejected', () => {
    const message = m('{a} {b}', { a: [mm(1), m('x')], b: m('{c}', { c: 2 }) });
    expect(MessageSchema.parse(JSON.parse(JSON.stringify(message)))).toEqual(message);
    for (const none of [
      { text: 1, values: {} },
      { text: 'a', values: { b: { of: 'speed', value: 1 } } },
      'a',
    ])
      expect(MessageSchema.safeParse(none).success).toBe(false);
  });
});

test('a text with plain placeholders reads as the message library fills it', () => {
  const piece = fc.oneof(
    fc.constantFrom('{a}', '{b}', ' ', '#', '<b>', '’', '. '),
    fc.stringMatching(/^[\w ,:%°]{0,8}$/),
  );
  const value = fc.oneof(fc.string(), fc.integer(), fc.double({ noNaN: true }));
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 8 }), value, value, (pieces, a, b) => {
      const text = pieces.join('');
      const library = new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true });
      expect(word(m(text, { a, b }))).toBe(text === '' ? '' : String(library.format({ a, b })));
    }),
  );
  expect(() => word(m('{a} of {b}', { a: 1 }))).toThrow(/needs b/);
});
