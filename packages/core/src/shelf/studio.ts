import { z } from 'zod';
import { nameSchema } from './common';

/** What holds for the whole studio. */
export const studioSchema = z.strictObject({
  name: nameSchema.default('My studio'),
  /** Which spoons and cups a bare `tsp` or `cup` means. */
  spoons: z.enum(['US', 'metric', 'AU'], { error: 'Spoons must be US, metric or AU.' }).default('US'),
  /** ISO 4217 code, for costs. */
  currency: z
    .string()
    .regex(/^[A-Z]{3}$/, { error: 'A currency must be three capital letters, such as USD or EUR.' })
    .default('USD'),
});

export type Studio = z.infer<typeof studioSchema>;

export const DEFAULT_STUDIO: Studio = { name: 'My studio', spoons: 'US', currency: 'USD' };
