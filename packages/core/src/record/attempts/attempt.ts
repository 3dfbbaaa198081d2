import type { Figure } from '../../figure/figure';
import { figure } from '../../figure/figure';
import { formatAmount } from '../../units/formatQuantity';
import type { Dye } from '../../shelf/dye';
import type { ActualDye } from '../actualDyes';
import { actualRecipe, type ActualRecipe } from '../actualRecipe';
import type { Batch } from '../batch';
import { weightOfGoods } from '../cardGoods';
import { lastVerdict } from '../lastSaid';
import { actsDone, standingEvents } from '../standing';

/** A batch as an attempt at a color that is looked for. */
export interface Attempt {
  batch: Batch;
  /** Which attempt it is, from 1. */
  number: number;
  /** Goods that count, dry. */
  goods: Figure;
  dyes: ActualDye[];
  /** What it was dyed in over every pass, mL. */
  bath: Figure;
  /** Pure acid per liter of that; null where none went in. */
  acidPerL: Figure | null;
  /** How the bath looked last, and the dry goods; null where nobody said. */
  bathLook: string | null;
  dryLook: string | null;
  /** The verdict in the dyer’s words; null while it is wet. */
  verdict: { outcome: string; words: string } | null;
  truly: ActualRecipe;
}

/** A batch as an attempt. @param number from 1 @param dyes on the shelf */
export function attemptOf(batch: Batch, number: number, dyes: readonly Dye[]): Attempt {
  const truly = actualRecipe(batch, dyes);
  const { bath, acidPure } = truly;
  const closed = lastVerdict(batch.events);
  return {
    batch,
    number,
    goods: weightOfGoods(batch.card),
    dyes: truly.dyes,
    bath,
    acidPerL:
      acidPure && bath.value > 0
        ? figure(
            (acidPure.grams.value * 1000) / bath.value,
            'g/L',
            () =>
              `${formatAmount(acidPure.grams.value, 'g')} of pure acid in ${formatAmount(bath.value, 'mL')}`,
            acidPure.grams.sureness,
          )
        : null,
    bathLook: lastLook(batch, 'bath'),
    dryLook: lastLook(batch, 'dry'),
    verdict: closed && { outcome: closed.outcome, words: closed.note },
    truly,
  };
}

/** What was said of a look at something, the last time. */
const lastLook = ({ events }: Batch, of: 'bath' | 'dry'): string | null =>
  actsDone(events)
    .flatMap(({ act }) => (act.kind === 'look' && act.of === of ? [act.answer] : []))
    .at(-1) ?? null;

/** The color that a batch is an attempt at; null for none. */
export const soughtBy = ({ events }: Pick<Batch, 'events'>): string | null =>
  standingEvents(events).standing.findLast((event) => event.kind === 'sought')?.color ?? null;
