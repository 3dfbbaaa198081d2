import type { Arrival, Event } from '@ythrion/core';
import { Refused, saidOfEntry } from '../api/client';
import type { Outbox } from './outbox';

/** How long the sender waits after so many failures in a row, ms. */
const waitAfter = (failures: number): number => Math.min(10_000, 500 * 2 ** (failures - 1));

/** Refusals that no repetition changes. */
const FINAL = [400, 404, 409, 413, 422];

/**
 * Sends what is in the outbox, one after the other in the order in which it was made, until the studio has all of it. An
 * answer that was lost is asked for again under the same id, which the studio knows by then.
 */
export class Sender {
  private running = false;
  private wakeUp: (() => void) | null = null;

  constructor(
    private readonly outbox: Outbox,
    private readonly post: (event: Event) => Promise<Arrival>,
    private readonly wait: (failures: number) => number = waitAfter,
    /** Lets one tab of this device send at a time. */
    private readonly alone: (work: () => Promise<void>) => Promise<unknown> = (work) => work(),
  ) {}

  /** There is something to send, or the studio can be reached again: at once, without waiting any longer. */
  wake(): void {
    this.wakeUp?.();
    if (!this.running) void this.run();
  }

  private async run(): Promise<void> {
    this.running = true;
    try {
      await this.alone(() => this.sendAll());
    } finally {
      this.running = false;
    }
    // Something may have come in since the last look.
    if (this.outbox.unsent().length > 0) this.wake();
  }

  private async sendAll(): Promise<void> {
    let failures = 0;
    for (;;) {
      const [entry] = this.outbox.unsent();
      if (!entry) break;
      try {
        await this.outbox.heard([await this.post(entry.event)]);
        failures = 0;
      } catch (error) {
        if (error instanceof Refused && FINAL.includes(error.status)) {
          await this.outbox.notTaken(entry, saidOfEntry(error));
          continue;
        }
        failures += 1;
        await this.pause(this.wait(failures));
      }
    }
  }

  private pause(ms: number): Promise<void> {
    return new Promise((resolve) => {
      const timer = setTimeout(resolve, ms);
      this.wakeUp = () => {
        clearTimeout(timer);
        resolve();
      };
    });
  }
}
