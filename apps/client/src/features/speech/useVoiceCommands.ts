import { useEffect, useRef, useState } from 'react';
import { useAppSelector } from '@/store/hooks';
import { listen } from './recognition';
import { parsePhrase, type Phrase } from './parsePhrase';

export interface Voice {
  /** The last phrase that was understood, as it was said; empty while there is none. */
  heard: string;
  /** Why it does not listen. */
  failed: string | null;
}

const SILENT: Voice = { heard: '', failed: null };

/** Listens for phrases for the run sheet, if chosen; null if not. */
export function useVoiceCommands(act: (said: Phrase) => void): Voice | null {
  const on = useAppSelector((s) => s.settings.listens);
  const [voice, setVoice] = useState<Voice>(SILENT);
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    if (!on) return;
    const stop = listen(
      (text) => {
        const said = parsePhrase(text);
        if (!said) return;
        setVoice({ heard: text.trim(), failed: null });
        latest.current(said);
      },
      (failed) => setVoice((v) => ({ ...v, failed })),
    );
    return () => {
      stop();
      setVoice(SILENT);
    };
  }, [on]);
  return on ? voice : null;
}
