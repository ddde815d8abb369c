import { rank, word, type CardMatch, type Intent } from '@kelmot/core';
import { inline } from './planText';

/** Every rule's text for a card; with figure and limit if it measures. */
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

/** Match's text for every card, best first, to read and compare. */
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
