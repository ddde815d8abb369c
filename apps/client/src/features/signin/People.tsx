import { t } from '@kelmot/core';
import { CODE_DIGITS, type DevicePerson } from '@kelmot/contract';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useHereQuery, useMeQuery } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { takenInHand } from '@/store/settings';
import { PrimaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { WaitMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { signInErrorText } from './signInErrorText';
import { useCodeSignIn } from './useCodeSignIn';

/** The code of the selected person; a correct code signs them in. */
function CodeBox({ person }: { person: DevicePerson }) {
  const [code, setCode] = useState('');
  const { comeIn, error, isLoading } = useCodeSignIn();
  const go = () => void comeIn({ personId: person.id, code });
  return (
    <View className="gap-3 border-b border-rule bg-shade p-4">
      <FieldFrame
        label={t('Code of {name}', { name: person.name })}
        error={error ? `${signInErrorText(error)}.` : undefined}
      >
        <TextBox
          id="code"
          label={t('Code of {name}', { name: person.name })}
          text={code}
          onText={setCode}
          most={CODE_DIGITS.most}
          secret
          digits
          focused
          onSubmit={go}
        />
      </FieldFrame>
      <PrimaryButton
        label={t('Go on as {name}', { name: person.name })}
        disabled={isLoading || code.length < CODE_DIGITS.least}
        onPress={go}
        testID="come-in"
      />
    </View>
  );
}

/** Without signal no code can be checked: the person goes on under their name, and confirms it later. */
function TakeInHand({ person, signedIn }: { person: DevicePerson; signedIn: string }) {
  const dispatch = useAppDispatch();
  const isBack = person.id === signedIn;
  return (
    <View className="gap-3 border-b border-rule bg-shade p-4">
      <Txt as="inline">
        {isBack
          ? t('Still signed in here. Their entries are sent when signal returns.')
          : t(
              'No signal: the code cannot be checked now. Entries are kept under this name and sent once the code is typed.',
            )}
      </Txt>
      <PrimaryButton
        label={t('Go on as {name}', { name: person.name })}
        onPress={() => dispatch(takenInHand(isBack ? null : person))}
        testID="take-in-hand"
      />
    </View>
  );
}

/** The people that this device knows: select one and type the code to take over the device. */
export function People({ here }: { here?: string }) {
  const { data: known = [] } = useHereQuery();
  const { data: me } = useMeQuery(undefined, { skip: !here });
  const signal = useAppSelector((s) => s.view.signal);
  const inHand = useAppSelector((s) => s.settings.inHand);
  const byHand = me !== undefined && !signal;
  // The signed-in person takes the device back without a code; a person of another site needs the server.
  const people = byHand
    ? [...known.filter((p) => p.id !== me.id && p.siteId === me.siteId), me]
    : known;
  const [tapped, setTapped] = useState<string | null>(null);
  const queue = useAppSelector((s) => s.outbox.queue);
  if (known.length === 0) return null;
  return (
    <View className="rounded border-[1.5px] border-ink bg-sheet" testID="people">
      {people.map((person) => {
        const waiting = queue.filter((w) => w.by?.id === person.id).length;
        const isHere = person.id === here && (!signal || !inHand);
        const open = tapped === person.id && !isHere;
        return (
          <View key={person.id}>
            <Pressable
              role="button"
              testID={`person-${person.name}`}
              disabled={isHere}
              aria-disabled={isHere}
              aria-expanded={isHere ? undefined : open}
              onPress={() => setTapped(open ? null : person.id)}
              className="min-h-[56px] flex-row items-center justify-between gap-3 border-b border-rule px-4 active:bg-shade"
            >
              <Txt as="row" className="min-w-0 flex-1">
                {person.name}
              </Txt>
              {waiting > 0 ? (
                <View className="flex-row items-center gap-1.5">
                  <WaitMark size={18} />
                  <Txt as="label">{t('{waiting} to send', { waiting })}</Txt>
                </View>
              ) : null}
              <Txt as="inline" className="font-label text-pencil">
                {isHere ? t('here now') : person.role}
              </Txt>
            </Pressable>
            {!open ? null : byHand ? (
              <TakeInHand person={person} signedIn={me.id} />
            ) : (
              <CodeBox person={person} />
            )}
          </View>
        );
      })}
    </View>
  );
}
