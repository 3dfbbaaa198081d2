import { dayOf, clockTime } from '../record/clock';

/** Why a copy of the studio was made. */
const WHY = {
  daily: 'the daily one',
  asked: 'asked for',
  'before-upgrade': 'before a newer Ythrion changed the file',
  'before-restore': 'before going back to another copy',
} as const;

export type CopyReason = keyof typeof WHY;

/** A copy in words: when it was made and why. */
export const copyWords = ({ at, why }: { at: string; why: CopyReason }): string =>
  `${dayOf(at)} ${clockTime(at)}, ${WHY[why]}`;

/** A file's size in words. */
export const sizeWords = (bytes: number): string =>
  bytes < 1_048_576 ? `${Math.ceil(bytes / 1024)} kB` : `${(bytes / 1_048_576).toFixed(1)} MB`;
