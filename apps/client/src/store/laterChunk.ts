/** Loads the part of the application that the bench does not need; set before its first use. */
let load: () => Promise<unknown> = () => Promise.reject(new Error('setLater() comes first'));

/** Sets the loader of the later chunk. The application calls it, because only the top layer may import the screens. */
export function setLaterChunk(from: () => Promise<unknown>): void {
  load = from;
}

/** The later chunk, once it is loaded; rejects if it is not on the device and there is no signal. */
export const loadLaterChunk = <T>(): Promise<T> => load() as Promise<T>;
