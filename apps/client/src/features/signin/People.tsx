import { CODE_DIGITS, type DevicePerson } from '@kelmot/contract';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useHereQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { PrimaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { WaitMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { reasonOf } from './reasonOf';
import { useComeIn } from './useComeIn';

/** The code of whoever was tapped; on one that is right they are here. */
function CodeBox({ person }: { person: DevicePerson }) {
  const [code, setCode] = useState('');
  const { comeIn, error, isLoading } = useComeIn();
  const go = () => void comeIn({ personId: person.id, code });
  return (
    <View className="gap-3 border-b border-rule bg-shade p-4">
      <FieldFrame
        label={`Code of ${person.name}`}
        error={error ? `${reasonOf(error)}.` : undefined}
      >
        <TextBox
          id="code"
          label={`Code of ${person.name}`}
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
        label={`Go on as ${person.name}`}
        disabled={isLoading || code.length < CODE_DIGITS.least}
        onPress={go}
        testID="come-in"
      />
    </View>
  );
}

/** Whom this device knows: tapped, and their code typed, they take the place of whoever is here. */
export function People({ here }: { here?: string }) {
  const { data: people = [] } = useHereQuery();
  const [tapped, setTapped] = useState<string | null>(null);
  const queue = useAppSelector((s) => s.outbox.queue);
  if (people.length === 0) return null;
  return (
    <View className="rounded border-[1.5px] border-ink bg-sheet" testID="people">
      {people.map((person) => {
        const waiting = queue.filter((w) => w.by?.id === person.id).length;
        const isHere = person.id === here;
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
                  <Txt as="label">{waiting} to send</Txt>
                </View>
              ) : null}
              <Txt as="inline" className="font-label text-pencil">
                {isHere ? 'here now' : person.role}
              </Txt>
            </Pressable>
            {open ? <CodeBox person={person} /> : null}
          </View>
        );
      })}
    </View>
  );
}
