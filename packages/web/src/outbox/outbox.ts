import { EVENT_VERSION, type Arrival, type Event, type NewEvent } from '@ythrion/core';
import { newId } from '../parts/newId';
import type { DeviceDatabase, Entry, Self } from './database';

/** The record that something is entered into; a text is the id of a batch. */
export type RecordOf = Event['of'] | string;

/** Something to enter: what, and the instant it counts by. */
export interface ToEnter {
  event: NewEvent;
  at: string;
}

const NONE: readonly Entry[] = [];

/**
 * Every event that this device made and that the studio has not taken yet, and those it heard of that no answer shows yet.
 * An event is in the browser's own database before it is shown as done, and leaves it only once the studio has it.
 */
export class Outbox {
  private readonly entries = new Map<string, Entry>();
  private batches = new Map<string, readonly Entry[]>();
  private self: Self = { id: newId(), count: 0, person: null };
  private database: DeviceDatabase | null = null;
  private readonly watchers = new Set<() => void>();
  private readonly others: Pick<BroadcastChannel, 'postMessage'> | null;

  /** @param others tells the other tabs of this device that something changed */
  constructor(others: Pick<BroadcastChannel, 'postMessage'> | null = null) {
    this.others = others;
  }

  /** True where nothing is kept once the tab is closed: the browser has no database for it. */
  get forgets(): boolean {
    return this.database === null;
  }

  /** Takes up what was kept. @param database null where the browser keeps nothing */
  async open(database: DeviceDatabase | null): Promise<void> {
    this.database = database;
    if (!database) return;
    const kept = await database.get('self', 'self');
    if (kept) this.self = kept;
    else await database.put('self', this.self, 'self');
    await this.readAgain();
  }

  /** What another tab of this device changed. */
  async readAgain(): Promise<void> {
    if (!this.database) return;
    const kept = await this.database.getAll('entries');
    this.entries.clear();
    for (const entry of kept) this.entries.set(entry.id, entry);
    this.changed();
  }

  /** Calls back with every change, for `useSyncExternalStore`. */
  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  /** Entries of a batch or cup that its answer may not show yet, in the order in which they came; the same list until one changes. */
  readonly ofBatch = (id: string): readonly Entry[] => this.batches.get(id) ?? NONE;

  /** The same of every batch. */
  readonly all = (): ReadonlyMap<string, readonly Entry[]> => this.batches;

  /** Made here and not sent yet, first things first. */
  unsent(): Entry[] {
    return this.inState('unsent').toSorted((one, other) => one.event.count - other.event.count);
  }

  /** Sent, and not taken. */
  refused(): Entry[] {
    return this.inState('refused');
  }

  find(id: string): Event | undefined {
    return this.entries.get(id)?.event;
  }

  /** Enters things into a record: they are kept when this is over, though nothing may have been sent. */
  async enter(of: RecordOf, things: readonly ToEnter[]): Promise<Event[]> {
    const entries = await this.counted(of, things);
    for (const entry of entries) this.entries.set(entry.id, entry);
    this.changed();
    this.tell();
    return entries.map(({ event }) => event);
  }

  /** Under whose name this device enters things from now on. */
  async enterAs(person: string | null): Promise<void> {
    if (this.self.person === person) return;
    this.self = { ...this.self, person };
    await this.keep(async (database) => {
      const transaction = database.transaction('self', 'readwrite');
      const kept = await transaction.store.get('self');
      await transaction.store.put({ ...(kept ?? this.self), person }, 'self');
      await transaction.done;
    });
  }

  /** An event that goes along within another request, and that only counts if that is taken. */
  aside(of: RecordOf, event: NewEvent, at: string): Event {
    return { ...this.stamped(of, event, at), count: this.self.count + 1 };
  }

  /** The studio has these. */
  async heard(arrivals: readonly Arrival[]): Promise<void> {
    await this.put(
      arrivals.map(({ seq, event }) => ({
        ...{ id: event.id, event, state: 'known', seq, why: null },
        sinceMs: Date.now(),
      })),
    );
  }

