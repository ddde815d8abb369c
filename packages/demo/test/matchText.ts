import { rank, word, type CardMatch, type Intent } from '@kelmot/core';

const figure = (x: number | null): string =>
  x === null ? 'none' : String(Number(x.toPrecision(6)));

/** What every rule says of a card, in its words; with the figure that it measured and the limit, where it measures. */
function rules({ judged }: CardMatch): string[] {
  return judged.map(({ rule, verdict, because, condition, against, who, early }) => {
    const measured = against
      ? ` (${against.quantity} ${figure(against.value)}, ${against.sense} ${figure(against.limit)})`
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
      `${m.card.code} ${m.verdict}, score ${figure(score)}, reserve ${figure(m.marginPct)} %, life ${figure(m.lifeDays)} d`,
      `  service ${figure(m.serviceMin)} min, ready ${figure(m.readyMin)} min, held ${figure(m.heldC)} °C, ` +
        `cost ${[m.totalCost, m.materialCost, m.workCost, m.besides.cost, m.downtimeCost].map(figure).join(' ')}`,
      ...rules(m),
    ])
    .join('\n');
}
