import { cardFile, CardFile, type CardOutcome } from '@kelmot/contract';
import { issuesOf, type Card, t } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { download } from '@/offline/download';
import { errorText, useImportCardsMutation, type ApiError } from '@/store/api';
import { useSend } from '@/store/useSend';
import { usePerson } from '@/store/usePerson';
import { SecondaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';

const pretty = (value: unknown) => JSON.stringify(value, null, 2);
const WORDS = {
  added: 'added',
  'new-version': t('is now version'),
  unchanged: t('says nothing new'),
} as const;

const sayOutcome = ({ code, version, outcome }: CardOutcome) =>
  outcome === 'new-version' ? `${code} ${WORDS[outcome]} ${version}` : `${code} ${WORDS[outcome]}`;

type Read = { file: CardFile } | { say: string };

/** Reads pasted or edited JSON: a whole file, one card, or a list of cards. */
function readCards(text: string): Read {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    return { say: t('This is not JSON: {message}', { message: (error as Error).message }) };
  }
  const isFile = typeof raw === 'object' && raw !== null && 'cards' in raw;
  const file = isFile ? raw : cardFile((Array.isArray(raw) ? raw : [raw]) as Card[]);
  const parsed = CardFile.safeParse(file);
  if (parsed.success) return { file: parsed.data };
  return {
    say: issuesOf(parsed.error)
      .slice(0, 4)
      .map((i) => `${i.path}: ${i.message}`)
      .join('; '),
  };
}

/** Larger than any card file that the server accepts, characters. */
const MOST_JSON = 500_000;

/** A planner's JSON box: its content becomes cards, or the field with the error is named. Nothing typed is lost. */
function CardBox({ start, onDone }: { start: string; onDone: () => void }) {
  const [text, setText] = useState(start);
  const [said, setSaid] = useState<string | null>(null);
  const [send, { isLoading }] = useImportCardsMutation();
  const put = useSend();
  const me = usePerson();
  const save = async () => {
    const read = readCards(text);
    if ('say' in read) return setSaid(read.say);
    try {
      const outcomes = await send({ file: read.file, by: me?.id ?? '' }).unwrap();
      setSaid(outcomes.map(sayOutcome).join('; '));
    } catch (error) {
      if ((error as ApiError).kind !== 'offline') return setSaid(errorText(error));
      put({ type: 'cards.import', file: read.file });
      setSaid(t('No signal. Saved on this device. It is sent when signal returns.'));
    }
  };
  return (
    <View className="gap-3 pb-4">
      <FieldFrame
        label={t('Cards as JSON')}
        why={t('Saving makes a new version. Existing plans keep the old one.')}
      >
        <TextBox
          id="card-json"
          label={t('Cards as JSON')}
          most={MOST_JSON}
          text={text}
          onText={setText}
          multiline
        />
      </FieldFrame>
      {said ? (
        <View role="status">
          <Txt as="inline" testID="card-said">
            {said}
          </Txt>
        </View>
      ) : null}
      <View className="flex-row gap-2">
        <SecondaryButton
          label={t('Save as new version')}
          testID="card-save"
          disabled={isLoading}
          onPress={() => void save()}
        />
        <SecondaryButton label={t('Close')} testID="card-close" onPress={onDone} />
      </View>
    </View>
  );
}

/** Exports all cards, and imports cards; the format is in docs/formats/cards.schema.json. */
export function CardTools({ cards }: { cards: readonly Card[] }) {
  const me = usePerson();
  const [open, setOpen] = useState(false);
  return (
    <View className="gap-3 border-b border-rule px-4 py-3">
      <View className="flex-row flex-wrap gap-2">
        <SecondaryButton
          label={t('Export all cards')}
          testID="cards-export"
          onPress={() =>
            download('kelmot-cards.json', pretty(cardFile([...cards])), 'application/json')
          }
        />
        {me?.role === 'planner' ? (
          <SecondaryButton
            label={t('Import cards')}
            testID="cards-import"
            onPress={() => setOpen(!open)}
          />
        ) : null}
      </View>
      {open ? <CardBox start="" onDone={() => setOpen(false)} /> : null}
    </View>
  );
}

/** One card to be edited by a planner. */
export function CardEdit({ card }: { card: Card }) {
  const me = usePerson();
  const [open, setOpen] = useState(false);
  if (me?.role !== 'planner') return null;
  return open ? (
    <CardBox start={pretty(card)} onDone={() => setOpen(false)} />
  ) : (
    <View className="self-start pb-3">
      <SecondaryButton
        label={t('Edit {code}', { code: card.code })}
        testID={`card-edit-${card.code}`}
        onPress={() => setOpen(true)}
      />
    </View>
  );
}
