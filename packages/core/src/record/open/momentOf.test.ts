import { formulation } from '../../../test/examples';
import { begunBatch, event, withEvents } from '../../../test/records';
import { momentOf } from './momentOf';

const batch = withEvents(begunBatch(formulation()), [
  event({ kind: 'noted', text: 'x', at: '2026-03-01T11:00:00Z' }),
  event({ kind: 'noted', text: 'arrived late', at: '2026-03-01T10:00:00Z' }),
]);

test('now, but after everything of the batch that is known, in whatever order that arrived', () => {
  expect(momentOf(batch, '2026-03-01T11:00:05.000Z')).toBe('2026-03-01T11:00:05.000Z');
  expect(momentOf(batch, '2026-03-01T11:00:00.000Z')).toBe('2026-03-01T11:00:00.001Z');
  // A clock that was set back an hour.
  expect(momentOf(batch, '2026-03-01T10:00:05.000Z')).toBe('2026-03-01T11:00:00.001Z');
  expect(momentOf({ ...batch, events: [] }, '2026-03-01T09:00:00.000Z')).toBe('2026-03-01T09:00:00.000Z');
});
