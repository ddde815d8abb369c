import { MOST_LOT, type ShelfLot, type StockMove } from '@kelmot/contract';
import { dayIn, isGoodOn, MINUTE, type Card, t } from '@kelmot/core';
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
  if (good + past === 0) return t('none on the shelf');
  return t('{good} on the shelf{past, plural, =0 {} other {, # past their date}}', { good, past });
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
    if (lot.trim() === '') return setSaid(t('Type the lot, as on the pack.'));
    if (!/^\d{4}-\d{2}-\d{2}$/.test(day)) return setSaid(t('Type its last day as 2027-05-31.'));
    if (!Number.isInteger(packs) || packs < 1 || packs > 1000)
      return setSaid(t('Packs: a whole number from 1 to 1000.'));
    const arrived = { expiresOn: day, delta: packs, reason: 'received' } as const;
    move({ ...arrived, cardCode: card.code, packId, lot: lot.trim() });
    setSaid(t('{packs} of lot {lot} on the shelf.', { packs, lot: lot.trim() }));
    setLot('');
  };
  return (
    <FieldFrame label={t('Add packs')} why={t('The oldest lot is used first.')}>
      <View className="gap-2">
        <Choices
          id={`pack-${card.code}`}
          label={t('Pack')}
          options={card.packs.map((p) => ({ value: p.id, label: p.label }))}
          value={packId}
          onPick={setPackId}
        />
        <View className="flex-row gap-2">
          <View className="flex-1">
            <TextBox
              id={`lot-${card.code}`}
              label={t('Lot')}
              most={MOST_LOT}
              text={lot}
              onText={setLot}
              placeholder={t('Lot')}
            />
          </View>
          <View className="flex-1">
            <TextBox
              id={`day-${card.code}`}
              label={t('Last day')}
              text={day}
              onText={setDay}
              placeholder="2027-05-31"
            />
          </View>
          <View className="w-20">
            <TextBox
              id={`count-${card.code}`}
              label={t('Packs')}
              text={count}
              onText={setCount}
              numeric
            />
          </View>
        </View>
        <SecondaryButton
          label={t('Add to stock')}
          testID={`receive-${card.code}`}
          onPress={receive}
        />
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
      <Txt as="label">{t('In stock')}</Txt>
      {lots.length === 0 ? <Txt className="text-pencil">{t('None.')}</Txt> : null}
      {lots.map((lot) => (
        <View key={lot.id} className="flex-row items-center gap-3 border-b border-rule py-1">
          <View className="min-w-0 flex-1">
            <Txt as="inline">
              {lot.count} × {card.packs.find((p) => p.id === lot.packId)?.label ?? lot.packId}
            </Txt>
            <Txt as="label" className={over(lot, now) ? 'text-oxideInk' : undefined}>
              {t('Lot {lot}, {state, select, over {past its date} other {good to}} {date}', {
                lot: lot.lot,
                state: over(lot, now) ? 'over' : 'good',
                date: lot.expiresOn,
              })}
            </Txt>
          </View>
          {canWrite ? (
            <SecondaryButton
              label={over(lot, now) ? t('Discard one') : t('Take one')}
              hint={t('lot {lot}', { lot: lot.lot })}
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
