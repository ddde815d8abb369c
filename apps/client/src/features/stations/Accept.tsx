import {
  MOST_NOTE,
  currentTask,
  mayOverride,
  maySign,
  overrideText,
  REVIEW_NAMES,
  SIGNOFF_NAMES,
  type GateRefusal,
} from '@kelmot/contract';
import { DAY, dateText, tasksOf, MINUTE, t } from '@kelmot/core';
import { useState } from 'react';
import { View } from 'react-native';
import { PrimaryButton, SecondaryButton } from '@/shared/ui/Button';
import { FieldFrame, TextBox } from '@/shared/ui/fields';
import { StopMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useNow } from '@/shared/ui/useNow';
import { useZone } from '@/shared/ui/useZone';
import { useWords } from '@/shared/ui/useWords';
import { useSiteQuery } from '@/store/api';
import { trimmedReason } from './trimmedReason';
import { StepList } from './Steps';
import { Story } from './Story';
import { useSavedText } from '../../shared/repair/useSavedText';
import { heldText, OpenRunSheet } from './StepsStation';
import type { StationProps } from '@/shared/repair/stationProps';
import { useGateTime } from './useGateTime';

/** What still prevents the signed-in person from signing off; null when they may sign. */
function useGate(
  { view, plan, repair }: StationProps,
  override: string | null,
): GateRefusal | null {
  const now = useGateTime(view);
  const { data: site } = useSiteQuery();
  const zone = useZone();
  const { id, role } = repair.me ?? { id: '', role: 'viewer' as const };
  // Until the site's settings have loaded, uses those of the plan.
  const { secondSigns } = site?.settings ?? plan.site;
  const signing = { verdict: 'accepted', override } as const;
  return maySign(view, {
    signing,
    who: { id, role },
    site: { secondSigns, zone },
    now: { device: now, server: now },
  });
}

const statementKey = (id: string) => `${id}/statement`;
const overrideKey = (id: string) => `${id}/override`;
/** Why a person may not sign, or what else they must state. Empty if it is only to wait or to work. */
function Withheld({ gate, view, repair }: StationProps & { gate: GateRefusal | null }) {
  const { say } = useWords();
  const [why, setWhy] = useSavedText(overrideKey(view.id));
  if (gate?.by === 'clock' && repair.me && mayOverride(repair.me))
    return (
      <FieldFrame
        label={t('Reason for signing now')}
        why={t('{title}. {why} Saved and shown with the sign-off.', {
          title: say(gate.title),
          why: gate.why.map(say).join(' '),
        })}
      >
        <TextBox
          id="override"
          label={t('Reason for signing now')}
          most={MOST_NOTE}
          text={why}
          onText={setWhy}
          multiline
          placeholder={t('For example: done without signal, entered later')}
        />
      </FieldFrame>
    );
  if (gate?.by !== 'clock' && gate?.by !== 'person') return null;
  return (
    <View className="flex-row items-center gap-3" role="note" testID="withheld">
      <StopMark maybe size={30} />
      <Txt className="min-w-0 flex-1">
        <Txt as="strong">{say(gate.title)}. </Txt>
        {gate.why.map(say).join(' ')}
      </Txt>
    </View>
  );
}

/** The sign-offs, and the date of the next look. */
export function Signed({ view }: Pick<StationProps, 'view'>) {
  const zone = useZone();
  const { tell } = useWords();
  return (
    <>
      {view.signoffs.map((s) => (
        <View
          key={s.id}
          className="gap-1 border-b border-ink bg-sheet px-4 py-3"
          testID={`signoff-${s.verdict}`}
        >
          <Txt as="row" className={s.verdict === 'accepted' ? 'text-mossInk' : 'text-oxideInk'}>
            {SIGNOFF_NAMES[s.verdict]}
          </Txt>
          <Txt>{s.statement}</Txt>
          <Txt as="label">
            {t('Signed {name}, {date}', { name: s.name, date: dateText(Date.parse(s.at), zone) })}
          </Txt>
          {s.override === null ? null : (
            <Txt className="text-ochreInk">{tell(overrideText(s.override))}</Txt>
          )}
        </View>
      ))}
      {view.reviews.map((r) => (
        <View key={r.id} className="border-b border-rule px-4 py-3" testID={`review-${r.kind}`}>
          <Txt as="inline">
            {t('{review} by {date}', {
              review: REVIEW_NAMES[r.kind],
              date: dateText(Date.parse(r.dueOn), 'UTC'),
            })}
          </Txt>
        </View>
      ))}
    </>
  );
}

