import { t } from '@kelmot/core';
import { errorText, type ApiError } from '@/store/api';

/** Why a sign-in was rejected, in one sentence without its full stop. */
export function signInErrorText(error: unknown): string {
  const e = error as ApiError;
  if (e.kind === 'problem' && e.problem.status === 401)
    return `${e.problem.title}. ${e.problem.detail ?? t('Check both and try again')}`.replace(
      /\.$/,
      '',
    );
  if (e.kind === 'problem' && e.problem.status === 429)
    return t('Too many tries. Wait a minute, then try again');
  if (e.kind === 'problem' && e.problem.status < 500)
    return t('Type your user name (2 characters or more) and your password');
  if (e.kind === 'offline') return t('No signal. Signing in needs signal. Unsent entries are kept');
  return errorText(error);
}
