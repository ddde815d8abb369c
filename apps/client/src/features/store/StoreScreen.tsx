import {
  APPROVAL_NAMES,
  MILESTONE_NAMES,
  MilestoneId,
  mixText,
  formatQuantity,
  STRAIN_NAMES,
  SUBSTRATE_NAMES,
  type Card,
  type SystemCard,
  MINUTE,
  t,
} from '@kelmot/core';
import { useState } from 'react';
import { FlatList, Pressable, ScrollView, View } from 'react-native';
import { Frame } from '@/features/frame';
import { loadErrorText, useCardsQuery } from '@/store/api';
import { useShelf } from '@/store/useShelf';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { useAppSelector } from '@/store/hooks';
import { CardEdit, CardTools } from './CardTools';
import { Shelf, shelfText } from './Shelf';
import { PackCoverage } from '@/features/tools';
import { Disclosure, Tag } from '@/shared/ui/Button';
import { useLayout } from '@/shared/ui/layout';
import { Empty, Failed, Skeleton } from '@/shared/ui/states';
import { Table, type Column } from '@/shared/ui/Table';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';

function Line({ name, text }: { name: string; text: string }) {
  return (
    <View className="flex-row gap-3 border-b border-rule py-1.5">
      <Txt as="inline" className="w-32 font-label text-pencil">
        {name}
      </Txt>
      <Txt as="inline" className="min-w-0 flex-1">
        {text}
      </Txt>
    </View>
  );
}

/** When each milestone of the cure is reached, at the temperatures of the card. */
function CureLines({ card, temp }: { card: SystemCard; temp: (x: number) => string }) {
  return MilestoneId.options.flatMap((id) => {
    const points = card.cure.milestones[id];
    return points
      ? [
          <Line
            key={id}
            name={MILESTONE_NAMES[id]}
            text={points
              .map((p) => `${temp(p.tempC)} ${formatQuantity(p.minutes, 'time')}`)
              .join(', ')}
          />,
        ]
      : [];
  });
}

function SystemFigures({ card }: { card: SystemCard }) {
  const units = useAppSelector((s) => s.settings.units);
  const { mix, service, layer, ambient } = card;
  const temp = (x: number) => formatQuantity(x, 'temperature', units);
  return (
    <View className="pb-3">
      <Line name={t('Made ready')} text={mixText(mix)} />
      <Line name={t('Mix')} text={`${formatQuantity(mix.mixMinutes, 'time')}. ${mix.mixedSign}.`} />
      <Line
        name={t('Heat')}
        text={t('dry {dryHeat}, wet {wetHeat}', {
          dryHeat: temp(service.dryHeatC),
          wetHeat: temp(service.wetHeatC),
        })}
      />
      {card.postCure ? (
        <Line
          name={t('Post-cure')}
          text={t('{minutes} at {temp}; without it {without}', {
            minutes: formatQuantity(card.postCure.minutes, 'time'),
            temp: temp(card.postCure.tempC),
            without: temp(card.postCure.withoutC),
          })}
        />
      ) : null}
      <Line
        name={t('Surface when placed')}
        text={t('{minSurface} to {maxSurface}, {minAboveDew} °C above dew point', {
          minSurface: temp(ambient.minSurfaceC),
          maxSurface: temp(ambient.maxSurfaceC),
          minAboveDew: ambient.minAboveDewC,
        })}
      />
      <Line
        name={t('One coat')}
        text={t('level {level}, vertical {vertical}, overhead {overhead}', {
          level: formatQuantity(layer.maxMm.level, 'length', units),
          vertical: formatQuantity(layer.maxMm.vertical, 'length', units),
          overhead: formatQuantity(layer.maxMm.overhead, 'length', units),
        })}
      />
      <Line
        name={t('Holds on')}
        text={card.substrates.map((s) => `${SUBSTRATE_NAMES[s.material]} ${s.lasting}`).join(', ')}
      />
      {card.approvals.map((a) => (
        <Line
          key={a.for}
          name={t('Approved')}
          text={`${APPROVAL_NAMES[a.for]}: ${a.certificate}`}
        />
      ))}
      {service.strains.length > 0 ? (
        <Line name={t('Made for')} text={service.strains.map((s) => STRAIN_NAMES[s]).join(', ')} />
      ) : null}
      {service.hardness ? (
        <Line
          name={t('Hardness')}
          text={t('Shore {scale} {least}', {
            scale: service.hardness.scale,
            least: service.hardness.least,
          })}
        />
      ) : null}
      <CureLines card={card} temp={temp} />
      <Line name={t('Wear')} text={card.ppe.join(', ')} />
      <Line
        name={t('Keep')}
        text={t('{storage}; {shelfLifeMonths} months', {
          storage: card.storage,
          shelfLifeMonths: card.shelfLifeMonths,
        })}
      />
    </View>
  );
}

