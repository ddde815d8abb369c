import {
  judgeReading,
  stepDone,
  waitEnd,
  type ReadingValues,
  type RepairView,
} from '@kelmot/contract';
import { formatDuration, type Message, type Plan, type Step, t } from '@kelmot/core';
import { useMemo, useState } from 'react';
import type { OpenRepair } from '@/shared/repair/useRepair';
import { pickPicture } from '@/offline/picture';
import { textsDropped, textTyped } from '@/store/drafts';
import { useAppDispatch, useAppSelector } from '@/store/hooks';
import { goToFirstWrong } from '@/shared/ui/keyboard';
import { useWords } from '@/shared/ui/useWords';
import { entryOf, type Entry } from './entry';

export interface HoldProps {
  step: Step;
  view: RepairView;
  plan: Plan;
  repair: OpenRepair;
  /** The batch of the tick; null: the whole step. */
  batchNo?: number | null;
}

/** A command that ticks a step or removes the tick. */
export const tickOf = (step: Step, done: boolean, batchNo: number | null = null) =>
  ({ type: 'check.set', stepId: step.id, batchNo, done, note: '' }) as const;

/** The key of the instrument that a hold's texts came from. */
const INSTRUMENT = 'instrument';

/** How a hold is met: its inputs, and its one button. */
export interface HoldAct {
  entry: Entry | null;
  typed: (key: string) => string;
  type: (key: string, text: string) => void;
  /** Puts an instrument's values into the boxes; a value that is changed by hand counts as typed. */
  take: (texts: Record<string, string>, instrument: string) => void;
  /** The verdict on these texts; null if they cannot be read. */
  verdictOf: (texts: Record<string, string>) => Message | null;
  /** The error of each frame after a try, and the error of a picture. */
  wrong: (string | null)[];
  label: string;
  hint?: string;
  testID: string;
  sign: 'tick' | 'next';
  act: () => void;
}

/**
 * How the hold of a step is met, the same in a list and in the run sheet. Texts stay on the device until they are
 * accepted.
 */
export function useHold({ step, view, plan, repair, batchNo = null }: HoldProps): HoldAct {
  const dispatch = useAppDispatch();
  const { units, say, tell } = useWords();
  const texts = useAppSelector((s) => s.drafts.texts);
  // For one step each: the same screen may show the next step.
  const [tried, setTried] = useState<string | null>(null);
  const [failed, setFailed] = useState<{ id: string; why: string } | null>(null);
  const entry = useMemo(() => entryOf(step, units, repair.me), [step, units, repair.me]);
  const keyOf = (key: string) => `${view.id}/${step.id}/${key}`;
  const typed = (key: string) => texts[keyOf(key)] ?? '';
  const read = entry?.read(typed);
  const boxes = entry?.frames.flatMap((frame) => frame.boxes) ?? [];
  const { hold } = step;

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
    const instrument = typed(INSTRUMENT);
    // The record names the instrument of its values.
    const values = (instrument ? { ...read.values, instrument } : read.values) as ReadingValues;
    repair.send({ type: 'reading.add', stepId: step.id, values });
    if (judgeReading(hold, values, plan).passed)
      dispatch(textsDropped([...boxes.map((box) => keyOf(box.key)), keyOf(INSTRUMENT)]));
  };

  const common = {
    entry,
    typed,
    type: (key: string, text: string) => {
      dispatch(textTyped({ key: keyOf(key), text }));
      if (typed(INSTRUMENT)) dispatch(textsDropped([keyOf(INSTRUMENT)]));
    },
    take: (taken: Record<string, string>, instrument: string) => {
      for (const [key, text] of Object.entries({ ...taken, [INSTRUMENT]: instrument }))
        dispatch(textTyped({ key: keyOf(key), text }));
    },
    verdictOf: (texts: Record<string, string>) => {
      const sent = entry?.read((key) => texts[key] ?? '');
      return hold && sent && 'values' in sent ? judgeReading(hold, sent.values, plan).say : null;
    },
    wrong:
      tried === step.id && read && 'wrong' in read
        ? read.wrong
        : [failed?.id === step.id ? failed.why : null],
    act,
  };
  return { ...common, ...buttonOf({ step, view, entry, say, tell }) };
}

/** The label, hint, test id and icon of the button of a hold. */
function buttonOf({
  step,
  view,
  entry,
  say,
  tell,
}: Pick<HoldProps, 'step' | 'view'> & {
  entry: ReturnType<typeof entryOf>;
  say: (message: Message) => string;
  tell: (message: Message) => string;
}): Pick<HoldAct, 'label' | 'hint' | 'testID' | 'sign'> {
  const { hold } = step;
  if (entry) return { label: entry.label, hint: entry.hint, testID: entry.testID, sign: 'tick' };
  if (hold?.kind === 'photo') {
    const taken = view.readings.some((r) => r.stepId === step.id);
    const label = taken ? t('Take another') : t('Photograph: {label}', { label: say(hold.label) });
    return { label, testID: `photo-${step.id}`, sign: 'next' };
  }
  if (hold?.kind === 'countdown') {
    const label =
      waitEnd(step, view) === null
        ? t('Start: {label}, {minutes}', {
            label: say(hold.label),
            minutes: formatDuration(hold.minutes),
          })
        : t('Start it again');
    return { label, testID: `start-${step.id}`, sign: 'next' };
  }
  return {
    label: t('Done: {title}', { title: say(step.title) }),
    hint: t('{title}: done', { title: tell(step.title) }),
    testID: `check-${step.id}`,
    sign: 'tick',
  };
}

/** Whether a wait was started and has ended. */
export const waitOver = (step: Step, view: RepairView, now: number): boolean =>
  step.hold?.kind === 'countdown' && stepDone(step, view, now);
