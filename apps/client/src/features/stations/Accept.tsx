import { atHand, mixedBatches, openInAll } from '@kelmot/contract';
import { curedAt, DAY, dateText, dayClockText, deedsOf, gistOf, MINUTE } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { PrimaryButton, SecondaryButton } from '@/ui/Button';
import { FieldFrame, TextBox } from '@/ui/fields';
import { Txt } from '@/ui/Txt';
import { useNow, zoneMin } from '@/ui/useNow';
import { useWords } from '@/ui/useWords';
import { useMeQuery } from '@/store/api';
import { StepList } from './Steps';
import { useKeptText } from './useKeptText';
import { firstOf, ToRun, type StationProps } from './StepsStation';

/** What still stands between this repair and its sign-off; null when it may be signed. */
function useHeld({ view, plan }: StationProps): string | null {
  const now = useNow(5000);
  const { say } = useWords();
  const open = openInAll(view, now);
  const ready = curedAt(gistOf(plan), mixedBatches(view.mixes));
  if (open.length > 0) return firstOf(open, say);
  if (ready === null) return 'Nothing was mixed yet';
  return ready > now ? `Cured from ${dayClockText(ready, now, zoneMin())}` : null;
}

const statementKey = (id: string) => `${id}/statement`;

/** Sign-offs that were given, and when to look again. */
export function Signed({ view }: Pick<StationProps, 'view'>) {
  const zone = zoneMin();
  return (
    <>
      {view.signoffs.map((s) => (
        <View
          key={s.id}
          className="gap-1 border-b border-ink bg-sheet px-4 py-3"
          testID={`signoff-${s.verdict}`}
        >
          <Txt as="row" className={s.verdict === 'accepted' ? 'text-mossInk' : 'text-oxideInk'}>
            {s.verdict === 'accepted'
              ? 'Accepted, returned to service'
              : 'Not accepted: to be done again'}
          </Txt>
          <Txt>{s.statement}</Txt>
          <Txt as="label">
            Signed {s.name}, {dateText(Date.parse(s.at), zone)}
          </Txt>
        </View>
      ))}
      {view.reviews.map((r) => (
        <View key={r.id} className="border-b border-rule px-4 py-3" testID={`review-${r.kind}`}>
          <Txt as="inline">
            {r.kind === 'look' ? 'Look at it again' : 'Stop-gap: replace it'} by{' '}
            {dateText(Date.parse(r.dueOn), zone)}
          </Txt>
        </View>
      ))}
    </>
  );
}

/** What was found, the next look, and the way back when it is not good. Nothing once it is closed. */
export function SignOff({ view, plan, repair }: StationProps) {
  const { data: me } = useMeQuery();
  const [text, setText, drop] = useKeptText(statementKey(view.id));
  const [sure, setSure] = useState(false);
  const now = useNow(MINUTE);
  const zone = zoneMin();
  if (view.status === 'closed') return null;
  return (
    <View className="gap-3 px-4 py-3">
      <FieldFrame
        label="What you found"
        why={`Signed by ${me?.name ?? ''}. It cannot be edited later.`}
      >
        <TextBox
          id="statement"
          label="What you found"
          text={text}
          onText={setText}
          multiline
          placeholder="Flush, one sound, hard all over"
        />
      </FieldFrame>
      <Txt className="text-pencil">
        Next look {dateText(now + plan.nextLookDays * DAY, zone)}
        {plan.replaceInDays === null
          ? '.'
          : `; as a stop-gap it must be replaced by ${dateText(now + plan.replaceInDays * DAY, zone)}.`}
      </Txt>
      {sure ? (
        <View className="gap-2" role="alert">
          <Txt>The plan starts again at Prep. What was recorded stays with the old one.</Txt>
          <SecondaryButton
            label={`Do ${view.tag} again`}
            tone="remove"
            testID="redo-sure"
            disabled={text.trim().length < 3}
            onPress={() => {
              repair.send({ type: 'signoff.add', verdict: 'redo', statement: text.trim() });
              drop();
              setSure(false);
            }}
          />
          {text.trim().length < 3 ? (
            <Txt as="label">Say first what you found, 3 characters or more.</Txt>
          ) : null}
        </View>
      ) : (
        <SecondaryButton
          label="Not good: do it again"
          onPress={() => setSure(true)}
          testID="redo"
          disabled={!repair.canWrite}
        />
      )}
    </View>
  );
}

/** Accept: inspect, measure, sign off, return to service, say when to look again. */
export function Accept(props: StationProps) {
  return (
    <View>
      <Signed view={props.view} />
      <StepList station="accept" {...props} />
      <SignOff {...props} />
    </View>
  );
}

/** The one action of Accept: sign off. Closed while anything is open. */
export function AcceptAction(props: StationProps) {
  const { view, plan, repair } = props;
  const now = useNow(5000);
  const [text, , drop] = useKeptText(statementKey(view.id));
  const held = useHeld(props);
  if (view.status === 'closed') return null;
  if (atHand(deedsOf(plan), view, now) !== null) return <ToRun {...props} />;
  const why = held ?? (text.trim().length < 3 ? 'Say what you found, then sign' : null);
  return (
    <PrimaryButton
      label={why ?? 'Sign off and return to service'}
      sign="tick"
      disabled={why !== null || !repair.canWrite}
      testID="sign-off"
      onPress={() => {
        repair.send({ type: 'signoff.add', verdict: 'accepted', statement: text.trim() });
        drop();
      }}
    />
  );
}
