import os from 'node:os';
import {
  countOf,
  joinShares,
  match,
  type Calibration,
  type MatchProgress,
  type MatchWish,
  type Search,
} from '@ythrion/core';
import { asThread, inThread } from '../threads/inThread';

/** The command by which the program is started as a thread that searches a share. */
export const SEARCH_SHARE = 'search-share';

/** Choices of dyes from which it pays to start threads. */
const MANY = 20_000;

interface Share {
  calibration: Calibration;
  wish: MatchWish;
}

/**
 * Searches with every core there is: each thread tries its share of all choices of dyes.
 * @param program file of the program that knows the command
 */
export const searchShared =
  (program: string): Search =>
  async (calibration, wish) => {
    const of = os.availableParallelism();
    if (of < 2 || countOf(calibration.dyeIds, wish) < MANY) return match(calibration, wish);
    const shares = await Promise.all(
      Array.from({ length: of }, (_, part) => {
        const share: Share = { calibration, wish: { ...wish, share: { part, of } } };
        return inThread<MatchProgress>(program, SEARCH_SHARE, share);
      }),
    );
    return joinShares(shares, wish.top);
  };

/** The searching itself. */
export const searchShare = (): void => asThread(({ calibration, wish }: Share) => match(calibration, wish));
