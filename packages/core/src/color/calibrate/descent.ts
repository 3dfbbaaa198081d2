import { factorOf, solvedWith } from './matrix';
import type { Gathered } from './gathered';

/** Numbers that were found, and what still speaks against them. */
export interface Descended {
  numbers: Float64Array;
  cost: number;
}

/** A gain smaller than that, of the cost, is none that anybody sees. */
const STILL = 1e-6;
/** No number jumps further at once than a curve of absorption can bear. */
const LONGEST = 2;

/**
 * The numbers that fit best: Levenberg and Marquardt's way from where they are given.
 * Source: D. W. Marquardt, J. Soc. Ind. Appl. Math. 11, 431 (1963).
 * @param gather everything that speaks for some numbers and against them @param rounds at most
 */
export function descended(
  gather: (numbers: Float64Array) => Gathered,
  from: Float64Array,
  rounds: number,
  still = STILL,
): Descended {
  const n = from.length;
  let numbers = from;
  let there = gather(numbers);
  let damped = 1e-2;
  for (let round = 0; round < rounds; round += 1) {
    const matrix = Float64Array.from(there.precision);
    for (let i = 0; i < n; i += 1) matrix[i * n + i] = (matrix[i * n + i] as number) * (1 + damped);
    const factor = factorOf(matrix, n);
    if (!factor) {
      damped *= 10;
      continue;
    }
    const step = solvedWith(factor, there.slope);
    const next = numbers.map((value, i) => value - bounded(step[i] as number));
    const then = gather(next);
    if (Number.isFinite(then.cost) && then.cost < there.cost) {
      const gained = there.cost - then.cost;
      [numbers, there] = [next, then];
      damped = Math.max(1e-7, damped / 5);
      if (gained < still * (1 + there.cost)) break;
    } else {
      damped *= 6;
      if (damped > 1e8) break;
    }
  }
  return { numbers, cost: there.cost };
}

const bounded = (step: number): number => Math.max(-LONGEST, Math.min(LONGEST, step));
