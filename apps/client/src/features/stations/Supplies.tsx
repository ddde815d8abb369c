import { say, type Plan, type Supply } from '@kelmot/core';
import { View } from 'react-native';
import { useAppSelector } from '@/store/hooks';
import { FigureText } from '@/ui/FigureText';
import { Txt } from '@/ui/Txt';

/** The packs of one supply: from which lot, or to be bought. */
const packText = ({ picks }: Supply): string =>
  picks.map((p) => `${p.count} × ${p.label}, ${p.lot ? `lot ${p.lot}` : 'buy'}`).join('; ');

function Row({ supply, plan }: { supply: Supply; plan: Plan }) {
  const units = useAppSelector((s) => s.settings.units);
  const figure = plan.figures[`supply.${supply.id}`];
  const amount = say(supply.amount, supply.quantity, units);
  return (
    <View role="listitem" className="border-b border-rule py-2" testID={`supply-${supply.id}`}>
      <View className="flex-row items-baseline justify-between gap-3">
        <Txt as="inline" className="min-w-0 flex-1">
          {supply.code ? `${supply.code} ` : ''}
          {supply.name}
        </Txt>
        {figure ? <FigureText figure={figure} /> : <Txt as="inline">{amount}</Txt>}
      </View>
      <Txt className="text-pencil">{[supply.for, packText(supply)].filter(Boolean).join('. ')}</Txt>
      {supply.leftover !== null && supply.leftover > 0 && supply.role !== 'aid' ? (
        <Txt as="label">
          {say(supply.leftover, supply.quantity, units)} left over. {supply.keep}
        </Txt>
      ) : null}
    </View>
  );
}

/** Everything to have at hand: how much, from which lot, what is left over. */
export function Supplies({ plan }: { plan: Plan }) {
  return (
    <View className="border-b border-rule px-4 py-3" role="list" aria-label="To have at hand">
      <Txt as="label">To have at hand</Txt>
      {plan.supplies.map((s) => (
        <Row key={s.id} supply={s} plan={plan} />
      ))}
      <View className="flex-row flex-wrap gap-x-6 pt-2">
        <FigureText figure={plan.figures.packs} label="packs" as="row" />
        <FigureText figure={plan.figures['cost.material']} label="material" as="row" />
      </View>
    </View>
  );
}
