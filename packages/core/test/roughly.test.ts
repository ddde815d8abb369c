import { roughDuration } from '../src/message/roughly';
import { spoken, word } from '../src/message/word';

test.each([
  [0, '0 min'],
  [45, '45 min'],
  [119, '1 h 59 min'],
  [120, '2 hours'],
  [170, 'almost 3 hours'],
  [200, 'over 3 hours'],
  [35 * 60, '35 hours'],
  [43 * 60 + 36, 'almost 2 days'],
  [48 * 60, '2 days'],
  [54 * 60, 'over 2 days'],
])('%d minutes is told as %s', (minutes, told) => {
  expect(word(roughDuration(minutes))).toBe(told);
});

test('spoken, it has the names of its units', () => {
  expect(spoken(roughDuration(119))).toBe('1 hour 59 minutes');
});
