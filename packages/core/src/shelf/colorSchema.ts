import { z } from 'zod';

const axis = (name: string, least: number, most: number) =>
  z
    .number({ error: `${name} must be a number.` })
    .min(least, { error: `${name} is from ${least} to ${most}.` })
    .max(most, { error: `${name} is from ${least} to ${most}.` });

/** CIELAB under D65 for the 10° observer: L from 0 to 100, a and b from -200 to 200. */
export const labSchema = z
  .tuple([axis('L', 0, 100), axis('a', -200, 200), axis('b', -200, 200)], {
    error: 'Lab is three numbers: L, a and b.',
  })
  .describe('CIELAB under D65, 10°');

const channel = z
  .number({ error: 'A channel of sRGB must be a number from 0 to 255.' })
  .min(0, { error: 'A channel of sRGB is from 0 to 255.' })
  .max(255, { error: 'A channel of sRGB is from 0 to 255.' });

/** A color of a screen: red, green and blue, 0 to 255. */
export const srgbSchema = z.tuple([channel, channel, channel], {
  error: 'sRGB is three numbers from 0 to 255.',
});
