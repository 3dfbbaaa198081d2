import {
  recordState,
  vesselOfCard,
  type Batch,
  type Dye,
  type Reading,
  type RecordState,
  type Studio,
} from '@ythrion/core';

/** What a pot shows of its batch. */
export interface PotView {
  state: RecordState;
  /** What the card's lines are put into words with. */
  reading: Reading;
  /** How full the pot is, 0 to 1. */
  level: number;
}

/** Where a batch stands, and how full its pot is. @param dyes the dyes on the shelf, for what was added unplanned */
export function potView(batch: Batch, dyes: readonly Dye[], studio?: Studio): PotView {
  const known = dyesKnown(batch.formulation.dyes, dyes);
  const state = recordState(batch, batch.events, known);
  const planned = batch.card.passes[0]?.bathMl ?? 0;
  const capacity =
    vesselOfCard(batch.card, state.current?.line.act.pass ?? state.pass)?.capacityMl ??
    Math.max(1, planned, planned === 0 ? state.bath.volumeMl : 0) * 1.5;
  return { state, reading: { batch, dyes: known, studio }, level: state.bath.volumeMl / capacity };
}

/** The dyes that were put together last: what is computed with them is computed once. */
let last: { own: readonly Dye[]; shelf: readonly Dye[]; known: readonly Dye[] } | null = null;

function dyesKnown(own: readonly Dye[], shelf: readonly Dye[]): readonly Dye[] {
  if (last?.own !== own || last.shelf !== shelf) last = { own, shelf, known: [...own, ...shelf] };
  return last.known;
}
