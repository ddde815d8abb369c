import { Problem } from '@kelmot/contract';
import type { z } from '@hono/zod-openapi';

/** The answers of a route: one success, and problem+json for errors. */
export function json<S extends z.ZodType, C extends 200 | 201>(
  status: C,
  description: string,
  schema: S,
) {
  return {
    [status]: { description, content: { 'application/json': { schema } } },
    default: {
      description: 'What went wrong',
      content: { 'application/problem+json': { schema: Problem } },
    },
  } as { [K in C]: { description: string; content: { 'application/json': { schema: S } } } };
}
