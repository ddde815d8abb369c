/** Loads the part of the application that the bench does not need; set before anything of it is asked for. */
let load: () => Promise<unknown> = () => Promise.reject(new Error('setLater() comes first'));

/** Says where the later part is loaded from: by the application itself, which stands above all that uses it. */
export function setLater(from: () => Promise<unknown>): void {
  load = from;
}

/** The later part, once it is loaded; rejects where it is neither on the device nor within reach. */
export const later = <T>(): Promise<T> => load() as Promise<T>;
