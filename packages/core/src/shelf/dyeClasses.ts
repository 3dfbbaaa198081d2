/** Acid dyes by the pH they are dyed at; decides how gently a bath must be led. */
export const DYE_CLASSES = [
  'unknown',
  'leveling',
  'half-milling',
  'milling',
  'super-milling',
  'metal complex',
] as const;

export type DyeClass = (typeof DYE_CLASSES)[number];
