import {
  bigint,
  boolean,
  index,
  integer,
  pgEnum,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import type { Permission } from '@kelmot/core';
import { sites } from './plant';

/** Sign-in tables, in the shape that the auth library uses. */
export const role = pgEnum('role', ['technician', 'planner', 'viewer']);

const stamp = (name: string) => timestamp(name, { withTimezone: true });

export const users = pgTable('users', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  emailVerified: boolean('email_verified').notNull().default(false),
  image: text('image'),
  username: text('username').notNull().unique(),
  displayUsername: text('display_username'),
  role: role('role').notNull().default('viewer'),
  siteId: uuid('site_id')
    .notNull()
    .references(() => sites.id),
  /** The permissions that this person may give. */
  approves: text('approves').array().$type<Permission[]>().notNull().default([]),
  createdAt: stamp('created_at').notNull().defaultNow(),
  updatedAt: stamp('updated_at').notNull().defaultNow(),
});

const userId = () =>
  text('user_id')
    .notNull()
    .references(() => users.id, { onDelete: 'cascade' });

export const sessions = pgTable(
  'sessions',
  {
    id: text('id').primaryKey(),
    token: text('token').notNull().unique(),
    expiresAt: stamp('expires_at').notNull(),
    ipAddress: text('ip_address'),
    userAgent: text('user_agent'),
    userId: userId(),
    createdAt: stamp('created_at').notNull().defaultNow(),
    updatedAt: stamp('updated_at').notNull().defaultNow(),
  },
  (t) => [index('sessions_user').on(t.userId)],
);

export const accounts = pgTable(
  'accounts',
  {
    id: text('id').primaryKey(),
    accountId: text('account_id').notNull(),
    providerId: text('provider_id').notNull(),
    userId: userId(),
    accessToken: text('access_token'),
    refreshToken: text('refresh_token'),
    idToken: text('id_token'),
    accessTokenExpiresAt: stamp('access_token_expires_at'),
    refreshTokenExpiresAt: stamp('refresh_token_expires_at'),
    scope: text('scope'),
    password: text('password'),
    createdAt: stamp('created_at').notNull().defaultNow(),
    updatedAt: stamp('updated_at').notNull().defaultNow(),
  },
  (t) => [index('accounts_user').on(t.userId)],
);

/** The people who may sign in on a device by a short code. The device is identified by the hash of its cookie. */
export const deviceCodes = pgTable(
  'device_codes',
  {
    device: text('device').notNull(),
    userId: userId(),
    /** Hashed like a password. */
    code: text('code').notNull(),
    /** Wrong tries since the last correct one. */
    tries: integer('tries').notNull().default(0),
    createdAt: stamp('created_at').notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.device, t.userId] }), index('device_codes_user').on(t.userId)],
);

export const verifications = pgTable('verifications', {
  id: text('id').primaryKey(),
  identifier: text('identifier').notNull(),
  value: text('value').notNull(),
  expiresAt: stamp('expires_at').notNull(),
  createdAt: stamp('created_at').notNull().defaultNow(),
  updatedAt: stamp('updated_at').notNull().defaultNow(),
});

export const rateLimits = pgTable('rate_limits', {
  id: text('id').primaryKey(),
  key: text('key').notNull().unique(),
  count: integer('count').notNull(),
  lastRequest: bigint('last_request', { mode: 'number' }).notNull(),
});
