import { findColors, type SampledShelf } from '@ythrion/core';
import { asThread, inThread } from '../threads/inThread';
import { colorsHere, type FindColors } from './colors';

/** The command by which the program is started as a thread that finds the colors of a shelf. */
export const FIND_COLORS = 'find-colors';

/**
 * Finds colors in a thread: fitting a shelf of sixty dyes takes seconds. A shelf without measured dyes has no need of one.
 * @param program file of the program that knows the command
 */
export const colorsInThread =
  (program: string): FindColors =>
  (shelf) =>
    shelf.samples.some(({ dyes, retired }) => dyes.length > 0 && !retired)
      ? inThread(program, FIND_COLORS, shelf)
      : colorsHere(shelf);

/** The finding itself. */
export const findInThread = (): void => asThread((shelf: SampledShelf) => findColors(shelf));
