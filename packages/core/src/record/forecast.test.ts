import { formulation } from '../../test/examples';
import { AT, begin, begunBatch, tick, withEvents } from '../../test/records';
import { cardLines } from './cardLines';
import { forecast } from './forecast';
import { recordState } from './recordState';

const NOW = Date.parse(AT);
const minutesFrom = (iso: string | undefined): number => (Date.parse(iso ?? '') - NOW) / 60_000;

test('what comes has its turn once all before it is over: waits as planned, two minutes for hands', () => {
  const batch = begunBatch(formulation());
  const state = recordState(batch, [], []);
  const { at, done } = forecast(state, NOW);
  let sum = 0;
  for (const { id, act } of cardLines(batch.card)) {
    expect(minutesFrom(at.get(id))).toBeCloseTo(sum, 9);
    sum += 'minutes' in act && act.minutes !== null ? act.minutes : 2;
  }
  expect(minutesFrom(done ?? undefined)).toBeCloseTo(sum, 9);
});

test('a wait that runs is over when it is due, one that is late now', () => {
  const batch = begunBatch(formulation());
  const soaking = withEvents(batch, [begin(batch, 'p1.stand.soak')]);
  const at = (minutes: number) =>
    forecast(recordState(soaking, soaking.events, []), NOW + minutes * 60_000).at.get('p1.run.bath');
  // 30 min of soak begun now.
  expect(minutesFrom(at(10))).toBeCloseTo(30, 9);
  expect(minutesFrom(at(45))).toBeCloseTo(45, 9);
});

test('nothing is to come once all is done', () => {
  const batch = begunBatch(formulation());
  const all = withEvents(
    batch,
    cardLines(batch.card).map(({ id }) => tick(batch, id)),
  );
  expect(forecast(recordState(all, all.events, []), NOW)).toMatchObject({ done: null });
});
