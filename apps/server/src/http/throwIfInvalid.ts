/** Throws validation errors, so that one place reports them. */
export function throwIfInvalid(result: { success: boolean; error?: unknown }): void {
  if (!result.success) throw result.error;
}
