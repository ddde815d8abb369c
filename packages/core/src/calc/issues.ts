import { t } from '../text/text';
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
  int: t('a whole number'),
  string: 'text',
  array: 'a list',
  object: t('an object'),
  boolean: t('yes or no (true or false)'),
};

function say(issue: ZodIssue): string {
  switch (issue.code) {
    case 'too_small': {
      const least = String(issue.minimum);
      if (issue.origin === 'array')
        return t('needs at least {least, plural, one {# entry} other {# entries}}', {
          least: Number(least),
        });
      if (issue.origin === 'string') return t('needs at least {least} characters', { least });
      return issue.inclusive === false
        ? t('must be over {least}', { least })
        : t('must be {least} or more', { least });
    }
    case 'too_big': {
      const most = String(issue.maximum);
      if (issue.origin === 'array') return t('takes at most {most} entries', { most });
      if (issue.origin === 'string') return t('takes at most {most} characters', { most });
      return issue.inclusive === false
        ? t('must be under {most}', { most })
        : t('must be {most} or less', { most });
    }
    case 'invalid_type': {
      const wanted = nouns[issue.expected] ?? issue.expected;
      // A finished issue has no input any more; only its message distinguishes a missing field from a wrong one.
      return issue.message.endsWith('received undefined')
        ? t('is missing; give {wanted}', { wanted })
        : t('must be {wanted}', { wanted });
    }
    case 'invalid_value':
      return t('must be {values}', { values: issue.values.map(String).join(', ') });
    case 'unrecognized_keys':
      return t('unknown field; remove it');
    case 'invalid_union':
      return issue.discriminator
        ? `unknown ${issue.discriminator}`
        : t('has none of the allowed forms');
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
