import { allGiven } from '../../process/depths';
import { width } from '../../process/exposure';
import { gotBy } from '../../process/received';
import type { Act } from '../../process/act';
import type { Piece, State } from '../../process/state';

/** One line of goods as it was and as it is to be. A line that is left out weighs nothing then. */
export interface LineOfGoods {
  then: { grams: number; dyeable: number };
  now: { grams: number; dyeable: number };
}

/** How much more, or less, of everything goes in on other goods. */
export class Reach {
  /** Share of a piece that the dye of each act reached, by act and piece. */
  private readonly reached = new Map<string, Map<string, number>>();
  /** Pieces that were ever laid into a vessel; of one that none was laid into, all of them. */
  private readonly laidIn = new Map<string, Set<string>>();

  /**
   * @param end of the record
   * @param goods by line
   * @param on what depth is kept on
   */
  constructor(
    private readonly end: State,
    acts: readonly Act[],
    private readonly goods: ReadonlyMap<string, LineOfGoods>,
    private readonly on: 'grams' | 'dyeable',
  ) {
    // What still waits goes to those who have a claim on it.
    const after = allGiven(end);
    for (const id of end.pieces.keys())
      for (const { act, stretch, counts } of gotBy(after, id)) {
        if (!counts) continue;
        const pieces = this.reached.get(act) ?? new Map<string, number>();
        this.reached.set(act, pieces.set(id, Math.max(pieces.get(id) ?? 0, width(stretch))));
      }
    for (const act of acts)
      if (act.kind === 'place') {
        const pieces = this.laidIn.get(act.vessel) ?? new Set<string>();
        for (const id of act.goods.length === 0 ? end.pieces.keys() : act.goods) pieces.add(id);
        this.laidIn.set(act.vessel, pieces);
      }
  }

  /** Dye of an act: by what takes dye of the goods that it reached; of one that met none, by all of them. */
  ofDye(act: string): number {
    const pieces = this.reached.get(act);
    return this.ratio(pieces ? [...pieces] : this.all(), this.on);
  }

  /** What goes into a vessel: by the weight of the goods that lay in it; of a cup, by all of them. */
  ofVessel(vessel: string): number {
    const pieces = [...(this.laidIn.get(vessel) ?? [])].filter((id) => this.counts(id));
    return pieces.length === 0
      ? this.inAll
      : this.ratio(
          pieces.map((id) => [id, 1] as const),
          'grams',
        );
  }

  /** Whether goods were laid into a vessel. */
  isBath(vessel: string): boolean {
    return this.laidIn.has(vessel);
  }

  /** What goes onto a place: by the weight of its goods. @param piece null: all of them */
  ofPlace(piece: string | null): number {
    return piece === null ? this.inAll : this.ratio([[piece, 1]], 'grams');
  }

  /** The line of goods that a piece is of; null for one there is none of. */
  lineOf(piece: string): string | null {
    return this.end.pieces.get(piece)?.line ?? null;
  }

  /** What a piece weighed, g. */
  gramsOf(piece: string): number {
    return this.end.pieces.get(piece)?.grams ?? 0;
  }

  /** All goods by weight; spare goods apart. */
  get inAll(): number {
    return this.ratio(this.all(), 'grams');
  }

  private counts(id: string): boolean {
    return this.end.pieces.get(id)?.catchUp === false;
  }

  private all(): (readonly [string, number])[] {
    return this.end.pieces.keys().flatMap((id) => (this.counts(id) ? [[id, 1] as const] : []));
  }

  private ratio(pieces: readonly (readonly [string, number])[], of: 'grams' | 'dyeable'): number {
    let [then, now] = [0, 0];
    for (const [id, share] of pieces) {
      const piece = this.end.pieces.get(id);
      const line = piece && this.goods.get(piece.line);
      if (!piece || !line) continue;
      const part = share * partOfLine(piece, line);
      then += line.then[of] * part;
      now += line.now[of] * part;
    }
    return then > 0 ? now / then : 0;
  }
}

/** Part of its line that a piece is, 0 to 1. */
const partOfLine = ({ grams }: Piece, { then }: LineOfGoods): number =>
  then.grams > 0 ? grams / then.grams : 1;
