import type { Act, Batch } from '../src';
import { formulation } from './examples';
import { also, asPlanned, begunBatch, event, lineOn, withEvents } from './records';

const HEAT = { temperatureC: 85, minutes: 20, rampCPerMin: 1 };
/** Four lines of goods, two acid times, a skein thrown in when hot, a top-up, a hold that nobody ticked. */
export function fourLines(): Batch {
  const [pass] = formulation().recipe.passes;
  if (!pass) throw new Error('no pass');
  const line = (id: string, baseId: string, count: number) => ({ id, baseId, count, gramsEach: 50 });
  const batch = begunBatch(
    formulation({
      goods: [line('g1', 'wool', 1), line('g2', 'sock', 2), line('g3', 'silk', 1), line('g4', 'wool', 2)],
      passes: [
        {
          ...pass,
          heat: HEAT,
          acids: [
            { material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 120, when: 'start' },
            { material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 120, when: 'last' },
          ],
        },
      ],
    }),
  );
  const entered = asPlanned(batch);
  const at = (of: string): number => entered.findIndex((one) => one.kind === 'act' && one.planned === of);
  const unplanned = (act: Act) => event({ kind: 'act', planned: null, act, written: '', note: '' });
  const brought = lineOn(batch, 'bring.goods.g1').act;
  if (brought.kind !== 'bring') throw new Error('no goods');
  const common = { pass: 'p1', line: null, purpose: null } as const;
  const skein: Act = { ...brought, line: 'late' };
  const inPot: Act = {
    kind: 'place',
    ...common,
    goods: ['late'],
    vessel: 'pot',
    reach: null,
    lies: null,
    wet: true,
  };
  const hold = at('p1.hold');
  return withEvents(batch, [
    ...entered.slice(0, hold),
    unplanned(skein),
    unplanned(inPot),
    also(batch, { material: { kind: 'water' }, amount: 500, unit: 'mL' }),
    // The hold itself is not ticked.
    ...entered.slice(hold + 1),
  ]);
}
