import type { Problem, RepairView } from '@kelmot/contract';
import { issuesOf, t } from '@kelmot/core';
import type { Context } from 'hono';
import { HTTPException } from 'hono/http-exception';
import type { ContentfulStatusCode } from 'hono/utils/http-status';
import { ZodError } from 'zod';
import { problemOfQuery } from '../db/failures';
import type { AppEnv } from './env';
import { ConflictError, ProblemError } from '../common/problemError';

export function problem(
  c: Context<AppEnv>,
  status: ContentfulStatusCode,
  { title, ...more }: { title: string } & Partial<Problem> & { current?: RepairView },
): Response {
  const body: Problem & { current?: RepairView } = {
    type: 'about:blank',
    title,
    status,
    requestId: c.get('requestId'),
    ...more,
  };
  return c.json(body, status, { 'content-type': 'application/problem+json' });
}

/** Turns every thrown error into an answer. No stack traces leave the server. */
export function onError(error: Error, c: Context<AppEnv>): Response {
  if (error instanceof ConflictError) {
    return problem(c, 409, {
      title: error.title,
      detail: error.detail,
      current: error.current,
    });
  }
  if (error instanceof ProblemError) {
    return problem(c, error.status, {
      title: error.title,
      detail: error.detail,
      issues: error.issues,
    });
  }
  if (error instanceof ZodError)
    return problem(c, 422, { title: t('Input out of range'), issues: issuesOf(error) });
  if (error instanceof HTTPException)
    return problem(c, error.status, { title: error.message || t('Refused') });
  const refused = problemOfQuery(error);
  if (refused) {
    c.get('log').warn({ err: error }, t('refused by the database'));
    return problem(c, refused.status, { title: refused.title, detail: refused.detail });
  }
  c.get('log').error({ err: error }, 'unexpected');
  return problem(c, 500, {
    title: t('Something failed here'),
    detail: t('It is logged. Nothing you typed is lost; send it again.'),
  });
}
