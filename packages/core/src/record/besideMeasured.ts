import { methodFacts } from '../method';
import { amountOf } from '../process/amountOf';
import type { Card, CardPass } from './card';
import { cardLines } from './cardLines';

/** Purposes of what is measured out but does not come to the bath of a pass. */
const BESIDE = ['soak', 'dilution', 'top up', 'melt'];

/**
 * Liquid of a pass that nobody measures out, mL: what wet goods bring to a pan whose height decides its bath, and ice
 * that melts; for other ways what goes on into them of the bath before. None on older cards, whose bath was all measured.
 */
export function besideMeasured(card: Card, { id, kind, bathMl, keepsBath, takesOverMl }: CardPass): number {
  const { liquid } = methodFacts(kind);
  if (keepsBath) return 0;
  if (liquid !== 'pan' && liquid !== 'ice') return takesOverMl;
  // Older cards have no water for the soak, and their acid in it counted as in the bath.
  const soaks = card.acts.some(({ act }) => act.kind === 'run' && act.purpose === 'soak');
  const measured = cardLines(card).reduce((sum, { act }) => {
    const much = amountOf(act);
    const beside = act.purpose !== null && BESIDE.includes(act.purpose) && (soaks || act.purpose !== 'soak');
    return act.pass === id && much?.unit === 'mL' && !beside ? sum + much.amount : sum;
  }, 0);
  return Math.max(0, bathMl - measured);
}
