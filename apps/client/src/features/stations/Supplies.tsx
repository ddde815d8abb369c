import { say, type Plan, type Supply } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { v5 as uuidv5 } from 'uuid';
import { sayError, useMoveStockMutation } from '@/store/api';
import { SecondaryButton } from '@/ui/Button';
import { FigureText } from '@/ui/FigureText';
import { Txt } from '@/ui/Txt';
import { useWords } from '@/ui/useWords';

/** The packs of one supply: from which lot, or to be bought. */
const packText = ({ picks }: Supply): string =>
  picks.map((p) => `${p.count} × ${p.label}, ${p.lot ? `lot ${p.lot}` : 'buy'}`).join('; ');

function Row({ supply, plan }: { supply: Supply; plan: Plan }) {
  const { units, tell } = useWords();
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
      <Txt className="text-pencil">
        {[tell(supply.for), packText(supply)].filter(Boolean).join('. ')}
      </Txt>
      {supply.leftover !== null && supply.leftover > 0 && supply.role !== 'aid' ? (
        <Txt as="label">
          {say(supply.leftover, supply.quantity, units)} left over. {supply.keep}
        </Txt>
      ) : null}
    </View>
  );
}

/** Names the moves of one plan, so that taking the same packs twice counts once. */
const NAMES = '6f1c0b1e-6c53-4a52-9a0b-6d6b1d1f7a10';

/** Takes what the plan draws off the shelf, each lot by one move of the ledger. */
function TakeOff({ plan, repairId, planId }: { plan: Plan; repairId: string; planId: string }) {
  const [move, { isLoading }] = useMoveStockMutation();
  const [said, setSaid] = useState<string>();
  const drawn = plan.supplies.flatMap((s) =>
    s.code === null
      ? []
      : s.picks.flatMap((p) =>
          p.lot === null ? [] : [{ ...p, code: s.code as string, lot: p.lot }],
        ),
  );
  if (drawn.length === 0) return null;
  const take = async () => {
    try {
      for (const p of drawn)
        await move({
          id: uuidv5(`${planId}/${p.id}/${p.lot}`, NAMES),
          at: new Date().toISOString(),
          cardCode: p.code,
          packId: p.id,
          lot: p.lot,
          delta: -p.count,
          reason: 'drawn',
          repairId,
        }).unwrap();
      setSaid('Taken off the shelf.');
    } catch (problem) {
      setSaid(sayError(problem));
    }
  };
  return (
    <View className="gap-1 pt-2">
      <SecondaryButton
        label="Take these off the shelf"
        testID="take-off-shelf"
        disabled={isLoading}
        onPress={() => void take()}
      />
      {said ? (
        <Txt role="status" testID="taken-off">
          {said}
        </Txt>
      ) : null}
    </View>
  );
}

/** Everything to have at hand: how much, from which lot, what is left over. */
export function Supplies({
  plan,
  drawFor,
}: {
  plan: Plan;
  /** The repair and plan that packs are drawn for; left out where the list is only read. */
  drawFor?: { repairId: string; planId: string };
}) {
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
      {drawFor ? <TakeOff plan={plan} {...drawFor} /> : null}
    </View>
  );
}
