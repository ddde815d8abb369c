import { t } from '@kelmot/core';

test('a text is filled with its values, and counts in words', () => {
  expect(t('Bench')).toBe('Bench');
  expect(t('Back to: {task}', { task: 'Degrease' })).toBe('Back to: Degrease');
  const left = '{n, plural, =0 {nothing} one {# entry} other {# entries}} kept';
  expect([0, 1, 2].map((n) => t(left, { n }))).toEqual([
    'nothing kept',
    '1 entry kept',
    '2 entries kept',
  ]);
  expect(t('It is {state, select, over {over} other {good}}', { state: 'over' })).toBe(
    'It is over',
  );
  expect(() => t('{a} of {b}', { a: 1 })).toThrow(/needs b/);
});
