import { t } from '@kelmot/core';
import { initialsOf, type Present } from '@kelmot/contract';
import { View } from 'react-native';
import { useMeQuery } from '@/store/api';
import { useAppSelector } from '@/store/hooks';
import { Txt } from '@/shared/ui/Txt';

/** Other people who have a repair open, each once; empty while unknown. */
function useOthers(id: string): Present[] {
  const { data: me } = useMeQuery();
  const present = useAppSelector((s) => s.view.present);
  if (!me || present?.repairId !== id) return [];
  const others = present.people.filter((p) => p.id !== me.id);
  return others.filter((p, i) => others.findIndex((q) => q.id === p.id) === i);
}

function Initials({ person, say }: { person: Present; say: string }) {
  return (
    <View
      role="img"
      aria-label={say}
      testID={`present-${person.name}`}
      className="h-7 min-w-[28px] items-center justify-center rounded-full border-[1.25px] border-ink bg-paper px-1"
    >
      <Txt as="label" className="text-ink">
        {initialsOf(person.name)}
      </Txt>
    </View>
  );
}

/** Shows who else has this repair open. */
export function PresentHere({ id }: { id: string }) {
  return useOthers(id).map((person) => (
    <Initials
      key={person.tab}
      person={person}
      say={t('{name} has it open', { name: person.name })}
    />
  ));
}

/** Shows who else is at a step, in words, so that two people do not do the same work. */
export function PresentAt({ id, stepId }: { id: string; stepId: string }) {
  const there = useOthers(id).filter((p) => p.stepId === stepId);
  if (there.length === 0) return null;
  return (
    <View className="flex-row flex-wrap items-center gap-2" role="status" testID={`at-${stepId}`}>
      {there.map((person) => (
        <Initials key={person.tab} person={person} say={person.name} />
      ))}
      <Txt as="label" className="text-ochreInk">
        {t('{names} {count, plural, one {is} other {are}} at this step too', {
          names: there.map((p) => p.name).join(', '),
          count: there.length,
        })}
      </Txt>
    </View>
  );
}
