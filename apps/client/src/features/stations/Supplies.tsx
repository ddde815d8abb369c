import type { LeftoverOffer } from '@kelmot/contract';
import { formatQuantity, type Plan, type Supply, t } from '@kelmot/core';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v5 as uuidv5 } from 'uuid';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { useLeftoversQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { useSend } from '@/store/useSend';
import { LinkButton, SecondaryButton } from '@/shared/ui/Button';
import { FigureText } from '@/shared/ui/FigureText';
import { Txt } from '@/shared/ui/Txt';
import { useWords } from '@/shared/ui/useWords';

/** Most jobs that are offered for one leftover; more would be a list. */
const MOST_OFFERED = 3;
const NO_OFFERS: readonly LeftoverOffer[] = [];

/** The packs of one supply: the lot, or that it must be bought. */
const packText = ({ picks }: Supply): string =>
  picks
    .map((p) =>
      p.lot
        ? t('{count} × {pack}, lot {lot}', { count: p.count, pack: p.label, lot: p.lot })
        : t('{count} × {pack}, buy', { count: p.count, pack: p.label }),
    )
    .join('; ');

/** A leftover that another job could use: the job, its amount, and the time left. */
function Offer({ offer }: { offer: LeftoverOffer }) {
  const { units } = useWords();
  const takes = formatQuantity(offer.takes, offer.quantity, units);
  const left = formatQuantity(offer.left, offer.quantity, units);
  const when =
    offer.withinMin === null
      ? t('from the pack')
      : t('within {within} of the mix', { within: formatQuantity(offer.withinMin, 'time') });
  return (
    <LinkButton
      label={t('The leftover is enough for {tag}, {title}: {takes} of {left}, {when}', {
        tag: offer.tag,
        title: offer.title,
        takes,
        left,
        when,
      })}
      testID={`leftover-${offer.code}-${offer.tag}`}
      onPress={() => router.navigate(`/repair/${offer.repairId}`)}
    />
  );
}

function Row({
  supply,
  plan,
  offers,
}: {
  supply: Supply;
  plan: Plan;
  offers: readonly LeftoverOffer[];
}) {
  const { units, tell } = useWords();
  const figure = plan.figures[`supply.${supply.id}`];
  const amount = formatQuantity(supply.amount, supply.quantity, units);
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
          {t('{leftover} left over. {keep}', {
            leftover: formatQuantity(supply.leftover, supply.quantity, units),
            keep: supply.keep,
          })}
        </Txt>
      ) : null}
      {offers
        .filter((o) => o.code === supply.code)
        .slice(0, MOST_OFFERED)
        .map((o) => (
          <Offer key={`${o.repairId}${o.from}`} offer={o} />
        ))}
    </View>
  );
}

/** Namespace of the ids of a plan's stock moves: taking the same packs twice counts once. */
const NAMES = '6f1c0b1e-6c53-4a52-9a0b-6d6b1d1f7a10';

/** Takes the plan's packs off the shelf: one stock move for each lot. */
function TakeOff({ plan, repairId, planId }: { plan: Plan; repairId: string; planId: string }) {
  const send = useSend();
  const queue = useAppSelector((s) => s.outbox.queue);
  const [said, setSaid] = useState<string>();
  const drawn = plan.supplies.flatMap((s) =>
    s.code === null
      ? []
      : s.picks.flatMap((p) =>
          p.lot === null ? [] : [{ ...p, code: s.code as string, lot: p.lot }],
        ),
  );
  if (drawn.length === 0) return null;
  const moves = drawn.map((p) => ({
    id: uuidv5(`${planId}/${p.id}/${p.lot}`, NAMES),
    type: 'shelf.move' as const,
    move: {
      ...{ cardCode: p.code, packId: p.id, lot: p.lot, delta: -p.count },
      ...{ reason: 'drawn' as const, repairId },
    },
  }));
  const own = queue.filter((w) => moves.some((move) => move.id === w.id));
  const take = () => {
    send(...moves);
    setSaid(t('Stock updated.'));
  };
  return (
    <View className="gap-1 pt-2">
      <RejectedCommands waiting={own} />
      <SecondaryButton
        label={t('Take these packs from stock')}
        testID="take-off-shelf"
        onPress={take}
      />
      {said ? (
        <Txt role="status" testID="taken-off">
          {said}
        </Txt>
      ) : null}
    </View>
  );
}

/** All supplies: amount, lot, and leftover. */
export function Supplies({
  plan,
  drawFor,
}: {
  plan: Plan;
  /** The repair and plan that the packs are for; absent where the list is only read. */
  drawFor?: { repairId: string; planId: string };
}) {
  // A list that is only read shows no leftovers; without signal nothing is offered.
  const { data: offers = NO_OFFERS } = useLeftoversQuery(drawFor?.repairId ?? '', {
    skip: !drawFor,
  });
  return (
    <View className="border-b border-rule px-4 py-3">
      <Txt as="label">{t('Tools and supplies')}</Txt>
      <View role="list" aria-label={t('Tools and supplies')}>
        {plan.supplies.map((s) => (
          <Row key={s.id} supply={s} plan={plan} offers={offers} />
        ))}
      </View>
      {plan.tools && plan.tools.length > 0 ? (
        <Txt className="pt-2">{t('Tools: {tools}.', { tools: plan.tools.join(', ') })}</Txt>
      ) : null}
      <View className="flex-row flex-wrap gap-x-6 pt-2">
        <FigureText figure={plan.figures.packs} label={t('packs')} as="row" />
        <FigureText figure={plan.figures['cost.material']} label={t('material')} as="row" />
      </View>
      {drawFor ? <TakeOff plan={plan} {...drawFor} /> : null}
    </View>
  );
}
