import { z } from 'zod';

const Env = z.object({
  DATABASE_URL: z.string().min(1),
  /** The owner's connection, for migrations; by default the application's own. */
  DATABASE_OWNER_URL: z.string().min(1).optional(),
  PORT: z.coerce.number().int().min(0).max(65535).default(4700),
  HOST: z.string().default('127.0.0.1'),
  AUTH_SECRET: z.string().min(16),
  WEB_ROOT: z.string(),
  /** The address that browsers use, if different: with https, cookies are secure and TLS is required. */
  PUBLIC_URL: z.url({ protocol: /^https?$/ }).optional(),
  /** Number of proxies in front; each adds the address that it was called from. */
  TRUSTED_PROXIES: z.coerce.number().int().min(0).max(5).default(0),
  SIGN_INS_PER_MINUTE: z.coerce.number().int().min(1).default(20),
  LOG_LEVEL: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
});
export type Env = z.infer<typeof Env>;

/** Settings from the environment; stops with the names of missing or wrong ones. */
export function readEnv(from: NodeJS.ProcessEnv): Env {
  const parsed = Env.safeParse(from);
  if (parsed.success) return parsed.data;
  throw new Error(
    `Settings: ${parsed.error.issues.map((i) => `${i.path.join('.')} ${i.message}`).join('; ')}`,
  );
}
