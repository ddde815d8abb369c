import { PERMISSIONS, typedText } from '@kelmot/core';
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
  /** The site whose plant, cards, shelf and repairs are read and written. */
  siteId: Id,
  /** What this person may approve by name: an approval of one of these is verified by the account. */
  approves: z.array(z.enum(PERMISSIONS)),
});
export type Me = z.infer<typeof Me>;

/** What a person signs in with; no longer than any name or phrase is. */
export const SignIn = z.strictObject({
  username: typedText(40, 1),
  password: z.string().min(1).max(200),
});
export type SignIn = z.infer<typeof SignIn>;
/** Digits of the short code by which somebody comes back on a device that knows them. */
export const CODE_DIGITS = { least: 4, most: 8 } as const;
/** So many wrong codes in a row, and the device asks for the password again. */
export const MOST_WRONG_CODES = 5;
const code = () =>
  z
    .string()
    .regex(
      new RegExp(`^\\d{${CODE_DIGITS.least},${CODE_DIGITS.most}}$`),
      `must be ${CODE_DIGITS.least} to ${CODE_DIGITS.most} digits`,
    );

/** Why a code would be guessed by whoever holds the device; null where it would not soon be. */
export function guessableCode(digits: string): string | null {
  const steps = Array.from(digits.slice(1), (d, i) => Number(d) - Number(digits[i]));
  if (steps.every((s) => s === steps[0]) && Math.abs(steps[0] ?? 0) < 2)
    return 'is one figure again and again, or a row of them; choose another';
  if (/^(19|20)\d\d$/.test(digits)) return 'is a year; choose another';
  return null;
}

/** Somebody’s own code for one device, with the password that says it is they who set it. */
export const OwnCode = z.strictObject({
  code: code().superRefine((digits, ctx) => {
    const why = guessableCode(digits);
    if (why) ctx.addIssue({ code: 'custom', message: why });
  }),
  password: z.string().min(1).max(200),
});
export type OwnCode = z.infer<typeof OwnCode>;
/** Who comes back on this device, and the code. */
export const CodeSignIn = z.strictObject({ personId: z.string().min(1).max(64), code: code() });
export type CodeSignIn = z.infer<typeof CodeSignIn>;
/** Somebody whom a device knows by a code: all that is needed to work on as them where the server cannot be asked. */
export const DevicePerson = Me.omit({ username: true });
export type DevicePerson = z.infer<typeof DevicePerson>;

/** Fewest characters of a new password. */
export const LEAST_PASSWORD = 12;
const newPassword = () => z.string().min(1).max(200);
/** Somebody’s own new password, with the one that it takes the place of. */
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
/** Somebody to be taken in by whoever runs the site. */
export const PersonDraft = z.strictObject({
  ...person,
  approves: person.approves.default([]),
  username: z
    .string()
    .regex(/^[a-z0-9._-]{2,40}$/, 'must be 2 to 40 small letters, figures, dots or dashes'),
  /** By name; may be left out where there is one. */
  site: typedText(80, 1).optional(),
  password: newPassword(),
});
export type PersonDraft = z.infer<typeof PersonDraft>;
/** What may be changed of somebody by whoever runs the site. */
export const PersonChange = z.strictObject(person).partial();
export type PersonChange = z.infer<typeof PersonChange>;

export const SignedIn = z.object({ ok: z.literal(true) });

/** A demo sign-in, offered on the sign-in screen of a demo server only. */
export const DemoUser = z.object({
  username: z.string(),
  password: z.string(),
  name: z.string(),
  role: Role,
  approves: z.array(z.enum(PERMISSIONS)).default([]),
});
export type DemoUser = z.infer<typeof DemoUser>;
