import { t } from '@kelmot/core';
import { router } from 'expo-router';
import { Notice } from '@/shared/ui/Notice';
import { useFolded } from '@/shared/ui/useFolded';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { putAway } from '@/store/view';
import { StopMark, WaitMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { runPath } from './running';

/**
 * The calls of the clocks, until somebody dismisses them or opens the repair: the most urgent one, and the others on
 * request.
 */
export function CallBanner() {
  const dispatch = useAppDispatch();
  const called = useAppSelector((s) => s.view.called);
  const inOrder = [...called].sort((p, q) => Number(q.urgent) - Number(p.urgent));
  const { shown, rest } = useFolded(inOrder, (more) =>
    t('{more, plural, one {call} other {calls}} of the clocks', { more }),
  );
  return shown.map(({ repairId, tag, text, urgent }, i) => {
    const away = () => dispatch(putAway(repairId));
    const go = () => {
      away();
      router.navigate(runPath(repairId));
    };
    return (
      <Notice
        key={repairId}
        id={`called-${tag}`}
        told
        mark={urgent ? <StopMark maybe size={18} /> : <WaitMark size={18} />}
        ways={[
          { label: t('Open repair'), hint: t('to {tag}', { tag }), go },
          { label: t('Seen'), hint: tag, go: away },
          ...(i === 0 ? rest : []),
        ]}
      >
        <Txt as="strong">{tag}: </Txt>
        {text}
      </Notice>
    );
  });
}
