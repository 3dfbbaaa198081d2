import type { Cell } from '../record/panMap';

/** A place of a map in words: `row 2, place 3`, from the back and from the left. */
export const cellWords = ({ column, row }: Cell): string => `row ${row}, place ${column}`;
