import { t } from '@kelmot/core';
import type { RepairView } from '@kelmot/contract';
import type { Issue } from '@kelmot/core';
import type { ContentfulStatusCode } from 'hono/utils/http-status';

/** An error that the caller can correct. May be thrown anywhere; the answer is problem+json. */
export class ProblemError extends Error {
  readonly detail?: string;
  readonly issues?: Issue[];

  constructor(
    readonly status: ContentfulStatusCode,
    readonly title: string,
    { detail, issues }: { detail?: string; issues?: Issue[] } = {},
  ) {
    super(title);
    this.detail = detail;
    this.issues = issues;
  }
}

/** A write against an older version: carries the present state beside what was sent. */
export class ConflictError extends ProblemError {
  constructor(readonly current: RepairView) {
    super(409, t('Someone changed this repair since you opened it'), {
      detail: t('Look at both, then send again.'),
    });
  }
}

export const notFound = (what: string) => new ProblemError(404, t('No such {what}', { what }));
