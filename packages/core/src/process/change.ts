import type { Chain } from './chain';
import type { Liquid, Piece, Received, State, Vessel } from './state';

/** The state with some vessels changed. */
export const withVessels = (state: State, changed: readonly (readonly [string, Vessel])[]): State => ({
  ...state,
  vessels: state.vessels.with(changed),
});

/** The state with some pieces changed. */
export const withPieces = (state: State, changed: readonly (readonly [string, Piece])[]): State => ({
  ...state,
  pieces: state.pieces.with(changed),
});

/** The state with other lists of what some pieces got. */
export const withReceived = (
  state: State,
  changed: readonly (readonly [string, Chain<Received>])[],
): State => ({
  ...state,
  received: state.received.with(changed),
});

/** The state with another liquid in one vessel; what was read there before holds no more. */
export function withLiquid(state: State, id: string, liquid: Liquid): State {
  const vessel = state.vessels.get(id);
  return vessel ? withVessels(state, [[id, { ...vessel, liquid, reading: null }]]) : state;
}

/** The state with more down the drain. */
export const withDrained = (state: State, drained: Liquid): State => ({ ...state, drained });
