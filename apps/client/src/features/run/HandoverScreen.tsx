import {
  HANDOVER,
  handoverOf,
  MOST_NOTE,
  roundsPlaced,
  HANDOVER_KEYS,
  HANDOVER_TITLES,
  lastHandover,
  type RepairView,
  type HandoverRecord,
  type HandoverPartKey,
  type HandoverPart,
} from '@kelmot/contract';
import { clockText, dateText, dayClockText, type Message, t } from '@kelmot/core';
import { router } from 'expo-router';
import { View } from 'react-native';
import { RejectedCommands } from '@/shared/repair/RejectedCommands';
import { RepairAside } from '@/shared/repair/RepairAside';
import { StationFrame } from '@/features/frame';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { useReadAloud } from '@/features/speech';
import { useSavedText } from '@/shared/repair/useSavedText';
import { PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { Txt } from '@/shared/ui/Txt';
import { useCopy } from '@/shared/ui/useCopy';
import { useNow } from '@/shared/ui/useNow';
import { useWords } from '@/shared/ui/useWords';
import { useZone } from '@/shared/ui/useZone';

/** The style of each part. */
const TONES: Partial<Record<HandoverPartKey, string>> = {
  closes: 'text-ochreInk',
  again: 'text-oxideInk',
  watch: 'text-ochreInk',
};

function Parts({ parts, testID }: { parts: readonly HandoverPart[]; testID?: string }) {
  return parts.map(({ part, lines }) => (
    <View key={part} className="gap-1.5" testID={testID && `${testID}-${part}`}>
      <Txt as="rowBold" role="heading">
        {HANDOVER_TITLES[part]}
      </Txt>
      {lines.map((line, i) => (
        <Txt key={i} as="told" className={TONES[part] ?? ''}>
          {line}
        </Txt>
      ))}
    </View>
  ));
}

/** A handover as it was written. */
function ToldThen({ told, at }: { told: HandoverRecord; at: string }) {
  return (
    <View className="gap-4 border-b border-ink bg-sheet px-4 py-4" testID="handed-over">
      <Txt as="row">{t('Handed over by {by}, {at}', { by: told.by, at })}</Txt>
      {told.note ? <Txt as="told">{told.note}</Txt> : null}
      <Parts parts={told.parts} />
    </View>
  );
}

/** The parts of a handover that have content. */
const partsIn = (
  told: ReturnType<typeof handoverOf>,
  word: (message: Message) => string,
): HandoverPart[] =>
  HANDOVER_KEYS.map((part) => ({ part, lines: told[part].map(word) })).filter(
    ({ lines }) => lines.length > 0,
  );

const textsOf = (parts: HandoverPart[]): string[] =>
  parts.map(({ part, lines }) => [HANDOVER_TITLES[part], ...lines].join('\n'));

/** The handover for the next person, made from the record: read, heard or sent, and saved once it is handed over. */
export function HandoverScreen({ view, repair }: { view: RepairView; repair: OpenRepair }) {
  const now = useNow(15_000);
  const zone = useZone();
  const { tell, aloud } = useWords();
  const { copy, said, byHand } = useCopy();
  const [note, setNote, dropNote] = useSavedText(`${view.id}/${HANDOVER}`);
  const told = handoverOf(view, now, zone);
  const parts = partsIn(told, tell);
  const head = `${view.tag} ${view.assetName}, ${dateText(now, zone)} ${clockText(now, zone)}`;
  const sayAgain = useReadAloud(textsOf(partsIn(told, aloud)).join('. '), null);
  const last = lastHandover(view);
  const mine = last !== null && last.byId === repair.me?.id;
  const leftAt = last ? dayClockText(Date.parse(last.takenAt), now, zone) : '';
  const open = view.plan !== null && view.status === 'open' && repair.canWrite;
  const goOn = () => router.navigate(`/repair/${view.id}/${view.plan ? 'run' : 'match'}`);
  const takeOver = () => {
    repair.send({ type: 'reading.add', stepId: HANDOVER, values: { kind: 'taken-over' } });
    goOn();
  };
  const handOver = () => {
    repair.send({
      type: 'reading.add',
      stepId: HANDOVER,
      values: { kind: 'handed-over', parts, note: note.trim() },
    });
    dropNote();
  };
  return (
    <StationFrame
      id={view.id}
      station={view.station}
      reached={view.station}
      rounds={roundsPlaced(view)}
      tag={view.tag}
      title={t('Hand over')}
      aside={<RepairAside id={view.id} />}
      action={
        last && !mine && open ? (
          <PrimaryButton
            label={t('I have read this: take over')}
            testID="take-over"
            onPress={takeOver}
          />
        ) : (
          <GoOn planned={view.plan !== null} onPress={goOn} />
        )
      }
    >
      <RejectedCommands waiting={repair.waiting} />
      {last && !mine ? <ToldThen told={last} at={leftAt} /> : null}
      <View className="gap-4 bg-sheet px-4 py-4" testID="handover">
        <Txt as="label">{last && !mine ? t('Present state. {head}', { head }) : head}</Txt>
        <Parts parts={parts} testID="handover" />
        {open && (last === null || mine) ? (
          <HandOverNow
            mine={mine}
            note={note}
            setNote={setNote}
            handOver={handOver}
            leftAt={leftAt}
          />
        ) : null}
        <SecondaryButton
          label={t('Copy to send')}
          testID="handover-copy"
          onPress={() => copy(t('The handover'), [head, ...textsOf(parts)].join('\n\n'))}
        />
        {sayAgain ? (
          <SecondaryButton label={t('Say it again')} testID="say-again" onPress={sayAgain} />
        ) : null}
        {said ? <Txt role="status">{said}</Txt> : null}
        {byHand ? <Txt selectable>{byHand}</Txt> : null}
      </View>
    </StationFrame>
  );
}

function HandOverNow({
  mine,
  note,
  setNote,
  handOver,
  leftAt,
}: {
  mine: boolean;
  note: string;
  setNote: (text: string) => void;
  handOver: () => void;
  leftAt: string;
}) {
  return (
    <>
      <FieldFrame label={t('Additional notes')} why={t('Saved with the handover in the record.')}>
        <TextBox
          id="handover-note"
          label={t('Additional notes')}
          most={MOST_NOTE}
          text={note}
          onText={setNote}
          multiline
          placeholder={t('For example where the tools are, who knows about it')}
        />
      </FieldFrame>
      <SecondaryButton
        label={
          mine ? t('Hand over again with the present state') : t('Hand over and save in the record')
        }
        testID="hand-over"
        onPress={handOver}
      />
      {mine ? (
        <Txt as="inline" className="text-mossInk" role="status" testID="handed-over">
          {t('Handed over {leftAt}, saved in the record. The next person reads it here.', {
            leftAt,
          })}
        </Txt>
      ) : null}
    </>
  );
}

const GoOn = ({ planned, onPress }: { planned: boolean; onPress: () => void }) => (
  <PrimaryButton
    label={planned ? t('Go on with the work') : t('Choose a system at Match')}
    testID="handover-go-on"
    onPress={onPress}
  />
);
