import { waitEnds } from '@kelmot/contract';
import { clockText, formatDuration, PERMISSION_NAMES, type Hold } from '@kelmot/core';
import { useState } from 'react';
import { Image, View } from 'react-native';
import { pickPicture } from '@/offline/picture';
import { SecondaryButton } from '@/ui/Button';
import { Countdown } from '@/ui/Countdown';
import { FieldFrame, TextBox } from '@/ui/fields';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';
import { lowered } from './StepsStation';
import type { StepProps } from './Steps';
import { useKeptText } from './useKeptText';

type HoldOf<K extends Hold['kind']> = StepProps & { hold: Extract<Hold, { kind: K }> };

/** A wait: it runs from when it was started, whatever the device did since. */
export function CountdownHold({ step, hold, view, repair }: HoldOf<'countdown'>) {
  const now = useNow();
  const { say, tell } = useWords();
  const ends = waitEnds(step, view);
  const running = ends !== null && ends > now;
  return (
    <View className="gap-2">
      {running ? (
        <View className="flex-row flex-wrap items-center gap-x-4" role="timer">
          <Countdown to={ends} now={now} />
          <Txt>
            {tell(hold.label)}, until {clockText(ends, zoneMin())}
          </Txt>
        </View>
      ) : null}
      {ends === null || running ? (
        <SecondaryButton
          label={
            running
              ? 'Start it again'
              : `Start: ${lowered(say(hold.label))}, ${formatDuration(hold.minutes)}`
          }
          testID={`start-${step.id}`}
          disabled={!repair.canWrite}
          onPress={() =>
            repair.send({ type: 'reading.add', stepId: step.id, values: { kind: 'countdown' } })
          }
        />
      ) : null}
    </View>
  );
}

/** A picture taken with the phone, made small, kept with the step. */
export function PhotoHold({ step, hold, view, repair }: HoldOf<'photo'>) {
  const { say, tell } = useWords();
  const [error, setError] = useState<string>();
  const pictures = view.readings.flatMap((r) =>
    r.stepId === step.id && r.values.kind === 'photo' ? [r.values.photoId] : [],
  );
  const waiting = repair.waiting.map((w) => w.command.id);
  const take = async () => {
    setError(undefined);
    const picked = await pickPicture();
    if (picked === null) return;
    if ('error' in picked) return setError(picked.error);
    repair.send({ type: 'photo.add', stepId: step.id, ...picked });
  };
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        {pictures
          .filter((id) => !waiting.includes(id))
          .map((id, i) => (
            <Image
              key={id}
              source={{ uri: `/api/photos/${id}` }}
              accessibilityLabel={`${tell(hold.label)}, picture ${i + 1}`}
              className="h-24 w-32 border border-ink"
              resizeMode="cover"
            />
          ))}
      </View>
      <SecondaryButton
        label={pictures.length > 0 ? 'Take another' : `Photograph: ${lowered(say(hold.label))}`}
        testID={`photo-${step.id}`}
        disabled={!repair.canWrite}
        onPress={() => void take()}
      />
      {error ? (
        <Txt as="label" className="text-oxideInk" role="alert">
          {error}
        </Txt>
      ) : null}
    </View>
  );
}

/** Who approved, and where it is written. Kelmot does not check it; it keeps it. */
export function ApprovalHold({ step, hold, view, repair }: HoldOf<'approval'>) {
  const key = `${view.id}/${step.id}`;
  const [name, setName, dropName] = useKeptText(`${key}/name`);
  const [reference, setReference, dropReference] = useKeptText(`${key}/reference`);
  const [error, setError] = useState<string>();
  const record = () => {
    const values = { kind: 'approval', name: name.trim(), reference: reference.trim() } as const;
    if (values.name.length < 2)
      return setError('Type the name of who approved, 2 to 80 characters.');
    if (values.reference.length < 1)
      return setError('Type where it is written, such as a drawing or permit number.');
    setError(undefined);
    repair.send({ type: 'reading.add', stepId: step.id, values });
    dropName();
    dropReference();
  };
  const who = PERMISSION_NAMES[hold.who];
  return (
    <FieldFrame label={`${who}, by name`} why="Kept with the job, and printed on it." error={error}>
      <View className="gap-2">
        <TextBox
          id={`name-${step.id}`}
          label={`Name of ${who.toLowerCase()}`}
          text={name}
          onText={setName}
          placeholder="Name"
        />
        <TextBox
          id={`reference-${step.id}`}
          label="Where it is written"
          text={reference}
          onText={setReference}
          placeholder="Drawing, permit or mail"
        />
        <SecondaryButton
          label="Record the approval"
          testID={`approve-${step.id}`}
          onPress={record}
          disabled={!repair.canWrite}
        />
      </View>
    </FieldFrame>
  );
}
