import { FieldError } from '../src/figure/fieldError';

/** What a refusal says; “nothing refused” where there is none. */
export function refusal(work: () => unknown): string {
  try {
    work();
  } catch (error) {
    if (error instanceof FieldError) return error.message;
    throw error;
  }
  return 'nothing refused';
}
