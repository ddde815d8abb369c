import { everyField, familyOf, readDraft, type Placed, type Survey } from '@kelmot/core';
import fc from 'fast-check';
import { plainDraft } from '../src/index';

export const AT = '2026-11-25T08:00:00Z';

/** A random answer to a field: mostly the usual one, otherwise anywhere in its range. */
function answerTo({ path, field }: Placed, usual: string | undefined): fc.Arbitrary<string> {
  const asUsual = fc.constant(usual ?? '');
  if (field.kind === 'flag')
    return fc.oneof(
      { arbitrary: asUsual, weight: 4 },
      { arbitrary: fc.constantFrom('yes', 'no'), weight: 1 },
    );
  if (field.kind === 'choice')
    return fc.oneof(
      {
        arbitrary: asUsual,
        weight: path.startsWith('parent') || path.startsWith('service') ? 3 : 5,
      },
      { arbitrary: fc.constantFrom(...field.options.map((o) => o.value)), weight: 1 },
    );
  const unit = field.quantity === 'time' ? ' min' : '';
  const near = fc.double({ min: 0.5, max: 2, noNaN: true }).map((share) => {
    const value = Number.parseFloat(usual ?? '') * share;
    // Typed in the usual answer's unit.
    return Number.isFinite(value)
      ? (usual ?? '').replace(/^[\d.]+/, value.toFixed(field.whole ? 0 : 3))
      : '';
  });
  const anywhere = fc
    .double({ min: field.min, max: field.max, noNaN: true })
    .map((x) => `${x.toFixed(field.whole ? 0 : 2)}${unit}`);
  return fc.oneof({ arbitrary: near, weight: 9 }, { arbitrary: anywhere, weight: 1 });
}

/** Random surveys of a family: one to three damages of any shape. */
export function surveys(family: string): fc.Arbitrary<Survey | null> {
  const { shapes, mostDamages } = familyOf(family);
  const several = fc.array(fc.constantFrom(...shapes.map((s) => s.shape)), {
    minLength: 1,
    maxLength: Math.min(3, mostDamages),
  });
  return several.chain((chosen) => {
    const draft = plainDraft({ family, shapes: chosen, startAt: AT, costPerHour: 100 });
    const fields = everyField(draft);
    const texts = fields.map((p) => answerTo(p, draft.texts[p.path]));
    return fc
      .tuple(
        fc.tuple(...texts),
        fc.constantFrom('lasting', 'stopgap'),
        fc.constantFrom('40 h', '90 h', '30 d'),
      )
      .map(([typed, intent, down]) => {
        const answers = Object.fromEntries(fields.map((p, i) => [p.path, typed[i] ?? '']));
        const asked = {
          ...draft,
          intent: intent as 'lasting',
          texts: { ...answers, 'window.downMin': down },
        };
        return readDraft(asked, 'metric').survey;
      });
  });
}
