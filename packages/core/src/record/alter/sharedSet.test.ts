import { goodsLine, heatSet, SHELF } from '../../../test/examples';
import { pass, said, then, threePasses, ticked, title } from '../../../test/atThePot';
import { lineOn, tick } from '../../../test/records';
import { refusal } from '../../../test/refusal';
import { batchSchema, type Batch } from '../batch';
import { cardLines } from '../cardLines';
import { foldRecord } from '../foldRecord';
import { departures } from '../../words/departures';
import { gaveTo } from '../open/wentInto';
import { bundlesIn, canShareSet, holdToCome, shareSet } from './sharedSet';

const steamed = (id: string, changes: object = {}): Batch => ({
  ...threePasses({
    passes: [pass('p1')],
    set: heatSet({ method: 'steam', temperatureC: 98, minutes: 25, coolMinutes: 60 }),
    goods: [goodsLine({ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 })],
    ...changes,
  }),
  id,
  code: `26-${id}`,
  name: `Batch ${id}`,
});
/** Everything of a card done up to a line. */
const upTo = (batch: Batch, last: string): Batch => {
  const ids = cardLines(batch.card).map(({ id }) => id);
  return ticked(batch, ...ids.slice(0, ids.indexOf(last)));
};

const host = upTo(steamed('001'), 'heat');
const guest = upTo(
  steamed('002', { goods: [goodsLine({ id: 'g1', baseId: 'sock', count: 3, gramsEach: 50 })] }),
  'heat',
);
const shared = shareSet(host, guest, 4, 'x');

test('goods of another batch are laid in beside them, and counted as a bundle; the wait stays one', () => {
  const now = then(host, ...shared.host);
  expect(said(now)).toBe('Set together with 26-002 Batch 002, which is a guest here');
  expect(title(now, 'place.goods.x')).toBe('Lay 3 × Ratchet sock in beside them, not touching');
  expect([bundlesIn(host), bundlesIn(now)]).toEqual([1, 2]);
  expect(cardLines(now.card).filter(({ act }) => act.kind === 'hold' && act.purpose === 'set')).toHaveLength(
    1,
  );
  // Done, the guests lie in the steamer, and took none of the dye.
  const done = ticked(now, 'heat', 'place.goods.x', 'hold.set');
  const { now: state, leftOut } = foldRecord(done);
  expect(leftOut).toEqual([]);
  expect(state.pieces.get('x-1')).toMatchObject({ grams: 150, catchUp: true });
  expect(gaveTo('002', done)).toEqual([
    { id: '001', code: '26-001', name: 'Batch 001', gave: { what: 'guests', names: ['Ratchet sock'] } },
  ]);
});

test('the guest leaves its own set to the other, and goes on where that is over', () => {
  const now = then(guest, ...shared.guest);
  expect(said(now)).toBe('Set together with 26-001 Batch 001, in whose record it is waited for');
  const left = cardLines(now.card).map(({ id }) => id);
  expect(left).not.toContain('hold.set');
  expect(left.slice(left.indexOf('x.unwrap'))).toEqual(['x.unwrap', 'rinse', 'dry']);
  expect(title(now, 'x.unwrap')).toBe('Take the goods out of the shared set, once it is over and has cooled');
  // Told to its end, the guest has the depth that it had, and nothing is asked that cannot be.
  const end = ticked(now, 'x.unwrap', 'rinse', 'dry');
  expect(foldRecord(end).leftOut).toEqual([]);
  expect(batchSchema.safeParse({ ...end, events: [] }).success).toBe(true);
  expect(departures(end, SHELF.dyes).filter((line) => /in the pot|Ratchet/.test(line))).toEqual([]);
});

test('what cannot be shared says why, and what to do', () => {
  const simmered = upTo(
    steamed('003', { set: heatSet({ method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 60 }) }),
    'heat',
  );
  expect([canShareSet(simmered), canShareSet(host)]).toEqual([false, true]);
  expect(refusal(() => shareSet(simmered, guest, null, 'x'))).toBe(
    'Batch 003 is set in its own bath: goods laid in there would be dyed. Set it in the steamer or the oven first.',
  );
  const over = ticked(guest, 'heat', 'hold.set');
  expect(holdToCome(over)).toBeNull();
  expect(refusal(() => shareSet(host, over, null, 'x'))).toBe('Batch 002 is set already.');
  expect(refusal(() => shareSet(over, host, null, 'x'))).toBe(
    'Batch 002 is set already. Let another batch be the one that the set is waited for.',
  );
  expect(refusal(() => shareSet(host, guest, 1, 'x'))).toBe(
    'There is room for 1 bundle, and 1 lie in it. Set Batch 002 after them.',
  );
  expect(lineOn(host, 'hold.set').act.kind).toBe('hold');
  expect(tick(host, 'hold.set').kind).toBe('act');
});