/** All data of a card: figures, shelf, file. */
function CardDetail({ card }: { card: Card }) {
  const units = useAppSelector((s) => s.settings.units);
  const [far, setFar] = useState(false);
  return (
    <>
      {card.role === 'system' ? <SystemFigures card={card} /> : null}
      {card.role === 'system' && card.families.length > 0 ? (
        <Disclosure label={t('How far does one pack go?')} open={far} onToggle={() => setFar(!far)}>
          <PackCoverage key={`${card.code} ${units}`} card={card} />
        </Disclosure>
      ) : null}
      <Shelf card={card} />
      <CardEdit card={card} />
      {card.mustNotTouch.length > 0 ? (
        <Txt className="pb-3 text-pencil">
          {t('Must not touch: {mustNotTouch}.', { mustNotTouch: card.mustNotTouch.join(', ') })}
        </Txt>
      ) : null}
    </>
  );
}

const packsText = (card: Card) =>
  card.packs.map((p) => `${p.label} ${formatQuantity(p.price, 'money')}`).join(', ');

function CardRow({ card, shelf }: { card: Card; shelf: string | null }) {
  const [open, setOpen] = useState(false);
  return (
    <View className="border-b border-rule px-4">
      <Pressable
        role="button"
        aria-expanded={open}
        testID={`card-${card.code}`}
        onPress={() => setOpen(!open)}
        className="gap-1 py-3"
      >
        <View className="flex-row items-center gap-2.5">
          <Tag text={card.code} />
          <Txt as="row" className="min-w-0 flex-1" numberOfLines={2}>
            {card.name}
          </Txt>
          <Txt as="label">{t('version {version}', { version: card.version })}</Txt>
        </View>
        <Txt>{card.summary}</Txt>
        <Txt as="label">
          {packsText(card)}
          {shelf === null ? '' : `; ${shelf}`}
        </Txt>
      </Pressable>
      {open ? <CardDetail card={card} /> : null}
    </View>
  );
}

const columnsOf = (onShelf: (code: string) => string | null): Column<Card>[] => [
  {
    key: 'code',
    title: t('Code'),
    share: 1,
    text: (c) => c.code,
    cell: (c) => (
      <Txt as="inline" className="font-head">
        {c.code}
      </Txt>
    ),
  },
  { key: 'name', title: t('Name'), share: 2.6, text: (c) => c.name },
  { key: 'role', title: t('Kind'), share: 1, text: (c) => c.role },
  { key: 'summary', title: t('For'), share: 4, text: (c) => c.summary },
  { key: 'packs', title: t('Packs'), share: 2.4, text: packsText },
  { key: 'shelf', title: t('In stock'), share: 1.8, text: (c) => onShelf(c.code) ?? '' },
  {
    key: 'version',
    title: t('Version'),
    share: 0.8,
    text: (c) => String(c.version),
    by: (c) => c.version,
  },
];

/** The selected card, in the third pane. */
function CardAside({ card }: { card: Card }) {
  return (
    <ScrollView className="flex-1 px-4 py-3">
      <Txt as="rowBold" role="heading">
        {card.code} {card.name}
      </Txt>
      <Txt className="pb-3">{card.summary}</Txt>
      <CardDetail card={card} />
    </ScrollView>
  );
}

/** Store: the material cards of the plant, with their figures. */
export function StoreScreen() {
  const { data: cards, isLoading, error, refetch } = useCardsQuery();
  const shelf = useShelf();
  const queue = useAppSelector((s) => s.outbox.queue);
  const now = useNow(MINUTE);
  const wide = useLayout() === 'wide';
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const selected = cards?.find((c) => c.code === selectedId) ?? cards?.[0];
  const onShelf = (code: string) =>
    shelf
      ? shelfText(
          shelf.filter((l) => l.cardCode === code),
          now,
        )
      : null;
  return (
    <Frame
      tab="store"
      folded={wide}
      aside={selected ? <CardAside key={selected.code} card={selected} /> : null}
    >
      <View className="border-b border-ink px-4 py-3">
        <Txt as="screen" role="heading">
          {t('Store')}
        </Txt>
        <Txt as="label">{t('Example figures. Replace with your supplier’s data sheet.')}</Txt>
      </View>
      <RejectedCommands waiting={queue.filter((w) => !('repairId' in w.command))} />
      {isLoading ? <Skeleton rows={6} /> : null}
      {error && !cards ? <Failed say={loadErrorText(error)} retry={() => void refetch()} /> : null}
      {cards?.length === 0 ? (
        <Empty title={t('No cards yet.')}>
          {t('A planner adds the materials your site uses.')}
        </Empty>
      ) : null}
      {wide && cards && cards.length > 0 ? (
        <>
          <CardTools cards={cards} />
          <Table
            name={t('Cards')}
            columns={columnsOf(onShelf)}
            rows={cards}
            keyOf={(c) => c.code}
            labelOf={(c) => `${c.code} ${c.name}`}
            testIdOf={(c) => `card-${c.code}`}
            selected={selected?.code ?? null}
            onOpen={(c) => setSelectedId(c.code)}
          />
        </>
      ) : (
        <FlatList
          ListHeaderComponent={cards ? <CardTools cards={cards} /> : null}
          data={cards ?? []}
          keyExtractor={(c) => c.code}
          renderItem={({ item }) => <CardRow card={item} shelf={onShelf(item.code)} />}
        />
      )}
    </Frame>
  );
}
