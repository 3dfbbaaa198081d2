import { formatAmount } from '../units/formatQuantity';
import { methodFacts } from '../method';
import { liesWords } from '../method/arranged';
import type { PlannedPass } from '../plan/planTypes';
import type { Pass } from '../recipe/recipe';

const WHEN = {
  soak: 'in the soak',
  start: 'at the start',
  warm: 'when warm',
  last: 'late',
  'with powder': 'with the powder',
} as const;

/** A whole pass as one sentence, for when it is folded. */
export function passSentence(pass: Pass, planned: PlannedPass): string {
  const count = pass.dyes.length;
  const dyes =
    count === 0 ? 'no dye' : count === 1 ? (planned.pours[0]?.dyeName ?? '1 dye') : `${count} dyes`;
  const lies = liesWords(pass.arrangement);
  const acid =
    planned.acids.length === 0
      ? 'no acid'
      : `acid ${[...new Set(planned.acids.map((one) => WHEN[one.when]))].join(' and ')}`;
  const heat = planned.heat
    ? `${formatAmount(planned.heat.hold.value, 'min')} at ${formatAmount(planned.heat.temperature.value, '°C')}`
    : methodFacts(pass.method.kind).words.unheated(pass.method);
  return [
    dyes,
    ...(count === 0 ? [] : [formatAmount(planned.dos.value, '%')]),
    methodFacts(pass.method.kind).label,
    ...(lies === null ? [] : [lies]),
    ...(pass.goodsGoIn === 'dry' ? ['goods dry'] : []),
    acid,
    heat,
  ].join(', ');
}
