import { openBatchOf } from '@kelmot/contract';
import { MINUTE, formatQuantity, t } from '@kelmot/core';
import { View } from 'react-native';
import { applyUpdate } from '@/store/shell';
import { api, useMeQuery } from '@/store/api';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { usePerson } from '@/store/usePerson';
import { confirmAsked } from '@/store/view';
import { CallBanner, OtherClocks, useRunning } from '@/features/clocks';
import { StopMark, WaitMark } from '@/shared/ui/marks';
import { Notice } from '../../shared/ui/Notice';

function NoSignal() {
  const dispatch = useAppDispatch();
  const signal = useAppSelector((s) => s.view.signal);
  const waits = useAppSelector((s) => s.outbox.queue.length);
  if (signal) return null;
  // Acts as if signal had returned: queries run again, and the outbox is sent.
  const again = () => dispatch(api.internalActions.onOnline());
  return (
    <Notice
      id="no-signal"
      mark={<WaitMark size={18} />}
      ways={[{ label: t('Try again'), go: again }]}
    >
      {t('No signal. {waits, plural, =0 {You can go on working.} other {# kept to be sent.}}', {
        waits,
      })}
    </Notice>
  );
}

function WrongClock() {
  const ahead = useAppSelector((s) => s.clock.aheadMs);
  if (ahead === 0) return null;
  const by = formatQuantity(Math.round(Math.abs(ahead) / MINUTE), 'time');
  return (
    <Notice id="wrong-clock" mark={<StopMark maybe size={18} />}>
      {t(
        'This device’s clock is {by} {way, select, ahead {ahead} other {behind}}. Kelmot shows the correct time: it uses the site’s clock.',
        { by, way: ahead > 0 ? 'ahead' : 'behind' },
      )}
    </Notice>
  );
}

/** Commands on this device that another person typed and only they can send. */
function Others() {
  const { data: me } = useMeQuery();
  const person = usePerson();
  const queue = useAppSelector((s) => s.outbox.queue);
  const others = queue.flatMap(({ by }) =>
    by && me && by.id !== me.id && by.id !== person?.id ? by.name : [],
  );
  const names = new Set(others);
  if (names.size === 0) return null;
  const count = others.length;
  return (
    <Notice id="of-others" mark={<WaitMark size={18} />}>
      {t(
        '{count} of {names} {count, plural, one {waits here, and is} other {wait here, and are}} sent when {people, plural, one {they sign in} other {each signs in}}.',
        { count, names: [...names].join(', '), people: names.size },
      )}
    </Notice>
  );
}

/** Somebody took over the device without signal: asks for their identity once the server can check it. */
function InHand() {
  const dispatch = useAppDispatch();
  const inHand = useAppSelector((s) => s.settings.inHand);
  const signal = useAppSelector((s) => s.view.signal);
  if (!inHand) return null;
  const ask = { label: t('Type the code'), go: () => dispatch(confirmAsked(true)) };
  return (
    <Notice id="in-hand" mark={<WaitMark size={18} />} ways={signal ? [ask] : []}>
      {t(
        '{name} works on this device and is not confirmed yet. Kelmot asks for the code {signal, select, yes {now} other {when signal returns}}.',
        { name: inHand.name, signal: signal ? 'yes' : 'no' },
      )}
    </Notice>
  );
}

/** Offers a newer version while no batch is in use. */
function Update() {
  const ready = useAppSelector((s) => s.view.updateReady);
  const mixing = useRunning().some((row) => openBatchOf(row.mixes));
  if (!ready || mixing) return null;
  return (
    <Notice
      id="update"
      mark={<WaitMark size={18} />}
      ways={[{ label: t('Update now'), go: applyUpdate }]}
    >
      {t('A new version of Kelmot is ready. Nothing you typed is lost.')}
    </Notice>
  );
}

/** Notices about this device, over every screen. */
export function Notices() {
  return (
    <View role="region" aria-label={t('Device notices')}>
      <CallBanner />
      <OtherClocks />
      <NoSignal />
      <WrongClock />
      <InHand />
      <Others />
      <Update />
    </View>
  );
}
