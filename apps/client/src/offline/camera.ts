/** Whether this device has a camera; it is not asked yet whether it may be used. */
export async function hasCamera(): Promise<boolean> {
  const cameras = globalThis.navigator?.mediaDevices;
  if (!cameras?.enumerateDevices) return false;
  const all = await cameras.enumerateDevices().catch(() => []);
  return all.some(({ kind }) => kind === 'videoinput');
}

/** The camera at the back of the device, as a film; null where there is none, or it may not be used. */
export const openCamera = (): Promise<MediaStream | null> =>
  navigator.mediaDevices
    .getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1280 } } })
    .catch(() => null);
