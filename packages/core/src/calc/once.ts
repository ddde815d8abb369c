/** A result that is made when it is first asked for, and kept. */
export const once = <T>(make: () => T): (() => T) => {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
};
