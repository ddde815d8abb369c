import { PERMISSIONS, typedText, t } from '@kelmot/core';
import { z } from 'zod';
import { Id } from './ids';

export const ROLES = ['technician', 'planner', 'viewer'] as const;
export const Role = z.enum(ROLES);
export type Role = z.infer<typeof Role>;

export const Me = z.object({
  id: z.string(),
  name: z.string(),
  username: z.string(),
  role: Role,
  /** The site whose assets, cards, shelf and repairs this person uses. */
  siteId: Id,
  /** The permissions that this person may give: their account verifies the approval. */
  approves: z.array(z.enum(PERMISSIONS)),
});
export type Me = z.infer<typeof Me>;

/** What a person signs in with; limited in length. */
export const SignIn = z.strictObject({
  username: typedText(40, 1),
  password: z.string().min(1).max(200),
});
export type SignIn = z.infer<typeof SignIn>;
/** Number of digits of the short code for signing in again on a known device. */
export const CODE_DIGITS = { least: 4, most: 8 } as const;
/** Wrong codes in a row after which the device asks for the password. */
export const MOST_WRONG_CODES = 5;
const code = () =>
  z
    .string()
    .regex(
      new RegExp(`^\\d{${CODE_DIGITS.least},${CODE_DIGITS.most}}$`),
      t('must be {least} to {most} digits', CODE_DIGITS),
    );

/** Why a code is easy to guess; null if it is not. */
export function guessableCode(digits: string): string | null {
  const steps = Array.from(digits.slice(1), (d, i) => Number(d) - Number(digits[i]));
  if (steps.every((s) => s === steps[0]) && Math.abs(steps[0] ?? 0) < 2)
    return t('repeats one digit or counts up or down; choose another');
  if (/^(19|20)\d\d$/.test(digits)) return t('is a year; choose another');
  return null;
}

/** A person's own code for one device, with the password as proof. */
export const OwnCode = z.strictObject({
  code: code().superRefine((digits, ctx) => {
    const why = guessableCode(digits);
    if (why) ctx.addIssue({ code: 'custom', message: why });
  }),
  password: z.string().min(1).max(200),
});
export type OwnCode = z.infer<typeof OwnCode>;
/** The person who signs in on this device, and the code. */
export const CodeSignIn = z.strictObject({ personId: z.string().min(1).max(64), code: code() });
export type CodeSignIn = z.infer<typeof CodeSignIn>;
/** A person with a code on a device: enough to go on as them while the server cannot be asked. */
export const DevicePerson = Me.omit({ username: true });
export type DevicePerson = z.infer<typeof DevicePerson>;

/** Fewest characters of a new password. */
export const LEAST_PASSWORD = 12;
const newPassword = () => z.string().min(1).max(200);
/** A person's new password, with the old one. */
export const NewPassword = z.strictObject({
  current: z.string().min(1).max(200),
  next: newPassword(),
});
export type NewPassword = z.infer<typeof NewPassword>;

const person = {
  name: typedText(80, 2),
  role: Role,
  approves: z.array(z.enum(PERMISSIONS).exclude(['none'])),
};
/** A new person, entered by the administrator. */
export const PersonDraft = z.strictObject({
  ...person,
  approves: person.approves.default([]),
  username: z
    .string()
    .regex(/^[a-z0-9._-]{2,40}$/, t('must be 2 to 40 small letters, figures, dots or dashes')),
  /** By name; may be absent if there is only one. */
  site: typedText(80, 1).optional(),
  password: newPassword(),
});
export type PersonDraft = z.infer<typeof PersonDraft>;
/** What the administrator may change about a person. */
export const PersonChange = z.strictObject(person).partial();
export type PersonChange = z.infer<typeof PersonChange>;

export const SignedIn = z.object({ ok: z.literal(true) });

/** A demo sign-in, offered only on a demo server. */
export const DemoUser = z.object({
  username: z.string(),
  password: z.string(),
  name: z.string(),
  role: Role,
  approves: z.array(z.enum(PERMISSIONS)).default([]),
});
export type DemoUser = z.infer<typeof DemoUser>;
