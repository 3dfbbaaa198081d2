import { CannotBe } from './impossible';
import type { Piece, There } from './state';

/** Pieces that an act names, by their own id or by that of their line. @throws CannotBe when there are none of a name */
export function piecesNamed({ pieces }: There, names: readonly string[]): (readonly [string, Piece])[] {
  for (const name of names)
    if (!pieces.entries().some(([id, { line }]) => id === name || line === name))
      throw new CannotBe({ code: 'no such goods', goods: name });
  return pieces.entries().filter(([id, { line }]) => names.includes(id) || names.includes(line));
}

/** The pieces an act is about; those it means when it names none. @throws CannotBe */
export const piecesOr = (
  there: There,
  names: readonly string[],
  meant: (piece: Piece) => boolean,
): (readonly [string, Piece])[] =>
  names.length > 0 ? piecesNamed(there, names) : there.pieces.entries().filter(([, piece]) => meant(piece));

/** Goods that are dyed for their own sake, not put in to catch what is left. */
export const isMeant = (piece: Piece): boolean => !piece.catchUp;

/** Goods of any kind. */
export const everything = (): boolean => true;
