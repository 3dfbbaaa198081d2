import { FieldError } from './fieldError';

/** What some work comes to, or why it comes to nothing. */
export type OrWhy<T> = { value: T; problem: null } | { value: null; problem: string };

/** Does some work, and tells a refusal instead of throwing it; anything else that goes wrong is thrown. */
export function orWhy<T>(work: () => T): OrWhy<T> {
  try {
    return { value: work(), problem: null };
  } catch (error) {
    if (!(error instanceof FieldError)) throw error;
    return { value: null, problem: error.message };
  }
}
