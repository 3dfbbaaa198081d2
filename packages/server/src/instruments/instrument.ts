import type { ScaleReading } from '@ythrion/core';

/** A device that shows a reading again and again: a scale, a pH meter. */
export interface Instrument<Reading> {
  /** Gives every reading to the listener until the returned function is called. */
  listen(listener: (reading: Reading) => void): () => void;
}

/** A scale, real or simulated: it shows grams and can be set to zero. */
export interface Scale extends Instrument<ScaleReading> {
  tare(): void;
}

/**
 * Calls `step` at a steady pace while anybody listens, and hands out what it returns.
 * @param everyMs time between two readings
 */
export class Ticking<Reading> implements Instrument<Reading> {
  private readonly listeners = new Set<(reading: Reading) => void>();
  private timer: NodeJS.Timeout | null = null;

  constructor(
    private readonly step: () => Reading,
    private readonly everyMs: number,
  ) {}

  listen(listener: (reading: Reading) => void): () => void {
    this.listeners.add(listener);
    this.timer ??= setInterval(() => {
      const reading = this.step();
      for (const each of this.listeners) each(reading);
    }, this.everyMs);
    return () => {
      this.listeners.delete(listener);
      if (this.listeners.size > 0 || this.timer === null) return;
      clearInterval(this.timer);
      this.timer = null;
    };
  }
}
