/**
 * Things by their ids, in the order they came in. Never changed: `with` gives another one that shares all it can, so
 * that a long list of acts on many vessels costs no copy of them all for each.
 */
export class Named<T> implements Iterable<readonly [string, T]> {
  /** Made when asked for. */
  private pairs: readonly (readonly [string, T])[] | null = null;

  private constructor(
    private readonly places: ReadonlyMap<string, number>,
    private readonly ids: readonly string[],
    private readonly things: readonly T[],
  ) {}

  /** None yet. */
  static none<T>(): Named<T> {
    return new Named<T>(new Map(), [], []);
  }

  get size(): number {
    return this.things.length;
  }

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

  /** All of them with their ids. */
  entries(): readonly (readonly [string, T])[] {
    this.pairs ??= this.ids.map((id, i) => [id, this.things[i] as T] as const);
    return this.pairs;
  }

  [Symbol.iterator](): Iterator<readonly [string, T]> {
    return this.entries()[Symbol.iterator]();
  }

  /** The same with some of them changed, or new. */
  with(changed: readonly (readonly [string, T])[]): Named<T> {
    if (changed.length === 0) return this;
    const things = this.things.slice();
    let places = this.places;
    let ids = this.ids;
    for (let i = 0; i < changed.length; i += 1) {
      const pair = changed[i];
      if (pair === undefined) continue;
      const place = places.get(pair[0]);
      if (place !== undefined) {
        things[place] = pair[1];
        continue;
      }
      if (ids === this.ids) {
        places = new Map(places);
        ids = ids.slice();
      }
      (places as Map<string, number>).set(pair[0], things.push(pair[1]) - 1);
      (ids as string[]).push(pair[0]);
    }
    return new Named(places, ids, things);
  }

  /** Written down as its pairs, so that two of them can be held against each other. */
  toJSON(): readonly (readonly [string, T])[] {
    return this.entries();
  }
}
