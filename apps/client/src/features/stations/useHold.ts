import { judgeReading, stepDone, waitEnds, type RepairView } from '@kelmot/contract';
import { formatDuration, type Plan, type Step } from '@kelmot/core';
import { useMemo, useState } from 'react';
import type { OpenRepair } from '@/features/repair/useRepair';
import { pickPicture } from '@/offline/picture';
import { textsDropped, textTyped } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { goToFirstWrong } from '@/ui/keyboard';
import { useWords } from '@/ui/useWords';
import { entryOf, type Entry } from './entry';
import { lowered } from './StepsStation';

export interface HoldProps {
  step: Step;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
  /** The batch a tick is given for; null: the step as a whole. */
  batchNo?: number | null;
}

/** The tick of a step, given or taken back. */
export const tickOf = (step: Step, done: boolean, batchNo: number | null = null) =>
  ({ type: 'check.set', stepId: step.id, batchNo, done, note: '' }) as const;

/** What meets a hold: what it asks to be typed, and the one thing to press. */
export interface HoldAct {
  entry: Entry | null;
  typed: (key: string) => string;
  type: (key: string, text: string) => void;
  /** What is wrong with each frame of the entry, once it was tried; what went wrong with a picture. */
  wrong: (string | null)[];
  label: string;
  hint?: string;
  testID: string;
  sign: 'tick' | 'next';
  act: () => void;
}

/** How the hold of a step is met, the same in a list and one at a time. Texts are kept on the device until they pass. */
export function useHold({ step, view, plan, repair, batchNo = null }: HoldProps): HoldAct {
  const dispatch = useAppDispatch();
  const { units, say, tell } = useWords();
  const texts = useAppSelector((s) => s.drafts.texts);
  // Of one step each: the same screen may go on to the next.
  const [tried, setTried] = useState<string | null>(null);
  const [failed, setFailed] = useState<{ id: string; why: string } | null>(null);
  const entry = useMemo(() => entryOf(step, units, repair.me), [step, units, repair.me]);
  const keyOf = (key: string) => `${view.id}/${step.id}/${key}`;
  const typed = (key: string) => texts[keyOf(key)] ?? '';
  const read = entry?.read(typed);
  const { hold } = step;
  const title = lowered(say(step.title));

  const photograph = async () => {
    setFailed(null);
    const picked = await pickPicture();
    if (picked === null) return;
    if ('error' in picked) return setFailed({ id: step.id, why: picked.error });
    repair.send({ type: 'photo.add', stepId: step.id, ...picked });
  };
  const act = () => {
    if (!repair.canWrite) return;
    if (hold?.kind === 'photo') return void photograph();
    if (hold?.kind === 'countdown')
      return repair.send({
        type: 'reading.add',
        stepId: step.id,
        values: { kind: 'countdown' },
      });
    if (!entry || !read || !hold) return repair.send(tickOf(step, true, batchNo));
    if ('wrong' in read) {
      setTried(step.id);
      return goToFirstWrong();
    }
    setTried(null);
    repair.send({ type: 'reading.add', stepId: step.id, values: read.values });
    if (judgeReading(hold, read.values, plan).passed)
      dispatch(textsDropped(entry.frames.flatMap((f) => f.boxes).map((box) => keyOf(box.key))));
  };

  const common = {
    entry,
    typed,
    type: (key: string, text: string) => void dispatch(textTyped({ key: keyOf(key), text })),
    wrong:
      tried === step.id && read && 'wrong' in read
        ? read.wrong
        : [failed?.id === step.id ? failed.why : null],
    act,
  };
  if (entry)
    return { ...common, label: entry.label, hint: entry.hint, testID: entry.testID, sign: 'tick' };
  if (hold?.kind === 'photo') {
    const taken = view.readings.some((r) => r.stepId === step.id);
    const label = taken ? 'Take another' : `Photograph: ${lowered(say(hold.label))}`;
    return { ...common, label, testID: `photo-${step.id}`, sign: 'next' };
  }
  if (hold?.kind === 'countdown') {
    const label =
      waitEnds(step, view) === null
        ? `Start: ${lowered(say(hold.label))}, ${formatDuration(hold.minutes)}`
        : 'Start it again';
    return { ...common, label, testID: `start-${step.id}`, sign: 'next' };
  }
  return {
    ...common,
    label: `Done: ${title}`,
    hint: `${tell(step.title)}: done`,
    testID: `check-${step.id}`,
    sign: 'tick',
  };
}

/** Whether a wait was started and is over. */
export const waitOver = (step: Step, view: RepairView, now: number): boolean =>
  step.hold?.kind === 'countdown' && stepDone(step, view, now);
