import type { ErrorRequestHandler } from 'express';
import { ValidationError as SequelizeValidation } from 'sequelize';
import { z } from 'zod';
import { DataFolderError } from '../storage/dataFolder';
import { DocumentError, FieldError, problemsOf, type Refusal } from '@ythrion/core';
import type { Logger } from 'pino';

/** Something asked for is not there. */
export class NotFound extends Error {
  override readonly name = 'NotFound';
}

/** What was sent does not fit what is already kept. */
export class Conflict extends Error {
  override readonly name = 'Conflict';
  constructor(
    readonly field: string,
    message: string,
  ) {
    super(message);
  }
}

/** Whoever asks may not: a foreign page, or a request that no page of ours makes. */
export class Forbidden extends Error {
  override readonly name = 'Forbidden';
}

/** Whoever asks has not signed in, or was signed out. */
export class NotSignedIn extends Error {
  override readonly name = 'NotSignedIn';
}

/** Too many wrong tries: the next one has to wait. */
export class TooOften extends Error {
  override readonly name = 'TooOften';
  constructor(readonly seconds: number) {
    super(`Too many wrong tries. Wait ${seconds} s, then try again.`);
  }
}

/** More was sent than is taken at once. */
export class TooLarge extends Error {
  override readonly name = 'TooLarge';
  /** @param mostBytes what is taken */
  constructor(mostBytes: number) {
    super(`That is too large: at most ${Math.floor(mostBytes / 1_048_576)} MB can be sent at once.`);
  }
}

/** A batch whose record is in the file but cannot be read. Named, so that the rest can go on without it. */
export class DamagedRecord extends Error {
  override readonly name = 'DamagedRecord';
  constructor(
    readonly batch: { id: string; code: string; name: string },
    readonly why: string,
  ) {
    super(
      `The record of batch ${batch.code} “${batch.name}” cannot be read (${why}). Everything else is whole; a copy from an earlier day may still hold it.`,
    );
  }
}

/** Every refusal leaves the server as a status, a sentence, and the fields it concerns. */
export function refusals(log: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) return next(error);
    const { status, refusal } = refusalOf(error);
    if (status >= 500) {
      log.error({ err: error, url: request.url }, 'request failed');
    }
    response.status(status).json(refusal);
  };
}

function refusalOf(error: unknown): { status: number; refusal: Refusal } {
  if (error instanceof z.ZodError) return refused(400, problemsOf(error.issues));
  if (error instanceof DocumentError) return refused(400, [...error.problems]);
  if (error instanceof FieldError) return refused(400, [{ field: error.field, message: error.message }]);
  if (error instanceof Conflict) return refused(409, [{ field: error.field, message: error.message }]);
  if (error instanceof DamagedRecord)
    return { status: 409, refusal: { message: error.message, problems: [] } };
  if (error instanceof NotFound) return { status: 404, refusal: { message: error.message, problems: [] } };
  if (error instanceof Forbidden) return { status: 403, refusal: { message: error.message, problems: [] } };
  if (error instanceof NotSignedIn) return { status: 401, refusal: { message: error.message, problems: [] } };
  if (error instanceof TooOften) return { status: 429, refusal: { message: error.message, problems: [] } };
  if (error instanceof TooLarge) return { status: 413, refusal: { message: error.message, problems: [] } };
  if (error instanceof SequelizeValidation)
    return refused(
      409,
      error.errors.map((item) => ({ field: item.path ?? '', message: item.message })),
    );
  if (error instanceof DataFolderError)
    return { status: 409, refusal: { message: error.message, problems: [] } };
  if (isFull(error)) return { status: 507, refusal: { message: FULL, problems: [] } };
  const parse = error as { type?: string; limit?: number; status?: number };
  if (parse.type === 'entity.too.large') return refusalOf(new TooLarge(parse.limit ?? 0));
  if (parse.type === 'entity.parse.failed')
    return { status: 400, refusal: { message: 'That is not JSON: it cannot be read.', problems: [] } };
  if (parse.status !== undefined && parse.status >= 400 && parse.status < 500)
    return { status: parse.status, refusal: { message: 'That request cannot be read.', problems: [] } };
  return {
    status: 500,
    refusal: { message: 'Something went wrong here. Nothing was changed.', problems: [] },
  };
}

const FULL =
  'The disk is full: this was not kept. Make room on the disk the studio lies on, then send it again.';

/** SQLite's own word for a disk with no room left, however deep sequelize has wrapped it. */
export function isFull(error: unknown): boolean {
  for (let cause: unknown = error; typeof cause === 'object' && cause !== null;) {
    const { code, parent, cause: next } = cause as { code?: string; parent?: unknown; cause?: unknown };
    if (code === 'SQLITE_FULL' || code === 'ENOSPC') return true;
    const deeper = parent ?? next;
    if (deeper === cause) return false;
    cause = deeper;
  }
  return false;
}

function refused(status: number, problems: Refusal['problems']): { status: number; refusal: Refusal } {
  const first = problems[0];
  return {
    status,
    refusal: {
      message: first
        ? first.field === ''
          ? first.message
          : `${first.field}: ${first.message}`
        : 'That cannot be.',
      problems,
    },
  };
}
