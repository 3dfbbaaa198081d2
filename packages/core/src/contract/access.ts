import { z } from 'zod';

const person = z
  .string({ error: 'Say who uses this device.' })
  .trim()
  .min(1, { error: 'Say who uses this device.' })
  .max(80, { error: 'A name can have at most 80 characters.' });
const label = z.string().trim().max(80).default('');

/** POST /api/access/sign-in */
export const signInSchema = z.strictObject({
  passphrase: z.string({ error: 'The passphrase must be text.' }).max(200),
  person,
  label,
});
/** POST /api/access/pair */
export const pairSchema = z.strictObject({
  code: z.string({ error: 'The code must be text.' }).max(40),
  label,
});
/** POST /api/access/codes: whose device the code lets in */
export const personSchema = z.strictObject({ person });

/** A device that may use the studio over the network. */
export interface PairedDevice {
  id: string;
  person: string;
  /** What it is, in its own words. */
  label: string;
  pairedAt: string;
}

/** GET /api/access */
export interface AccessResponse {
  /** True on the studio’s own machine, where nobody signs in. */
  open: boolean;
  signedIn: boolean;
  /** The device that asks, once it has signed in. */
  device: PairedDevice | null;
  /** Where a phone on the studio’s network opens it; null when it is not open to the network. */
  lan: { trustUrl: string; url: string } | null;
}

/** POST /api/access/codes */
export interface CodeResponse {
  code: string;
  until: string;
}
