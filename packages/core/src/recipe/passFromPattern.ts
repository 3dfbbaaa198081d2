import type { Pattern } from './pattern';

/** A pass from a pattern, with ids of its own. */
export function passFromPattern({ pass }: Pick<Pattern, 'pass'>, newId: () => string): Pattern['pass'] {
  return { ...pass, id: newId(), dyes: pass.dyes.map((line) => ({ ...line, id: newId() })) };
}
