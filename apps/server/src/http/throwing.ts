/** Throws validation errors, so that one place reports them. */
export function throwing(result: { success: boolean; error?: unknown }): void {
  if (!result.success) throw result.error;
}
