import { seededStream, type ScaleReading } from '@ythrion/core';
import { Ticking, type Scale } from './instrument';

/** How a small digital scale behaves. */
export interface ScaleTraits {
  /** Smallest step of the display, g. */
  graduation: number;
  /** Spread of the noise on one reading, g. */
  noise: number;
  /** How far the zero wanders in one reading at most, g. */
  drift: number;
  /** Share of the way to a new load that the display goes in one reading. */
  follows: number;
  /** How far the display shoots past a new load, share of the change. */
  overshoots: number;
}

const FINE_SCALE: ScaleTraits = {
  graduation: 0.01,
  noise: 0.004,
  drift: 0.0004,
  follows: 0.35,
  overshoots: 0.12,
};

/** Readings the display must stand still for before it calls itself stable. */
const STILL_READINGS = 6;
const EVERY_MS = 100;

/**
 * A scale that is not there: it drifts, is noisy, shoots past and settles, and takes whatever the simulated hand lays
 * on it. The same seed always weighs alike.
 */
export class SimulatedScale implements Scale {
  private readonly next: () => number;
  private readonly ticking: Ticking<ScaleReading>;
  private load = 0;
  private shown = 0;
  private speed = 0;
  private zero = 0;
  private tared = 0;
  private readonly last: number[] = [];

  constructor(
    seed = 'scale',
    private readonly traits: ScaleTraits = FINE_SCALE,
  ) {
    this.next = seededStream(seed);
    this.ticking = new Ticking(() => this.step(), EVERY_MS);
  }

  listen(listener: (reading: ScaleReading) => void): () => void {
    return this.ticking.listen(listener);
  }

  tare(): void {
    this.tared = this.shown + this.zero;
    this.last.length = 0;
  }

  /**
   * The simulated hand: lays powder on or takes some off. A hand never lands where it aims: a spoon is a quarter off
   * either way.
   * @param aim grams wished, negative to take off
   */
  lay(aim: number): void {
    const real = aim * (0.75 + 0.5 * this.next());
    this.load = Math.max(0, this.load + real);
    this.last.length = 0;
  }

  /** Takes everything off. */
  clear(): void {
    this.load = 0;
    this.last.length = 0;
  }

  /** One reading further. */
  step(): ScaleReading {
    const { graduation, noise, drift, follows, overshoots } = this.traits;
    // A spring with little damping: the display runs past the load and comes back.
    this.speed = this.speed * overshoots * 3 + (this.load - this.shown) * follows;
    this.shown += this.speed;
    this.zero += (this.next() - 0.5) * 2 * drift;
    const raw = this.shown + this.zero - this.tared + (this.next() - 0.5) * 2 * noise;
    const grams = Number((Math.round(raw / graduation) * graduation).toFixed(4));
    this.last.push(grams);
    if (this.last.length > STILL_READINGS) this.last.shift();
    return { grams: grams === 0 ? 0 : grams, stable: this.isStill() };
  }

  private isStill(): boolean {
    return (
      this.last.length === STILL_READINGS &&
      Math.max(...this.last) - Math.min(...this.last) <= this.traits.graduation * 1.01
    );
  }
}