  /** The studio did not take this one; it stays here, with the reason. */
  async notTaken(entry: Entry, why: string): Promise<void> {
    await this.put([{ ...entry, state: 'refused', why, sinceMs: Date.now() }]);
  }

  /** Lets go of entries: what answers show by now, or what was refused and read. */
  async forget(ids: readonly string[]): Promise<void> {
    const gone = ids.filter((id) => this.entries.get(id)?.state !== 'unsent' && this.entries.delete(id));
    if (gone.length === 0) return;
    this.changed();
    await this.keep(async (database) => {
      const transaction = database.transaction('entries', 'readwrite');
      for (const id of gone) await transaction.store.delete(id);
      await transaction.done;
    });
  }

  /** The studio went back to another copy: what it knew then it may not know now. */
  async forgetKnown(): Promise<void> {
    await this.forget(this.inState('known').map(({ id }) => id));
  }

  /** Things to enter, each with its place in the count, in the database. */
  private async counted(of: RecordOf, things: readonly ToEnter[]): Promise<Entry[]> {
    let entries: Entry[] | undefined;
    const made = (): Entry[] =>
      (entries ??= things.map(({ event, at }): Entry => {
        this.self = { ...this.self, count: this.self.count + 1 };
        const stamped = this.stamped(of, event, at);
        return {
          ...{ id: stamped.id, event: stamped, state: 'unsent', seq: null, why: null },
          sinceMs: Date.now(),
        };
      }));
    await this.keep(async (database) => {
      const transaction = database.transaction(['self', 'entries'], 'readwrite', { durability: 'strict' });
      // Another tab of this device counts in the same place.
      this.self = (await transaction.objectStore('self').get('self')) ?? this.self;
      const kept = made();
      await transaction.objectStore('self').put(this.self, 'self');
      for (const entry of kept) await transaction.objectStore('entries').put(entry);
      await transaction.done;
    });
    return made();
  }

  /**
   * Does something with the database. One that fails, as when the disk is full, is let go of: from then on entries are
   * held by this page alone, and it says so.
   */
  private async keep(work: (database: DeviceDatabase) => Promise<void>): Promise<void> {
    if (!this.database) return;
    try {
      await work(this.database);
    } catch {
      this.database = null;
      this.changed();
    }
  }

  private inState(state: Entry['state']): Entry[] {
    return [...this.entries.values()].filter((entry) => entry.state === state);
  }

  private stamped(of: RecordOf, event: NewEvent, at: string): Event {
    return {
      version: EVENT_VERSION,
      id: newId(),
      of: typeof of === 'string' ? { kind: 'batch', id: of } : of,
      at,
      clockAt: new Date().toISOString(),
      device: this.self.id,
      count: this.self.count,
      person: this.self.person,
      ...event,
    };
  }

  private async put(entries: readonly Entry[]): Promise<void> {
    if (entries.length === 0) return;
    for (const entry of entries) this.entries.set(entry.id, entry);
    this.changed();
    await this.keep(async (database) => {
      const transaction = database.transaction('entries', 'readwrite');
      for (const entry of entries) await transaction.store.put(entry);
      await transaction.done;
    });
    this.tell();
  }

  private changed(): void {
    const batches = new Map<string, Entry[]>();
    for (const entry of this.entries.values()) {
      if (entry.state === 'refused') continue;
      const { id } = entry.event.of;
      const list = batches.get(id);
      if (list) list.push(entry);
      else batches.set(id, [entry]);
    }
    this.batches = new Map(
      [...batches].map(([id, list]) => {
        const before = this.batches.get(id);
        return [id, before && sameEntries(before, list) ? before : list];
      }),
    );
    for (const watcher of [...this.watchers]) watcher();
  }

  private tell(): void {
    this.others?.postMessage('changed');
  }
}

const sameEntries = (one: readonly Entry[], other: readonly Entry[]): boolean =>
  one.length === other.length && one.every((entry, i) => entry === other[i]);
