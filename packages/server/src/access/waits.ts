import { TooOften } from '../refusals/refusals';

/** Wrong tries that cost nothing but themselves. */
const FREE = 4;
const LONGEST_MS = 15 * 60_000;
/** Addresses remembered at once; the oldest are let go of, for one who has so many can make more. */
const MOST = 1000;

interface Tries {
  wrong: number;
  nextAt: number;
}

/**
 * Growing waits after wrong tries, for each address that tries: 1, 2, 4 … seconds up to a quarter of an hour. While one
 * waits nothing is looked at, the right word neither.
 */
export class Waits {
  private readonly tries = new Map<string, Tries>();

  constructor(private readonly now: () => number = Date.now) {}

  /** @throws TooOften while this one has to wait */
  mayTry(who: string): void {
    const left = (this.tries.get(who)?.nextAt ?? 0) - this.now();
    if (left > 0) throw new TooOften(Math.ceil(left / 1000));
  }

  wrong(who: string): void {
    const wrong = (this.tries.get(who)?.wrong ?? 0) + 1;
    const wait = wrong <= FREE ? 0 : Math.min(LONGEST_MS, 1000 * 2 ** (wrong - FREE - 1));
    this.tries.delete(who);
    this.tries.set(who, { wrong, nextAt: this.now() + wait });
    const [oldest] = this.tries.keys();
    if (this.tries.size > MOST && oldest !== undefined) this.tries.delete(oldest);
  }

  right(who: string): void {
    this.tries.delete(who);
  }
}
