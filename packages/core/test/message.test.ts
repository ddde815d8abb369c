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
import { sentence, word, wordIn } from '../src/message/word';

describe('a message is worded for who reads it', () => {
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

  test('spoken, units are named and not spelt', () => {
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
    expect(aloud(q(135, 'time'), 'metric')).toBe('2 h 15 min');
    expect(aloud(q(99.7, 'chance'), 'metric')).toBe('over 99 percent');
    expect(aloud(q(3, 'count'), 'metric')).toBe('3');
  });

  test('what is cut off a roll is told in metres or feet, what is built in millimetres or inches', () => {
    expect(word(m('{x}', { x: q(8087, 'run') }))).toBe('8.09 m');
    expect(word(m('{x}', { x: q(8087, 'run') }), 'us')).toBe('26.5 ft');
    expect(word(m('{x}', { x: mm(8087) }))).toBe('8087 mm');
  });

  test('parts that are not there leave no gap', () => {
    expect(word(joined([m('One.'), null, false, m('Two.')]))).toBe('One. Two.');
    expect(word(joined([m('One.'), null]))).toBe('One.');
  });

  test('it is saved and read back, and what is none is refused', () => {
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
