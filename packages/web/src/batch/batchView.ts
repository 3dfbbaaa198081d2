import {
  actualRecipe,
  departures,
  trueWords,
  untickedWords,
  type ActualRecipe,
  type Batch,
  type Dye,
  type Studio,
  type TruePart,
} from '@ythrion/core';
import { potView, type PotView } from './potView';

/** Everything a screen shows of one batch, computed in one place. */
export interface BatchView extends PotView {
  actual: ActualRecipe;
  /** The same in words, pass by pass. */
  truly: TruePart[];
  /** Where it left its card, one sentence each. */
  departures: string[];
  /** What nobody ticked and what nothing could be made of, one sentence each. */
  unticked: string[];
}

/** `potView` with what the batch really was. @param dyes the dyes on the shelf */
export function batchView(batch: Batch, dyes: readonly Dye[], studio?: Studio): BatchView {
  const pot = potView(batch, dyes, studio);
  const actual = actualRecipe(batch, dyes);
  return {
    ...pot,
    actual,
    truly: trueWords(actual.truly, pot.reading),
    unticked: untickedWords(actual.questions, actual.folded, pot.reading),
    departures: departures(batch, pot.reading.dyes),
  };
}
