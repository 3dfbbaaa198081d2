import type { CopyReason } from '../words/copyWords';

/** A copy of the whole studio, kept beside it. */
export interface StudioCopy {
  /** Its file name, by which it is put back. */
  name: string;
  /** When it was made, ISO 8601. */
  at: string;
  /** By itself once a day, because somebody asked, or before the data file was changed. */
  why: CopyReason;
  bytes: number;
}

/** GET /api/copies, newest first */
export interface CopiesResponse {
  copies: StudioCopy[];
  /** The newest usual copy is more than two days old, though one is due every day. */
  overdue: boolean;
}

/** GET /api/check: everything that is wrong with the studio, one sentence each; empty when it is sound. */
export interface CheckResponse {
  faults: string[];
  /** Entries that a device made and that never arrived, though later ones of it did; a sentence each. */
  missing: string[];
  batches: number;
  events: number;
}
