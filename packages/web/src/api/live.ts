import { API, type LiveMessages } from '@ythrion/core';
import { cursor } from './cursor';

/** What the stream tells to whoever takes it in. */
export interface LiveTold {
  /** The server is there. @param missed true where it was not for a while: what was changed then, arrivals apart, nobody told */
  opened: (missed: boolean) => void;
  arrival: (message: LiveMessages['arrival']) => void;
  changed: (message: LiveMessages['changed']) => void;
  comingIn: (message: LiveMessages['comingIn']) => void;
  restart: () => void;
  /** The server would not let the stream go on. */
  turnedAway: () => void;
}

/** Nothing heard for so long: the connection is dead, though nobody said so, ms. */
const DEAD_AFTER_MS = 20_000;
const AGAIN_AFTER_MS = 2000;

/**
 * The one stream of this tab: everything that happens, and the instruments somebody looks at. It is closed while the tab
 * is hidden, and takes up where it was.
 */
class Live {
  private source: EventSource | null = null;
  private told: LiveTold | null = null;
  /** By the clock that nobody sets. */
  private heardAt = 0;
  private missed = false;
  private readonly instruments = new Map<string, Set<(reading: unknown) => void>>();

  start(told: LiveTold): void {
    this.told = told;
    document.addEventListener('visibilitychange', () => {
      this.missed = true;
      this.open();
    });
    addEventListener('online', () => this.open());
    setInterval(() => {
      if (performance.now() - this.heardAt < DEAD_AFTER_MS) return;
      this.missed = true;
      this.open();
    }, AGAIN_AFTER_MS);
    this.open();
  }

  /** Listens to an instrument. Returns what ends it. @param show called with each reading; null when there is none */
  listen(instrument: string, show: (reading: unknown) => void): () => void {
    const known = this.instruments.get(instrument);
    if (known) known.add(show);
    else {
      this.instruments.set(instrument, new Set([show]));
      this.open();
    }
    return () => {
      const showing = this.instruments.get(instrument);
      showing?.delete(show);
      if (showing?.size !== 0) return;
      this.instruments.delete(instrument);
      this.open();
    };
  }

  /** Opens the stream anew, with what is listened to now. */
  private open(): void {
    this.source?.close();
    this.source = null;
    if (!this.told || document.visibilityState === 'hidden') return;
    this.heardAt = performance.now();
    const query = new URLSearchParams([...this.instruments.keys()].map((name) => ['listen', name]));
    const since = cursor.now();
    if (since !== null) query.set('since', since);
    const source = new EventSource(`${API.live}?${query}`);
    this.source = source;
    source.onopen = () => {
      this.told?.opened(this.missed);
      this.missed = false;
    };
    source.onerror = () => {
      this.missed = true;
      for (const showing of this.instruments.values()) for (const show of showing) show(null);
      // A stream that was refused does not come back by itself; the look for dead ones opens it again.
      if (source.readyState !== EventSource.CLOSED) return;
      this.heardAt = performance.now() - DEAD_AFTER_MS;
      this.told?.turnedAway();
    };
    this.on(source, 'now', () => undefined);
    this.on(source, 'arrival', (message) => this.told?.arrival(message));
    this.on(source, 'changed', (message) => this.told?.changed(message));
    this.on(source, 'comingIn', (message) => this.told?.comingIn(message));
    this.on(source, 'restart', () => this.told?.restart());
    this.on(source, 'reading', ({ instrument, reading }) => {
      for (const show of this.instruments.get(instrument) ?? []) show(reading);
    });
  }

  private on<K extends keyof LiveMessages>(
    source: EventSource,
    name: K,
    take: (message: LiveMessages[K]) => void,
  ): void {
    source.addEventListener(name, (event: MessageEvent<string>) => {
      if (source !== this.source) return;
      this.heardAt = performance.now();
      if (event.lastEventId !== '') cursor.move(event.lastEventId);
      take(JSON.parse(event.data) as LiveMessages[K]);
    });
  }
}

export const live = new Live();
