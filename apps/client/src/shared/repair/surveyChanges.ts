import type { Survey } from '@kelmot/core';
import { pathName } from './pathNames';

export interface Change {
  path: string;
  name: string;
  theirs: string;
  yours: string;
}

/** Every leaf of a nested object, as path and text. */
function leaves(value: unknown, at = ''): [string, string][] {
  if (value === null || typeof value !== 'object') return [[at, String(value)]];
  return Object.entries(value).flatMap(([k, v]) => leaves(v, at ? `${at}.${k}` : k));
}

/** The fields that differ between two surveys, with their labels on the form. */
export function surveyChanges(theirs: Survey, yours: Survey): Change[] {
  const stored = new Map(leaves(theirs));
  return leaves(yours)
    .filter(
      ([path, text]) =>
        stored.get(path) !== text && !path.endsWith('startAt') && !path.endsWith('asset.id'),
    )
    .map(([path, text]) => ({
      path,
      name: pathName(yours.family, path),
      theirs: stored.get(path) ?? 'nothing',
      yours: text,
    }));
}
