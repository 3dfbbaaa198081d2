import { randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto';
import path from 'node:path';
import { promisify } from 'node:util';
import { FieldError } from '@ythrion/core';
import { accessFolder, readSecret, writeSecret } from './secretFile';

const derive = promisify<string, Buffer, number, { N: number; r: number; p: number; maxmem: number }, Buffer>(
  scrypt,
);

/** Cost of one try: about a tenth of a second and 32 MB (RFC 7914; N, r and p as OWASP's password storage sheet has them). */
const COST = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1024 * 1024 };
const KEY_BYTES = 32;
const SHORTEST = 10;

interface Kept {
  salt: string;
  key: string;
}

const fileOf = (dataFolder: string): string => path.join(accessFolder(dataFolder), 'passphrase.json');

/** Whether the studio has a passphrase. */
export const hasPassphrase = async (dataFolder: string): Promise<boolean> =>
  (await readSecret(fileOf(dataFolder))) !== null;

/** Keeps a passphrase, as a key derived from it. @throws FieldError when it is too short to be one */
export async function setPassphrase(dataFolder: string, passphrase: string): Promise<void> {
  if (passphrase.trim().length < SHORTEST)
    throw new FieldError('passphrase', `A passphrase has at least ${SHORTEST} characters.`);
  const salt = randomBytes(16);
  const key = await derive(passphrase.trim(), salt, KEY_BYTES, COST);
  const kept: Kept = { salt: salt.toString('base64'), key: key.toString('base64') };
  await writeSecret(fileOf(dataFolder), JSON.stringify(kept));
}

/** Whether it is the passphrase. */
export async function isPassphrase(dataFolder: string, said: string): Promise<boolean> {
  const text = await readSecret(fileOf(dataFolder));
  if (text === null) return false;
  const { salt, key } = JSON.parse(text) as Kept;
  const derived = await derive(said.trim(), Buffer.from(salt, 'base64'), KEY_BYTES, COST);
  return timingSafeEqual(derived, Buffer.from(key, 'base64'));
}

/** A passphrase made by chance: 78 bits, in four groups that can be read aloud. */
export const madePassphrase = (): string => Array.from({ length: 4 }, () => plainText(4)).join('-');

/** Letters and digits that are not taken for each other. */
const PLAIN = 'abcdefghjkmnpqrstvwxyz23456789';

/** So many of them by chance. */
export const plainText = (letters: number): string =>
  Array.from({ length: letters }, () => PLAIN[randomInt(PLAIN.length)]).join('');
