import { hash, verify } from '@node-rs/argon2';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { username } from 'better-auth/plugins';
import type { Context } from 'hono';
import { setSignedCookie } from 'hono/cookie';
import type { CookieOptions } from 'hono/utils/cookie';
import type { Db } from '../db/client';
import * as schema from '../db/people';

/** The caller's address, set by this server: rate limits use it. */
export const CLIENT_ADDRESS = 'x-kelmot-client-address';

/** Whether browsers use TLS. */
export const overTls = (publicUrl: string | undefined): boolean =>
  publicUrl?.startsWith('https:') ?? false;

export interface AuthOptions {
  secret: string;
  /** Sign-ins per minute from one address. */
  signInsPerMinute: number;
  /** The address that browsers use; with https, cookies are sent over TLS only. */
  publicUrl?: string;
}

/** Sign-in by user name: sessions in the database, argon2id, rate limit, no self sign-up. */
export function makeAuth(db: Db, { secret, signInsPerMinute, publicUrl }: AuthOptions) {
  return betterAuth({
    appName: 'kelmot',
    secret,
    basePath: '/api/auth',
    trustedOrigins: (request) =>
      publicUrl ? [new URL(publicUrl).origin] : request ? [new URL(request.url).origin] : [],
    database: drizzleAdapter(db, { provider: 'pg', schema, usePlural: true }),
    telemetry: { enabled: false },
    logger: { level: 'error' },
    user: {
      additionalFields: {
        role: { type: 'string', input: false, required: true },
        siteId: { type: 'string', input: false, required: true },
      },
    },
    session: { expiresIn: 60 * 60 * 24 * 14 },
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      password: {
        hash: hashPassword,
        verify: ({ hash: stored, password }) => verify(stored, password),
      },
    },
    rateLimit: {
      enabled: true,
      storage: 'database',
      window: 60,
      max: 600,
      customRules: { '/sign-in/username': { window: 60, max: signInsPerMinute } },
    },
    advanced: {
      cookiePrefix: 'kelmot',
      useSecureCookies: overTls(publicUrl),
      defaultCookieAttributes: { sameSite: 'lax', httpOnly: true },
      ipAddress: { ipAddressHeaders: [CLIENT_ADDRESS] },
    },
    plugins: [username({ minUsernameLength: 2, maxUsernameLength: 40 })],
  });
}
export type Auth = ReturnType<typeof makeAuth>;

/** A person who signed in without a password, their address, and the session to replace. */
interface LetIn {
  person: string;
  address: string;
  before: string;
}

/** Begins a session with the library's own cookie, and ends the previous one on this device. */
export async function startSession(
  auth: Auth,
  c: Context,
  { person, address, before }: LetIn,
): Promise<void> {
  const { internalAdapter, authCookies, secret, sessionConfig } = await auth.$context;
  const userAgent = c.req.header('user-agent') ?? '';
  if (before) await internalAdapter.deleteSession(before);
  const from = { ipAddress: address, userAgent };
  const { token } = await internalAdapter.createSession(person, false, from);
  const { name, attributes } = authCookies.sessionToken;
  const maxAge = sessionConfig.expiresIn;
  await setSignedCookie(c, name, token, secret, { ...(attributes as CookieOptions), maxAge });
}

export const hashPassword = (password: string): Promise<string> => hash(password);
