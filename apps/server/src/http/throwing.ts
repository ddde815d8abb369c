/** What does not parse is thrown, so that one place tells it. */
export function throwing(result: { success: boolean; error?: unknown }): void {
  if (!result.success) throw result.error;
}
