import { sayError, type ApiError } from '@/store/api';

/** Why a sign-in was not taken, in one sentence without its full stop. */
export function reasonOf(error: unknown): string {
  const e = error as ApiError;
  if (e.kind === 'problem' && e.problem.status === 401)
    return 'Name or password is wrong. Check both and try again';
  if (e.kind === 'problem' && e.problem.status === 429)
    return 'Too many tries. Wait a minute, then try again';
  if (e.kind === 'problem' && e.problem.status < 500)
    return 'Type your user name (2 characters or more) and your password';
  return sayError(error);
}