/** The result, the next look, and the way back if it is not good. Empty once the repair is closed. */
export function SignOff({ view, plan, repair }: StationProps) {
  const { me } = repair;
  const gate = useGate({ id: view.id, view, plan, repair }, null);
  const [text, setText, drop] = useSavedText(statementKey(view.id));
  const [sure, setSure] = useState(false);
  const now = useNow(MINUTE);
  const zone = useZone();
  if (view.status === 'closed') return null;
  return (
    <View className="gap-3 px-4 py-3">
      <FieldFrame
        label={t('Result of inspection')}
        why={t('Signed by {name}. It cannot be changed later.', { name: me?.name ?? '' })}
      >
        <TextBox
          id="statement"
          label={t('Result of inspection')}
          most={MOST_NOTE}
          text={text}
          onText={setText}
          multiline
          placeholder={t('For example: flush, one sound, hard everywhere')}
        />
      </FieldFrame>
      <Withheld id={view.id} view={view} plan={plan} repair={repair} gate={gate} />
      <Txt className="text-pencil">
        {plan.replaceInDays === null
          ? t('Next look {date}.', { date: dateText(now + plan.nextLookDays * DAY, zone) })
          : t('Next look {date}; as a stop-gap it must be replaced by {replaced}.', {
              date: dateText(now + plan.nextLookDays * DAY, zone),
              replaced: dateText(now + plan.replaceInDays * DAY, zone),
            })}
      </Txt>
      {sure ? (
        <View className="gap-2" role="alert">
          <Txt>{t('The plan starts again at Prep. Old records stay with the old plan.')}</Txt>
          <SecondaryButton
            label={t('Do {tag} again', { tag: view.tag })}
            tone="remove"
            testID="redo-sure"
            disabled={trimmedReason(text) === null}
            onPress={() => {
              repair.send({
                type: 'signoff.add',
                verdict: 'redo',
                statement: text.trim(),
                override: null,
              });
              drop();
              setSure(false);
            }}
          />
          {trimmedReason(text) === null ? (
            <Txt as="label">{t('First enter the result of inspection, 3 characters or more.')}</Txt>
          ) : null}
        </View>
      ) : (
        <SecondaryButton
          label={t('Not accepted: do it again')}
          onPress={() => setSure(true)}
          testID="redo"
          disabled={!repair.canWrite}
        />
      )}
    </View>
  );
}

/** Accept: inspect, measure, sign off, return to service, set the date of the next look. */
export function Accept(props: StationProps) {
  return (
    <View>
      <Signed view={props.view} />
      <Story view={props.view} />
      <StepList station="accept" {...props} />
      <SignOff {...props} />
    </View>
  );
}

/** The main action of Accept: sign off. Disabled while anything is open. */
export function AcceptAction(props: StationProps) {
  const { view, plan, repair } = props;
  const now = useGateTime(view);
  const [text, , drop] = useSavedText(statementKey(view.id));
  const [why, , dropWhy] = useSavedText(overrideKey(view.id));
  const override = trimmedReason(why);
  const gate = useGate(props, override);
  const { say } = useWords();
  if (view.status === 'closed') return null;
  if (currentTask(tasksOf(plan), view, now) !== null) return <OpenRunSheet {...props} />;
  const short = trimmedReason(text) === null ? t('Enter the result, then sign') : null;
  const asks =
    gate?.by === 'clock' && repair.me && mayOverride(repair.me)
      ? t('Enter the reason for signing now')
      : gate && heldText(gate, say);
  const held = asks ?? short;
  return (
    <PrimaryButton
      label={held ?? t('Sign off and return to service')}
      sign="tick"
      disabled={held !== null || !repair.canWrite}
      testID="sign-off"
      onPress={() => {
        repair.send({
          type: 'signoff.add',
          verdict: 'accepted',
          statement: text.trim(),
          override,
        });
        drop();
        dropWhy();
      }}
    />
  );
}
