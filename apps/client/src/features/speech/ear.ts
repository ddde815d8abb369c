/** What this uses of the platform’s recognition of speech, which the library of types does not know. */
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

/** What passes by itself: nobody spoke, or it was ended to begin anew. */
const PASSING = ['no-speech', 'aborted'];
/** Begun anew no sooner than this, ms: one that ends at once does not spin. */
const AGAIN_MS = 400;

const platform = () => {
  const { SpeechRecognition, webkitSpeechRecognition } = globalThis as Platform;
  return SpeechRecognition ?? webkitSpeechRecognition;
};

/** Whether this platform recognises speech for a page. */
export const hasEar = (): boolean => platform() !== undefined;

/** Why it cannot listen, in a sentence. */
function reasonOf(error: string): string {
  if (error === 'network') return 'This device needs signal to recognise speech.';
  if (error === 'audio-capture') return 'No microphone was found.';
  return 'This page may not use the microphone. Allow it in the browser, then switch it on again.';
}

/**
 * Listens until it is told to stop, and gives each phrase that is finished; not what the application itself says. `failed`
 * is told once where it cannot go on.
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
