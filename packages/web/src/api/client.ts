import type { Refusal } from '@ythrion/core';

/** What the server answered when it would not take something. */
export class Refused extends Error {
  override readonly name = 'Refused';
  constructor(
    readonly status: number,
    readonly refusal: Refusal,
  ) {
    super(refusal.message);
  }
}

/** Asks the server and gives the parsed answer. @throws Refused, or a TypeError when the server cannot be reached */
export async function ask<T>(
  path: string,
  method: 'GET' | 'POST' | 'PUT' = 'GET',
  body?: unknown,
): Promise<T> {
  const response = await fetch(
    path,
    body === undefined
      ? { method }
      : { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) },
  );
  const answer: unknown = await response
    .json()
    .catch(() => ({ message: 'The server gave an answer that cannot be read.', problems: [] }));
  if (!response.ok) throw new Refused(response.status, answer as Refusal);
  return answer as T;
}

/** The same where only one thing was entered: which field of it was wrong goes without saying. */
export function saidOfEntry(error: unknown): string {
  const problems = error instanceof Refused ? error.refusal.problems : [];
  return problems.length === 0 ? saidOf(error) : problems.map(({ message }) => message).join(' ');
}

/** A sentence for whatever went wrong. */
export function saidOf(error: unknown): string {
  if (error instanceof Refused) return error.message;
  return 'The server cannot be reached. Nothing was lost; try again.';
}
