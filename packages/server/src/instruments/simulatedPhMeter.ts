import { seededStream, type PhReading } from '@ythrion/core';
import { Ticking, type Instrument } from './instrument';

const EVERY_MS = 200;
/** Share of the way to the bath's pH that a slow electrode goes in one reading. */
const FOLLOWS = 0.12;
const NOISE = 0.012;
/** How far a meter's calibration is off at most, pH. */
const MOST_OFFSET = 0.12;
const STILL_READINGS = 8;

/**
 * A pH meter that is not there, its electrode in a bath of known pH: slow, a little off, and noisy in the second
 * place. The same seed is always off alike.
 */
export class SimulatedPhMeter implements Instrument<PhReading> {
  private readonly next: () => number;
  private readonly ticking: Ticking<PhReading>;
  private readonly offset: number;
  private shown = 7;
  private readonly last: number[] = [];

  /** @param bathPh what the bath really has; a bath is a little other than was expected */
  constructor(
    private readonly bathPh: number,
    seed = 'meter',
  ) {
    this.next = seededStream(seed);
    this.offset = (this.next() - 0.5) * 2 * MOST_OFFSET;
    this.ticking = new Ticking(() => this.step(), EVERY_MS);
  }

  listen(listener: (reading: PhReading) => void): () => void {
    return this.ticking.listen(listener);
  }

  /** One reading further. */
  step(): PhReading {
    this.shown += (this.bathPh + this.offset - this.shown) * FOLLOWS;
    const pH = Number((this.shown + (this.next() - 0.5) * 2 * NOISE).toFixed(2));
    this.last.push(pH);
    if (this.last.length > STILL_READINGS) this.last.shift();
    const still =
      this.last.length === STILL_READINGS && Math.max(...this.last) - Math.min(...this.last) < 0.05;
    return { pH, stable: still };
  }
}
