import { typedText } from '@kelmot/core';
import { z } from 'zod';

export const ROLES = ['technician', 'planner', 'viewer'] as const;
export const Role = z.enum(ROLES);
export type Role = z.infer<typeof Role>;

export const Me = z.object({
  id: z.string(),
  name: z.string(),
  username: z.string(),
  role: Role,
});
export type Me = z.infer<typeof Me>;

/** What a person signs in with; no longer than any name or phrase is. */
export const SignIn = z.strictObject({
  username: typedText(40, 1),
  password: z.string().min(1).max(200),
});
export type SignIn = z.infer<typeof SignIn>;
export const SignedIn = z.object({ ok: z.literal(true) });

/** A demo sign-in, offered on the sign-in screen of a demo server only. */
export const DemoUser = z.object({
  username: z.string(),
  password: z.string(),
  name: z.string(),
  role: Role,
});
export type DemoUser = z.infer<typeof DemoUser>;
