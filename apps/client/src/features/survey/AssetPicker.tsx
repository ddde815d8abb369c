import type { Asset } from '@kelmot/contract';
import { ASSET_MOST, shortened, type SurveyDraft, t } from '@kelmot/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useAssetsQuery } from '@/store/api';
import { LinkButton, Tag } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';

interface PickerProps {
  draft: SurveyDraft;
  errors: Record<string, string>;
  onPick: (asset: Asset) => void;
  onType: (asset: SurveyDraft['asset']) => void;
}

const MOST_SHOWN = 6;

/** Selects the damaged asset: search by typing; an unknown one can be entered as new. */
export function AssetPicker({ draft, errors, onPick, onType }: PickerProps) {
  const { data: assets = [] } = useAssetsQuery();
  const { asset } = draft;
  const [q, setQ] = useState('');
  const typed = asset.id === null && asset.tag !== '';
  const [asNew, setAsNew] = useState(typed);
  if (asset.id !== null) {
    return (
      <View className="gap-1">
        <View className="flex-row items-center gap-2.5">
          <Tag text={asset.tag} />
          <Txt as="row" className="min-w-0 flex-1">
            {asset.name}
          </Txt>
          <LinkButton
            label={t('Change')}
            hint={t('Change: choose another asset')}
            testID="asset-change"
            onPress={() => onType({ id: null, tag: '', name: '', position: '', costPerHour: 0 })}
          />
        </View>
        <Txt as="label">{asset.position}</Txt>
      </View>
    );
  }
  const needle = q.trim().toLowerCase();
  const found = needle
    ? assets.filter((a) => `${a.tag} ${a.name} ${a.position}`.toLowerCase().includes(needle))
    : [];
  return (
    <View className="gap-3">
      {asNew ? (
        <NewAsset errors={errors} asset={asset} onType={onType} setAsNew={setAsNew} />
      ) : (
        <>
          <FieldFrame
            label={t('Asset')}
            why={t('Its data fills in other fields.')}
            error={errors['asset.tag']}
          >
            <TextBox
              id="asset-search"
              label={t('Asset: find by tag, name or place')}
              text={q}
              onText={setQ}
              placeholder={t('P-204, lime pump')}
            />
          </FieldFrame>
          <FoundAssets found={found} onPick={onPick} needle={needle} />
          <LinkButton
            label={
              needle && found.length === 0
                ? t('Enter “{typed}” as new', { typed: shortened(q) })
                : t('Enter a new one')
            }
            testID="asset-new"
            onPress={() => {
              setAsNew(true);
              onType({ ...asset, tag: q.trim() });
            }}
          />
        </>
      )}
    </View>
  );
}

function FoundAssets({
  found,
  onPick,
  needle,
}: {
  found: readonly Asset[];
  onPick: (asset: Asset) => void;
  needle: string;
}) {
  return (
    <View role="list">
      {found.slice(0, MOST_SHOWN).map((a) => (
        <Pressable
          key={a.id}
          role="button"
          testID={`asset-${a.tag}`}
          onPress={() => onPick(a)}
          className="min-h-[48px] flex-row items-center gap-2.5 border-b border-rule active:bg-shade"
        >
          <Tag text={a.tag} />
          <Txt as="inline" className="min-w-0 flex-1" numberOfLines={2}>
            {a.name}
          </Txt>
          <Txt as="label" numberOfLines={1} className="max-w-[40%]">
            {a.position}
          </Txt>
        </Pressable>
      ))}
      {needle && found.length === 0 ? (
        <Txt className="text-pencil">{t('No such asset.')}</Txt>
      ) : null}
      {found.length > MOST_SHOWN ? (
        <Txt as="label">
          {t('{found} more: keep typing.', { found: found.length - MOST_SHOWN })}
        </Txt>
      ) : null}
    </View>
  );
}

/** The fields for an asset that is not in the list. */
const ASSET_FIELDS = [
  { key: 'tag', label: t('Tag') },
  { key: 'name', label: t('What it is') },
  { key: 'position', label: t('Where') },
] as const;

function NewAsset({
  errors,
  asset,
  onType,
  setAsNew,
}: {
  errors: Record<string, string>;
  asset: SurveyDraft['asset'];
  onType: (asset: SurveyDraft['asset']) => void;
  setAsNew: (value: boolean) => void;
}) {
  return (
    <>
      {ASSET_FIELDS.map(({ key, label }) => (
        <FieldFrame key={key} label={label} error={errors[`asset.${key}`]}>
          <TextBox
            id={`asset.${key}`}
            label={label}
            most={ASSET_MOST[key]}
            text={asset[key]}
            onText={(text) => onType({ ...asset, [key]: text })}
          />
        </FieldFrame>
      ))}
      <LinkButton label={t('Choose from the list')} onPress={() => setAsNew(false)} />
    </>
  );
}
