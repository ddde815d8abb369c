import { t } from '@kelmot/core';
import { View } from 'react-native';
import { speak, useVoiceCommands } from '@/features/speech';
import type { Phrase } from '@/features/speech';
import type { HoldAct } from '@/features/stations';
import { WaitMark } from '@/shared/ui/marks';
import { Txt } from '@/shared/ui/Txt';
import { useSinglePress } from '@/shared/ui/useSinglePress';
import type { Press, Run } from './useRun';

/** Puts spoken figures into the boxes: one into each box, or all into the only one. */
function typeFigures(hold: HoldAct, figures: string[]): void {
  const boxes = (hold.entry?.frames ?? []).flatMap((f) => f.boxes).filter((box) => box.numeric);
  const [only] = boxes;
  if (boxes.length === 1 && only) return hold.type(only.key, figures.join(' '));
  const empty = boxes.filter((box) => hold.typed(box.key) === '');
  // A full set starts at the first box; fewer figures go into the empty boxes.
  const into = figures.length === boxes.length ? boxes : empty;
  into.slice(0, figures.length).forEach((box, i) => hold.type(box.key, figures[i] ?? ''));
}

interface ListeningProps {
  run: Run;
  hold: HoldAct;
  press: Press;
  /** The text that is read out again on request. */
  text: string;
}

/** The run sheet by voice: a spoken word does what a press does, and the screen shows what was understood. */
export function Listening({ run, hold, press, text }: ListeningProps) {
  const next = useSinglePress(() => {
    if (!press.disabled) press.go();
  });
  const voice = useVoiceCommands((said: Phrase) => {
    if ('figures' in said) typeFigures(hold, said.figures);
    else if (said.do === 'next') next();
    else if (said.do === 'back') run.look((run.shown ?? 0) - 1);
    else speak(text, { atOnce: true });
  });
  if (!voice) return null;
  return (
    <View
      className="flex-row items-center gap-3 border-b border-rule px-4 py-2"
      role="status"
      testID="listening"
    >
      <WaitMark size={22} />
      <Txt as="label" className="min-w-0 flex-1">
        {voice.failed ??
          (voice.heard === ''
            ? t('Listening: say next, back, repeat, or a reading.')
            : t('Heard: {heard}', { heard: voice.heard }))}
      </Txt>
    </View>
  );
}
