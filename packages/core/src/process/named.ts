/** Things by their ids, in the order they came in. */
export interface Things<T> {
  has(id: string): boolean;
  get(id: string): T | undefined;
  keys(): readonly string[];
  values(): readonly T[];
  entries(): readonly (readonly [string, T])[];
}

/** Where each id stands in the order. */
type Places = ReadonlyMap<string, number>;

const NOWHERE: Places = new Map();

/** Things found by where their ids stand. */
abstract class Placed<T> implements Things<T> {
  constructor(
    protected places: Places,
    protected ids: readonly string[],
    protected things: readonly T[],
  ) {}

  has(id: string): boolean {
    return this.places.has(id);
  }

  get(id: string): T | undefined {
    const place = this.places.get(id);
    return place === undefined ? undefined : this.things[place];
  }

  keys(): readonly string[] {
    return this.ids;
  }

  values(): readonly T[] {
    return this.things;
  }

  entries(): readonly (readonly [string, T])[] {
    return this.ids.map((id, i) => [id, this.things[i] as T] as const);
  }
}

/**
 * Things that never change. `Changing` makes others of them, which share all they can: a long list of acts on many vessels
 * costs no copy of them all for each.
 */
export class Named<T> extends Placed<T> implements Iterable<readonly [string, T]> {
  /** Made when asked for. */
  private pairs: readonly (readonly [string, T])[] | null = null;

  /** None yet. */
  static none<T>(): Named<T> {
    return new Named<T>(NOWHERE, [], []);
  }

  /** To be changed; it stays as it is itself. */
  changing(): Changing<T> {
    return new Changing(this, this.places, this.ids, this.things);
  }

  override entries(): readonly (readonly [string, T])[] {
    this.pairs ??= super.entries();
    return this.pairs;
  }

  [Symbol.iterator](): Iterator<readonly [string, T]> {
    return this.entries()[Symbol.iterator]();
  }

  /** Written down as its pairs, so that two of them can be held against each other. */
  toJSON(): readonly (readonly [string, T])[] {
    return this.entries();
  }
}

/** Things while they change: those they were stay as they are. */
export class Changing<T> extends Placed<T> {
  private copied = false;
  private grown = false;

  constructor(
    private readonly from: Named<T>,
    places: Places,
    ids: readonly string[],
    things: readonly T[],
  ) {
    super(places, ids, things);
  }

  override entries(): readonly (readonly [string, T])[] {
    return this.copied ? super.entries() : this.from.entries();
  }

  /** Another thing of this id, or a new one behind the others. */
  set(id: string, thing: T): void {
    if (!this.copied) {
      this.copied = true;
      this.things = this.things.slice();
    }
    const things = this.things as T[];
    const place = this.places.get(id);
    if (place !== undefined) {
      things[place] = thing;
      return;
    }
    if (!this.grown) {
      this.grown = true;
      this.places = new Map(this.places);
      this.ids = this.ids.slice();
    }
    (this.places as Map<string, number>).set(id, things.push(thing) - 1);
    (this.ids as string[]).push(id);
  }

  /** The things as they are now. It is not to be changed any more. */
  done(): Named<T> {
    return this.copied ? new Named(this.places, this.ids, this.things) : this.from;
  }
}
