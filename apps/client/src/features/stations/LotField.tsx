import { MOST_LOT, type ShelfLot } from '@kelmot/contract';
import { dateText, dayIn, isGoodOn, MINUTE, t } from '@kelmot/core';
import { readPackCode } from '@kelmot/core/work/packCode';
import { useState } from 'react';
import { View } from 'react-native';
import { Viewfinder } from '@/features/codes';
import { hasCamera } from '@/offline/camera';
import { scanCode } from '@/offline/scanCode';
import { useShelf } from '@/store/useShelf';
import { SecondaryButton } from '@/shared/ui/Button';
import { Choices, FieldFrame, TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useSavedText } from '../../shared/repair/useSavedText';

/** Separates the lots of two parts. */
const BETWEEN = ' / ';

/** Every lot that is entered, with its expiry date if it is known. */
function Expiries({ text, known }: { text: string; known: ReadonlyMap<string, string> }) {
  const now = useNow(MINUTE);
  const zone = useZone();
  // A lot is good until the end of its day, by the site's calendar.
  const today = dayIn(now, zone);
  const named = text.split(BETWEEN).map((lot) => lot.trim());
  return named.flatMap((lot) => {
    const day = known.get(lot);
    if (day === undefined) return [];
    const isOver = !isGoodOn(day, today);
    const date = dateText(Date.parse(day), 'UTC');
    return [
      <Txt
        key={lot}
        as="inline"
        role={isOver ? 'alert' : undefined}
        className={isOver ? 'text-oxideInk' : 'text-mossInk'}
        testID={isOver ? 'lot-over' : 'lot-good'}
      >
        {isOver
          ? t('{lot} was good to {date}: do not mix it.', { lot, date })
          : t('{lot} is good to {date}.', { lot, date })}
      </Txt>,
    ];
  });
}

/** The lot of the batch: picked from the shelf, scanned from the code on its pack, or typed. */
export function LotField({ keptAs, cardCode }: { keptAs: string; cardCode: string }) {
  const [text, setText] = useSavedText(keptAs);
  const [scanned, setScanned] = useState<{ lot: string; expiresOn: string } | null>(null);
  const [looking, setLooking] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const lots = (useShelf() ?? []).filter((lot: ShelfLot) => lot.cardCode === cardCode);
  const known = new Map(lots.map((l) => [l.lot, l.expiresOn]));
  if (scanned) known.set(scanned.lot, scanned.expiresOn);
  const options = [...new Set(lots.map((l) => l.lot))].map((lot) => ({ value: lot, label: lot }));
  const take = (code: string): boolean => {
    const { lot, expiresOn } = readPackCode(code);
    setWrong(lot === null ? t('This code contains no lot. Type it from the pack.') : null);
    if (lot === null) return false;
    setLooking(false);
    if (expiresOn) setScanned({ lot, expiresOn });
    // Two parts have two packs: the second lot is added after the first.
    const named = text.split(BETWEEN).map((part) => part.trim());
    const both = named.includes(lot) ? text : [text.trim(), lot].filter(Boolean).join(BETWEEN);
    setText(both.length <= MOST_LOT ? both : lot);
    return true;
  };
  const picture = async () => {
    const found = await scanCode();
    if (!found) return;
    if ('error' in found) return setWrong(found.error);
    take(found.text);
  };
  const scan = async () => {
    if (looking) return setLooking(false);
    if (!(await hasCamera())) return picture();
    setWrong(null);
    setLooking(true);
  };
  return (
    <FieldFrame
      label={t('Lot')}
      why={t('Needed to trace which lot was used.')}
      error={wrong ?? undefined}
    >
      <View className="gap-2">
        {options.length > 0 ? (
          <Choices
            id="lot-of"
            label={t('Lots on the shelf')}
            options={options}
            value={text}
            onPick={setText}
          />
        ) : null}
        <View className="flex-row gap-2">
          <View className="min-w-0 flex-1">
            <TextBox id="lot" label={t('Lot')} most={MOST_LOT} text={text} onText={setText} />
          </View>
          <SecondaryButton
            label={t('Scan')}
            hint={t('Scan the code on the pack')}
            testID="scan-lot"
            onPress={() => void scan()}
          />
        </View>
        {looking ? (
          <Viewfinder found={take} picture={() => void picture()} close={() => setLooking(false)} />
        ) : null}
        <Expiries text={text} known={known} />
      </View>
    </FieldFrame>
  );
}
