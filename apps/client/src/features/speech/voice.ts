/** Whether this platform can speak. */
export const canSpeak = (): boolean =>
  typeof speechSynthesis !== 'undefined' && typeof SpeechSynthesisUtterance !== 'undefined';

/** Speaks a text with the platform's voice: after the present text, or at once in its place. */
export function speak(text: string, { atOnce = false } = {}): void {
  if (!canSpeak() || text.trim() === '') return;
  if (atOnce) speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  said.lang = 'en';
  speechSynthesis.speak(said);
}

/** Stops speaking. */
export function stopSpeaking(): void {
  if (canSpeak()) speechSynthesis.cancel();
}
