/** A result that is computed at its first use, and kept. */
export const lazyValue = <T>(make: () => T): (() => T) => {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
};
