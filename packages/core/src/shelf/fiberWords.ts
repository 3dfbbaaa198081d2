import { threeFigures } from '../units/threeFigures';
import type { Base } from './base';
import { FIBERS } from './fibers';

/** A base's content as a label says it: `75 % merino, 25 % nylon, superwash`. */
export function fiberWords(base: Pick<Base, 'fibers' | 'superwash'>): string {
  const shares = base.fibers.map(({ fiber, percent }) => `${threeFigures(percent)} % ${FIBERS[fiber].label}`);
  return [...shares, ...(base.superwash ? ['superwash'] : [])].join(', ');
}
