import { MOST_LOT, type ShelfLot, type StockMove } from '@kelmot/contract';
import { dayIn, isGoodOn, MINUTE, type Card } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useSend } from '@/store/useSend';
import { useShelf } from '@/store/useShelf';
import { usePerson } from '@/store/usePerson';
import { SecondaryButton } from '@/shared/ui/Button';
import { Choices, FieldFrame, TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';

/** Whether a lot is past its expiry date. */
const over = (lot: ShelfLot, now: number) => !isGoodOn(lot.expiresOn, dayIn(now, 'UTC'));

/** The packs of a card on the shelf that may still be used. */
export function shelfText(lots: readonly ShelfLot[], now: number): string {
  const good = lots.filter((l) => !over(l, now)).reduce((n, l) => n + l.count, 0);
  const past = lots.filter((l) => over(l, now)).reduce((n, l) => n + l.count, 0);
  if (good + past === 0) return 'none on the shelf';
  return `${good} on the shelf${past > 0 ? `, ${past} past their date` : ''}`;
}

type Move = Omit<StockMove, 'id' | 'at' | 'repairId'>;

/** Puts a stock move into the outbox: shown at once, sent when there is signal. */
function useMove(): (move: Move) => void {
  const send = useSend();
  return (move) => send({ type: 'shelf.move', move: { ...move, repairId: null } });
}

function Receive({ card }: { card: Card }) {
  const [packId, setPackId] = useState(card.packs[0]?.id ?? '');
  const [lot, setLot] = useState('');
  const [day, setDay] = useState('');
  const [count, setCount] = useState('1');
  const [said, setSaid] = useState<string>();
  const move = useMove();
  const receive = () => {
    const packs = Number(count);
    if (lot.trim() === '') return setSaid('Type the lot, as on the pack.');
    if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) return setSaid('Type its last day as 2027-05-31.');
    if (!Number.isInteger(packs) || packs < 1 || packs > 1000)
      return setSaid('Packs: a whole number from 1 to 1000.');
    const arrived = { expiresOn: day, delta: packs, reason: 'received' } as const;
    move({ ...arrived, cardCode: card.code, packId, lot: lot.trim() });
    setSaid(`${packs} of lot ${lot.trim()} on the shelf.`);
    setLot('');
  };
  return (
    <FieldFrame label="Add packs" why="The oldest lot is used first.">
      <View className="gap-2">
        <Choices
          id={`pack-${card.code}`}
          label="Pack"
          options={card.packs.map((p) => ({ value: p.id, label: p.label }))}
          value={packId}
          onPick={setPackId}
        />
        <View className="flex-row gap-2">
          <View className="flex-1">
            <TextBox
              id={`lot-${card.code}`}
              label="Lot"
              most={MOST_LOT}
              text={lot}
              onText={setLot}
              placeholder="Lot"
            />
          </View>
          <View className="flex-1">
            <TextBox
              id={`day-${card.code}`}
              label="Last day"
              text={day}
              onText={setDay}
              placeholder="2027-05-31"
            />
          </View>
          <View className="w-20">
            <TextBox
              id={`count-${card.code}`}
              label="Packs"
              text={count}
              onText={setCount}
              numeric
            />
          </View>
        </View>
        <SecondaryButton label="Add to stock" testID={`receive-${card.code}`} onPress={receive} />
        {said ? (
          <Txt role="status" testID={`shelf-said-${card.code}`}>
            {said}
          </Txt>
        ) : null}
      </View>
    </FieldFrame>
  );
}

/** The shelf of one card: each lot with its amount and expiry date; packs taken out and put in. */
export function Shelf({ card }: { card: Card }) {
  const shelf = useShelf();
  const me = usePerson();
  const now = useNow(MINUTE);
  const move = useMove();
  const lots = (shelf ?? []).filter((l) => l.cardCode === card.code);
  const canWrite = me !== undefined && me.role !== 'viewer';
  const take = (lot: ShelfLot) =>
    move({
      ...{ cardCode: lot.cardCode, packId: lot.packId, lot: lot.lot, delta: -1 },
      reason: over(lot, now) ? 'binned' : 'drawn',
    });
  return (
    <View className="gap-2 pb-3" testID={`shelf-${card.code}`}>
      <Txt as="label">In stock</Txt>
      {lots.length === 0 ? <Txt className="text-pencil">None.</Txt> : null}
      {lots.map((lot) => (
        <View key={lot.id} className="flex-row items-center gap-3 border-b border-rule py-1">
          <View className="min-w-0 flex-1">
            <Txt as="inline">
              {lot.count} × {card.packs.find((p) => p.id === lot.packId)?.label ?? lot.packId}
            </Txt>
            <Txt as="label" className={over(lot, now) ? 'text-oxideInk' : undefined}>
              Lot {lot.lot}, {over(lot, now) ? 'past its date' : 'good to'} {lot.expiresOn}
            </Txt>
          </View>
          {canWrite ? (
            <SecondaryButton
              label={over(lot, now) ? 'Discard one' : 'Take one'}
              hint={`lot ${lot.lot}`}
              testID={`take-${lot.lot}`}
              onPress={() => take(lot)}
            />
          ) : null}
        </View>
      ))}
      {canWrite ? <Receive card={card} /> : null}
    </View>
  );
}
