import fc from 'fast-check';
import { offsetAfter, type ClockOffset } from './clockOffset';

/** Contacts of a device whose clock is so far behind the studio's. */
const contact = (offsetMs: number, sentAtMs: number, thereMs: number, backMs: number) => ({
  sentAtMs,
  receivedAtMs: sentAtMs + thereMs + backMs,
  studioAtMs: sentAtMs + offsetMs + thereMs,
});

test('by hand: asked at 1000, heard at 1100, the studio said 5060', () => {
  expect(offsetAfter(null, { sentAtMs: 1000, receivedAtMs: 1100, studioAtMs: 5060 })).toEqual({
    offsetMs: 4010,
    withinMs: 50,
  });
});

test('the true offset is never further off than is said, and contacts only make it surer', () => {
  const times = fc.array(fc.tuple(fc.nat(4000), fc.nat(4000)), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(fc.integer({ min: -1e7, max: 1e7 }), times, (true_, trips) => {
      let known: ClockOffset | null = null;
      for (const [i, [there, back]] of trips.entries()) {
        const before: number = known?.withinMs ?? Infinity;
        known = offsetAfter(known, contact(true_, i * 10_000, there, back));
        expect(known.withinMs).toBeLessThanOrEqual(before);
        expect(Math.abs(known.offsetMs - true_)).toBeLessThanOrEqual(known.withinMs + 1e-6);
      }
    }),
    { seed: 20_261_126 },
  );
});

test('a clock that was set back an hour is noticed at the next contact', () => {
  const before = offsetAfter(null, contact(20, 1_000_000, 30, 30));
  const after = offsetAfter(before, contact(3_600_020, 1_010_000, 900, 900));
  expect(Math.abs(after.offsetMs - 3_600_020)).toBeLessThanOrEqual(900);
});
