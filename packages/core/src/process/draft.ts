import { vesselWith } from './change';
import type { Chain } from './chain';
import { CannotBe } from './impossible';
import type { Changing } from './named';
import type { Liquid, Piece, Received, State, Surroundings, There, Vessel } from './state';

/** A state while one act is being done: what the act changes is changed here, and made a new state once at its end. */
export class Draft implements There {
  readonly surroundings: Surroundings;
  readonly vessels: Changing<Vessel>;
  readonly pieces: Changing<Piece>;
  readonly received: Changing<Chain<Received>>;
  drained: Liquid;
  driedMl: number;
  passes: readonly string[];
  handsFree: number;

  /** @param from stays as it is */
  constructor(from: State) {
    this.surroundings = from.surroundings;
    this.vessels = from.vessels.changing();
    this.pieces = from.pieces.changing();
    this.received = from.received.changing();
    this.drained = from.drained;
    this.driedMl = from.driedMl;
    this.passes = from.passes;
    this.handsFree = from.handsFree;
  }

  /** A vessel by its id. @throws CannotBe */
  vessel(id: string): Vessel {
    const vessel = this.vessels.get(id);
    if (!vessel) throw new CannotBe({ code: 'no such vessel', vessel: id });
    return vessel;
  }

  /** A piece by its id. @throws CannotBe */
  piece(id: string): Piece {
    const piece = this.pieces.get(id);
    if (!piece) throw new CannotBe({ code: 'no such goods', goods: id });
    return piece;
  }

  /** Another liquid in a vessel; what was read there before holds no more. @throws CannotBe */
  setLiquid(id: string, liquid: Liquid): void {
    this.vessels.set(id, vesselWith(this.vessel(id), { liquid, reading: null }));
  }

  /** The state it has become. */
  done(): State {
    return {
      surroundings: this.surroundings,
      vessels: this.vessels.done(),
      pieces: this.pieces.done(),
      received: this.received.done(),
      drained: this.drained,
      driedMl: this.driedMl,
      passes: this.passes,
      handsFree: this.handsFree,
    };
  }
}
