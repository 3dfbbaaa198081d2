import { z } from 'zod';
import { LONGEST_NAME } from './readName';

/** Identifiers are made by the client, so that a repeated request never makes a second record. */
export const idSchema = z
  .string({ error: 'An id must be text.' })
  .regex(/^[A-Za-z0-9_-]{1,64}$/, { error: 'An id holds 1 to 64 letters, digits, dashes or underscores.' });

/** A name as a dyer gives it. */
export const nameSchema = z
  .string({ error: 'A name must be text.' })
  .trim()
  .min(1, { error: 'A name cannot be empty.' })
  .max(LONGEST_NAME, { error: `A name can have at most ${LONGEST_NAME} characters.` });

/** A short code to write on a tag or a jar. */
export const codeSchema = z
  .string({ error: 'A code must be text.' })
  .trim()
  .max(16, { error: 'A code can have at most 16 characters.' });

export const noteSchema = z
  .string({ error: 'A note must be text.' })
  .max(4000, { error: 'A note can have at most 4000 characters.' });

/** A screen color, sRGB, as six hexadecimal digits. */
export const hexSchema = z
  .string({ error: 'A color must be text.' })
  .regex(/^#[0-9a-fA-F]{6}$/, { error: 'A color must be # and six hexadecimal digits, such as #8a6d3b.' });

/** A moment, ISO 8601 with offset. */
export const instantSchema = z.iso.datetime({
  offset: true,
  error: 'A time must be ISO 8601, such as 2026-03-01T14:20:00Z.',
});

/** A calendar day, ISO 8601. */
export const daySchema = z.iso.date({ error: 'A date must be ISO 8601, such as 2026-03-01.' });
