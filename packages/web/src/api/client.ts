import { CURSOR_HEADER, FieldError, NOW_HEADER, OWN_HEADER, type Refusal } from '@ythrion/core';
import { cursor } from './cursor';
import { noteContact } from './studioClock';

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

/** A server that takes longer than this to answer is as good as gone, ms; a document or a copy of the studio may. */
const PATIENCE_MS = 60_000;

/**
 * Asks the server and gives the parsed answer.
 * @param patienceMs how long an answer is waited for
 * @throws Refused, or another error when the server cannot be reached
 */
export const ask = <T>(
  path: string,
  method: 'GET' | 'POST' | 'PUT' = 'GET',
  body?: unknown,
  patienceMs = PATIENCE_MS,
): Promise<T> =>
  send<T>(path, {
    method,
    signal: AbortSignal.timeout(patienceMs),
    ...(method !== 'GET' && {
      headers: { [OWN_HEADER]: '1', 'Content-Type': 'application/json' },
      body: JSON.stringify(body ?? {}),
    }),
  });

/**
 * Hands a file to the server as it is, however long that takes.
 * @throws Refused, the reason it was stopped for, or another error when the server cannot be reached
 */
export const hand = <T>(path: string, file: Blob, type: string, stop: AbortSignal): Promise<T> =>
  send<T>(path, {
    method: 'POST',
    headers: { [OWN_HEADER]: '1', 'Content-Type': type },
    body: file,
    signal: stop,
  });

async function send<T>(path: string, request: RequestInit): Promise<T> {
  const sentAtMs = Date.now();
  const response = await fetch(path, request);
  noteContact({
    sentAtMs,
    receivedAtMs: Date.now(),
    studioAtMs: Date.parse(response.headers.get(NOW_HEADER) ?? ''),
  });
  cursor.seed(response.headers.get(CURSOR_HEADER));
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
  if (error instanceof FieldError) return error.message;
  return 'The server cannot be reached. Nothing was lost; try again.';
}
