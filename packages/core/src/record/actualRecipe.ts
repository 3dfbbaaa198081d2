import { acidTotal, type ActualAcid } from './acidTotal';
import { figure, type Figure } from '../figure/figure';
import type { Dye } from '../shelf/dye';
import { formatAmount } from '../units/formatQuantity';
import { actualDyes, type ActualDye } from './actualDyes';
import { additionsOf, liquidMl, untickedWater, type PotAddition } from './additions';
import type { Batch } from './batch';
import { besideMeasured } from './besideMeasured';
import { foldRecord, type FoldedRecord } from './foldRecord';
import { questionsOf, type Question } from './questions';
import { trueRecipe, type TrueRecipe } from './trueRecipe/trueRecipe';
import { versionOf, type VersionOf } from './trueRecipe/versionOf';

/** What a batch really was. */
export interface ActualRecipe {
  /** Its acts, as they come to. */
  folded: FoldedRecord;
  /** Lines that nobody ticked, and what was said of them. */
  questions: Question[];
  dyes: ActualDye[];
  bath: Figure;
  acidPure: ActualAcid | null;
  /** Pass by pass, as it was. */
  truly: TrueRecipe;
  /** As a recipe, for the next version of its colorway; null while no dye has gone in. */
  version: VersionOf | null;
}

/**
 * From what was really measured back to % depth of shade: the acts of the record are done, and the goods hold what
 * reached them. Dye and acid of a planned line that was never ticked did not go in.
 * @param dyes dyes on the shelf, for the names of what was not in the recipe
 */
export function actualRecipe(batch: Batch, dyes: readonly Dye[]): ActualRecipe {
  const additions = additionsOf(batch.events);
  const folded = foldRecord(batch);
  const found = actualDyes(batch, folded.end, additions, [...batch.formulation.dyes, ...dyes]);
  return {
    folded,
    questions: questionsOf(batch, folded),
    dyes: found,
    bath: bathInAll(batch, additions),
    acidPure: acidTotal(additions),
    truly: trueRecipe(batch, folded),
    version: found.length === 0 ? null : versionOf(batch, folded),
  };
}

/** Liquid that went into the pot, over every pass; planned water stands in where nobody ticked it. */
function bathInAll({ card, events }: Batch, additions: readonly PotAddition[]): Figure {
  const poured = liquidMl(additions);
  const missing = untickedWater(card, events);
  const beside = card.passes
    .filter(({ id }) => additions.some(({ pass }) => pass === id))
    .reduce((sum, pass) => sum + besideMeasured(card, pass), 0);
  const parts = [
    `${formatAmount(poured, 'mL')} poured`,
    ...(beside > 0 ? [`${formatAmount(beside, 'mL')} of melted ice or in the wet goods`] : []),
    ...(missing > 0 ? [`${formatAmount(missing, 'mL')} planned water, which was not ticked`] : []),
  ];
  return figure(poured + beside + missing, 'mL', () =>
    parts.length === 1 ? 'everything liquid that was poured' : parts.join(' + '),
  );
}
