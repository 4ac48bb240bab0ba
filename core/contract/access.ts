import { z } from 'zod';
import { idSchema } from './basics.ts';

/** The part before `.local` that the household is found by on its own network (RFC 6762). */
export const homeNameSchema = z
  .string()
  .min(3)
  .max(31)
  .regex(/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/, 'small letters, digits and single dashes, such as our-kitchen');

/** What lets a device in. Any letters, spaces too; twelve at least (OWASP ASVS 2.1.1). */
export const passphraseSchema = z.string().min(12).max(128);

export const deviceKindSchema = z.enum(['phone', 'tablet', 'computer']);

export const openHomeSchema = z.object({ name: homeNameSchema, passphrase: passphraseSchema.optional() });
export const passphraseBodySchema = z.object({ passphrase: passphraseSchema });
export const homeNameBodySchema = z.object({ name: homeNameSchema });
export const onBodySchema = z.object({ on: z.boolean() });
export const linkBodySchema = z.object({ sessionId: idSchema });

/** A device that asks to be let in. */
export const comeInSchema = z.object({
  // what is too short is as wrong as any other: nobody is told how long it is
  passphrase: z.string().max(1000),
  device: idSchema,
  name: z.string().trim().min(1).max(40),
  kind: deviceKindSchema,
});

/** What a device says of itself while it is connected. */
export const heardSchema = z.object({ device: idSchema, waiting: z.number().int().min(0).max(100_000) });

/** What a device takes with it from the old name to the new one; the server looks at none of it. */
export const carrySchema = z.object({
  local: z.record(z.string().max(80), z.string().max(200_000)),
  drafts: z.array(z.tuple([z.string().max(200), z.unknown()])).max(200),
  refused: z.array(z.unknown()).max(500),
});
export const arriveSchema = z.object({ token: z.string().min(20).max(100) });

/** What a helper's page does with a task. */
export const helpActSchema = z.object({
  id: idSchema,
  taskId: z.string().min(1).max(200),
  act: z.enum(['start', 'done', 'takeBack']),
  cookId: idSchema.optional(),
});

export type DeviceKind = z.infer<typeof deviceKindSchema>;
export type ComeIn = z.infer<typeof comeInSchema>;
export type Carry = z.infer<typeof carrySchema>;
export type HelpAct = z.infer<typeof helpActSchema>;

/** How a page stands at the household's door. */
export interface DoorAnswer {
  /** Over which listener it came. */
  via: 'here' | 'home';
  /** Whether it is let in. */
  in: boolean;
  /** It was, and its time was ended, by whom it says. */
  ended?: 'by the computer' | 'by time';
  /** What this device is called in the list. */
  name?: string;
  /** Seconds before it may try again. */
  waitS?: number;
  /** The fingerprint of the household's authority, to be compared with the computer's screen. */
  words?: string[];
  /** The name has changed: where the household is now. */
  moved?: string;
}

/** One device of the list. */
export interface DoorDevice {
  id: string;
  name: string;
  kind: DeviceKind;
  since: string;
  seen: string;
  address: string;
  /** What waited on it when it was last heard, if it said. */
  waiting?: { count: number; at: string };
  /** A page of it is open now. */
  open: boolean;
}

export interface HelperLink {
  id: string;
  sessionId: string;
  session: string;
  /** Until when it opens anything. */
  until: string;
  /** Where; only as long as this computer remembers the secret in it. */
  url?: string;
}

/** How the household stands open to its home network. */
export interface HomeAnswer {
  /** Over which listener this was asked: only the computer itself may change it. */
  via: 'here' | 'home';
  open: boolean;
  name: string;
  port: number;
  /** Where phones find it: by name, then by each address. */
  urls: string[];
  /** Names of before that still answer, and until when. */
  oldNames: { name: string; until: string }[];
  hasPassphrase: boolean;
  askHere: boolean;
  fingerprint?: { words: string[]; hex: string };
  /** The certificate that is shown now ends on this day; it is renewed by itself before. */
  until?: string;
  /** The page that tells how to trust it, while it is open. */
  trust?: { url: string; until: string };
  devices: DoorDevice[];
  links: HelperLink[];
  /** Wrong tries in the last hour. */
  wrongTries: number;
  /** What does not work, in words. */
  trouble: string[];
}

/** What a phone is told before it trusts the household. */
export interface TrustAnswer {
  name: string;
  urls: string[];
  words: string[];
  hex: string;
  until: string;
}
