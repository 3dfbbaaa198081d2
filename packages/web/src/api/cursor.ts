/** How far this tab knows what arrived: told at first by its answers, then by the stream. */
export class Cursor {
  private at: string | null = null;
  private byStream = false;

  now(): string | null {
    return this.at;
  }

  /** An answer that held events reached at least so far; of several the earliest counts, until the stream runs. */
  seed(reached: string | null): void {
    if (reached === null || this.byStream) return;
    if (this.at === null || numberOf(reached) < numberOf(this.at)) this.at = reached;
  }

  /** The stream is here. */
  move(to: string): void {
    this.byStream = true;
    this.at = to;
  }
}

const numberOf = (cursor: string): number => Number(cursor.split(':')[0]);

/** Of this tab. */
export const cursor = new Cursor();
