/** The sound of a call: two short tones, in Hz and s. */
const TONE_HZ = 880;
const TONES_S = [0, 0.28] as const;
const TONE_S = 0.18;
const LOUDNESS = 0.25;
/** The vibration of a call, ms on and off. */
const SHAKES = [220, 120, 220];

function sound(): void {
  if (typeof AudioContext === 'undefined') return;
  const audio = new AudioContext();
  const gain = audio.createGain();
  gain.gain.value = LOUDNESS;
  gain.connect(audio.destination);
  for (const from of TONES_S) {
    const tone = audio.createOscillator();
    tone.frequency.value = TONE_HZ;
    tone.connect(gain);
    tone.start(audio.currentTime + from);
    tone.stop(audio.currentTime + from + TONE_S);
  }
  setTimeout(() => void audio.close(), 1500);
}

const mayNotify = (): boolean =>
  typeof Notification !== 'undefined' && Notification.permission === 'granted';

/** Asks for permission to show notifications. The screen shows every call in any case. */
export async function askToNotify(): Promise<void> {
  if (typeof Notification !== 'undefined' && Notification.permission === 'default')
    await Notification.requestPermission();
}

async function notify(title: string, body: string, path: string): Promise<void> {
  if (!mayNotify()) return;
  // A phone shows only notifications of a service worker.
  const shell = await navigator.serviceWorker?.getRegistration();
  const options = {
    ...{ body, tag: title, icon: '/icon-192.png', requireInteraction: true },
    data: { path },
  };
  if (shell) await shell.showNotification(title, options);
  else new Notification(title, options);
}

/** Calls outside the screen: a sound, a vibration, and a notification with the address if the page is hidden. */
export function alarm(title: string, body: string, path: string): void {
  sound();
  navigator.vibrate?.(SHAKES);
  if (document.hidden) void notify(title, body, path).catch(() => undefined);
}
