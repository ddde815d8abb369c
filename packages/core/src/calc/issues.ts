import type { z } from 'zod';
import { shortened } from './shortened';

/** An error of one field: its path with dots, and what is allowed. */
export interface Issue {
  path: string;
  message: string;
}

type ZodIssue = z.core.$ZodIssue;

const nouns: Record<string, string> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  array: 'a list',
  object: 'an object',
  boolean: 'yes or no (true or false)',
};

function say(issue: ZodIssue): string {
  switch (issue.code) {
    case 'too_small': {
      const least = String(issue.minimum);
      if (issue.origin === 'array')
        return `needs at least ${least} ${least === '1' ? 'entry' : 'entries'}`;
      if (issue.origin === 'string') return `needs at least ${least} characters`;
      return issue.inclusive === false ? `must be over ${least}` : `must be ${least} or more`;
    }
    case 'too_big': {
      const most = String(issue.maximum);
      if (issue.origin === 'array') return `takes at most ${most} entries`;
      if (issue.origin === 'string') return `takes at most ${most} characters`;
      return issue.inclusive === false ? `must be under ${most}` : `must be ${most} or less`;
    }
    case 'invalid_type': {
      const wanted = nouns[issue.expected] ?? issue.expected;
      // A finished issue has no input any more; only its message distinguishes a missing field from a wrong one.
      return issue.message.endsWith('received undefined')
        ? `is missing; give ${wanted}`
        : `must be ${wanted}`;
    }
    case 'invalid_value':
      return `must be ${issue.values.map(String).join(', ')}`;
    case 'unrecognized_keys':
      return 'unknown field; remove it';
    case 'invalid_union':
      return issue.discriminator
        ? `unknown ${issue.discriminator}`
        : 'has none of the allowed forms';
    default:
      return issue.message;
  }
}

/** Follows a union to its closest branch, so that the field and its range are named. */
function flatten(issue: ZodIssue, at: PropertyKey[] = []): Issue[] {
  const path = [...at, ...issue.path];
  if (issue.code === 'invalid_union') {
    const nearest = [...issue.errors].sort((p, q) => p.length - q.length)[0];
    if (nearest?.length) return nearest.flatMap((inner) => flatten(inner, path));
  }
  const keys = issue.code === 'unrecognized_keys' ? issue.keys : [undefined];
  return keys.map((key) => ({
    path: [...path, ...(key === undefined ? [] : [shortened(key)])].map(String).join('.'),
    message: say(issue),
  }));
}

/** Most issues that are reported. */
const MOST_ISSUES = 50;

/** The issues of a failed parse as path and message, at most fifty: the form in which every program reports them. */
export const issuesOf = (error: z.ZodError): Issue[] =>
  error.issues.flatMap((issue) => flatten(issue)).slice(0, MOST_ISSUES);
