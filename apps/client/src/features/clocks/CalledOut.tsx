import { router } from 'expo-router';
import { Notice } from '@/features/frame/Notice';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { putAway } from '@/store/view';
import { StopMark, WaitMark } from '@/ui/marks';
import { Txt } from '@/ui/Txt';
import { runPath } from './running';

/** What the clocks called out, until it is put away or gone to. */
export function CalledOut() {
  const dispatch = useAppDispatch();
  const called = useAppSelector((s) => s.view.called);
  return called.map(({ repairId, tag, text, urgent }) => {
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
          { label: 'Go there', hint: `to ${tag}`, go },
          { label: 'Seen', hint: tag, go: away },
        ]}
      >
        <Txt as="strong">{tag}: </Txt>
        {text}
      </Notice>
    );
  });
}
