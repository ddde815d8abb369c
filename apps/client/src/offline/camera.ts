/** Whether this device has a camera; does not ask for permission. */
export async function hasCamera(): Promise<boolean> {
  const cameras = globalThis.navigator?.mediaDevices;
  if (!cameras?.enumerateDevices) return false;
  const all = await cameras.enumerateDevices().catch(() => []);
  return all.some(({ kind }) => kind === 'videoinput');
}

/** The stream of the rear camera; null if there is none or it may not be used. */
export const openCamera = (): Promise<MediaStream | null> =>
  navigator.mediaDevices
    .getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1280 } } })
    .catch(() => null);
