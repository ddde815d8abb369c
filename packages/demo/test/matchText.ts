import { rank, word, type CardMatch, type Intent } from '@kelmot/core';
import { inline } from './planText';

/** What every rule says of a card, in its words; with the figure that it measured and the limit, where it measures. */
function rules({ judged }: CardMatch): string[] {
  return judged.map(({ rule, verdict, because, condition, against, who, early }) => {
    const measured = against
      ? ` (${against.quantity} ${inline(against.value)}, ${against.sense} ${inline(against.limit)})`
      : '';
    const allowed = who ? ` by ${who}${early ? ', early' : ''}` : '';
    const held = condition ? ` if “${word(condition)}”` : '';
    return `  ${rule.id} ${verdict}: ${word(because)}${measured}${held}${allowed}`;
  });
}

/** What Match says of every card, the best first, to be read and compared. */
export function matchText(matches: CardMatch[], intent: Intent): string {
  return rank(matches, intent)
    .flatMap(({ match: m, score }) => [
      `${m.card.code} ${m.verdict}, score ${inline(score)}, reserve ${inline(m.marginPct)} %, life ${inline(m.lifeDays)} d`,
      `  service ${inline(m.serviceMin)} min, ready ${inline(m.readyMin)} min, held ${inline(m.heldC)} °C, ` +
        `cost ${[m.totalCost, m.materialCost, m.workCost, m.besides.cost, m.downtimeCost].map(inline).join(' ')}`,
      ...rules(m),
    ])
    .join('\n');
}
