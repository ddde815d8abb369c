import fc from 'fast-check';
import { isSlip, type Touch } from '@/shared/ui/pressGuard';

const first: Touch = { atMs: 1000, x: 100, y: 700 };
const then = (afterMs: number, dx = 0, dy = 0): Touch => ({
  atMs: first.atMs + afterMs,
  x: first.x + dx,
  y: first.y + dy,
});

test.each([
  ['a double tap', then(120), true],
  ['a shaking glove', then(300, 14, -20), true],
  ['the same button on purpose, later', then(500), false],
  ['another button right after', then(80, 60), false],
  ['one just beside it', then(80, 0, 33), false],
] as const)('%s', (_, touch, slip) => {
  expect(isSlip(first, touch)).toBe(slip);
});

test('the first touch is never a slip, nor is one far away or late', () => {
  const touch = fc.record({ atMs: fc.nat(), x: fc.nat(2000), y: fc.nat(2000) });
  fc.assert(
    fc.property(touch, touch, (a, b) => {
      expect(isSlip(null, a)).toBe(false);
      const apart = Math.hypot(a.x - b.x, a.y - b.y);
      if (apart >= 32 || b.atMs - a.atMs >= 500) expect(isSlip(a, b)).toBe(false);
      else if (b.atMs >= a.atMs) expect(isSlip(a, b)).toBe(true);
    }),
  );
});
