/** Whether this platform has a voice of its own. */
export const hasVoice = (): boolean =>
  typeof speechSynthesis !== 'undefined' && typeof SpeechSynthesisUtterance !== 'undefined';

/** Says a text by the platform's own voice: after what it says already, or at once, in its place. */
export function speak(text: string, { atOnce = false } = {}): void {
  if (!hasVoice() || text.trim() === '') return;
  if (atOnce) speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  said.lang = 'en';
  speechSynthesis.speak(said);
}

/** Ends what it says. */
export function hush(): void {
  if (hasVoice()) speechSynthesis.cancel();
}
