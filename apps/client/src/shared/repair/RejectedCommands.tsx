import { t } from '@kelmot/core';
import { View } from 'react-native';
import { useAppDispatch } from '@/store/hooks';
import { retried, thrownAway, type AnyCommand, type QueuedCommand } from '@/store/outbox';
import { SecondaryButton } from '@/shared/ui/Button';
import { StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { surveyChanges } from './surveyChanges';

/** The name of each command in sentences. */
export const COMMAND_NAMES: Record<AnyCommand['type'], string> = {
  'repair.create': t('the new repair'),
  'survey.save': t('the survey'),
  'plan.make': t('the choice of system'),
  'station.move': t('the move to the next station'),
  'check.set': t('the tick'),
  'reading.add': t('the reading'),
  'photo.add': t('the picture'),
  'mix.start': t('the batch'),
  'mix.placed': t('the mark “placed”'),
  'mix.binned': t('the mark “thrown away”'),
  'signoff.add': t('the sign-off'),
  'shelf.move': t('the move of the shelf'),
  'cards.import': t('the change of cards'),
};

/**
 * What the server rejected, why, and what can be done. On a conflict both states are shown before anything is sent
 * again.
 */
export function RejectedCommands({ waiting }: { waiting: QueuedCommand[] }) {
  const dispatch = useAppDispatch();
  return waiting
    .filter((w) => w.refused)
    .map(({ command, refused, current }) => {
      const name = COMMAND_NAMES[command.type];
      const version = current?.version;
      const mine =
        command.type === 'survey.save' && current
          ? surveyChanges(current.survey, command.survey)
          : [];
      const fields = refused?.issues?.map((i) => i.message).join('; ');
      return (
        <View
          key={command.id}
          role="alert"
          testID="refused"
          className="gap-3 border-b border-ink bg-sheet px-4 py-3"
        >
          <View className="flex-row items-start gap-3">
            <StopMark size={28} />
            <View className="min-w-0 flex-1 gap-1">
              <Txt as="row" className="text-oxideInk">
                {refused?.title}.
              </Txt>
              {refused?.detail ? <Txt>{refused.detail}</Txt> : null}
              {fields && fields !== refused?.detail ? (
                <Txt className="text-pencil">{fields}</Txt>
              ) : null}
            </View>
          </View>
          {current ? (
            <View className="gap-1">
              <Txt as="label">
                {t('Stored now (version {version}), and your change', { version: current.version })}
              </Txt>
              {mine.length === 0 ? <Txt>{t('Your change is the same.')}</Txt> : null}
              {mine.map((m) => (
                <Txt as="inline" key={m.path}>
                  {t('{name}: {theirs} stored, {yours} yours', {
                    name: m.name,
                    theirs: m.theirs,
                    yours: m.yours,
                  })}
                </Txt>
              ))}
            </View>
          ) : null}
          {version !== undefined ? (
            <SecondaryButton
              label={t('Replace with mine')}
              testID="send-mine"
              onPress={() => dispatch(retried({ id: command.id, expect: version }))}
            />
          ) : null}
          {version === undefined && (refused?.status ?? 0) >= 500 ? (
            <SecondaryButton
              label={t('Send {name} again', { name })}
              testID="send-again"
              onPress={() => dispatch(retried({ id: command.id }))}
            />
          ) : null}
          <SecondaryButton
            label={t('Delete {name}', { name })}
            tone="remove"
            testID="throw-away"
            onPress={() => dispatch(thrownAway(command.id))}
          />
        </View>
      );
    });
}
