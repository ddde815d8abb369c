import { t } from '@kelmot/core';

/** The part of the platform's speech recognition that this uses; the type library does not have it. */
interface Recognition {
  lang: string;
  continuous: boolean;
  interimResults: boolean;
  start: () => void;
  abort: () => void;
  onresult: ((event: RecognitionEvent) => void) | null;
  onerror: ((event: { error: string }) => void) | null;
  onend: (() => void) | null;
}
interface RecognitionEvent {
  resultIndex: number;
  results: ArrayLike<{ isFinal: boolean } & ArrayLike<{ transcript: string }>>;
}
type Platform = Partial<
  Record<'SpeechRecognition' | 'webkitSpeechRecognition', new () => Recognition>
>;

/** Errors that need no notice: nobody spoke, or the recognition was restarted. */
const PASSING = ['no-speech', 'aborted'];
/** Least time between two starts, ms: a recognition that ends at once does not loop. */
const AGAIN_MS = 400;

const platform = () => {
  const { SpeechRecognition, webkitSpeechRecognition } = globalThis as Platform;
  return SpeechRecognition ?? webkitSpeechRecognition;
};

/** Whether this platform recognises speech for a page. */
export const canListen = (): boolean => platform() !== undefined;

/** Why it cannot listen, in a sentence. */
function reasonOf(error: string): string {
  if (error === 'network') return t('This device needs signal to recognise speech.');
  if (error === 'audio-capture') return t('No microphone was found.');
  return t(
    'This page may not use the microphone. Allow it in the browser, then switch it on again.',
  );
}

/**
 * Listens until stopped, and returns each finished phrase, except the application's own speech. Calls `failed` once if
 * it cannot go on.
 */
export function listen(heard: (text: string) => void, failed: (why: string) => void): () => void {
  const Ear = platform();
  if (!Ear) return () => undefined;
  let stopped = false;
  let again: ReturnType<typeof setTimeout> | undefined;
  const ear = new Ear();
  Object.assign(ear, { lang: 'en', continuous: true, interimResults: false });
  ear.onresult = ({ resultIndex, results }) => {
    if (typeof speechSynthesis !== 'undefined' && speechSynthesis.speaking) return;
    for (let i = resultIndex; i < results.length; i += 1) {
      const result = results[i];
      if (result?.isFinal) heard(result[0]?.transcript ?? '');
    }
  };
  ear.onerror = ({ error }) => {
    if (PASSING.includes(error)) return;
    stopped = true;
    failed(reasonOf(error));
  };
  const start = () => {
    if (!stopped) ear.start();
  };
  ear.onend = () => {
    again = setTimeout(start, AGAIN_MS);
  };
  start();
  return () => {
    stopped = true;
    clearTimeout(again);
    ear.abort();
  };
}
