import { v7 } from 'uuid';

/** A fresh identifier, made here so that a request repeated after a lost answer never makes two records. */
export const newId = (): string => v7();
