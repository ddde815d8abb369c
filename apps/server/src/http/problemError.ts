import type { Issue } from '@kelmot/core';
import type { ContentfulStatusCode } from 'hono/utils/http-status';

/** An error that is the caller's to mend: thrown anywhere, told as problem+json. */
export class ProblemError extends Error {
  constructor(
    readonly status: ContentfulStatusCode,
    readonly title: string,
    readonly detail?: string,
    readonly issues?: Issue[],
  ) {
    super(title);
  }
}
