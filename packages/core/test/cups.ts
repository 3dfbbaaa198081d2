import {
  addToCup,
  beginCup,
  cupFor,
  cupNow,
  eventSchema,
  spoonMl,
  type Cup,
  type CupRecord,
  type Dye,
  type Event,
  type NewEvent,
  type Spoon,
  type Stock,
} from '../src';
import { SPOONS } from '../src/units/inSpoons';
import { goodsLine, WOOL } from './examples';
import { AT } from './records';

let counted = 0;
/** An event at cup c1 in full. */
export function cupEvent(of: NewEvent, at = counted): Event {
  counted += 1;
  return eventSchema.parse({
    version: 1,
    id: `k${counted}`,
    of: { kind: 'vessel', id: 'c1' },
    at: new Date(Date.parse(AT) + at * 60_000).toISOString(),
    clockAt: AT,
    device: 'test',
    count: counted,
    person: null,
    ...of,
  });
}

/** A cup with more in its record. */
export const withMore = (record: CupRecord, ...more: (NewEvent | Event)[]): CupRecord => ({
  ...record,
  events: [...record.events, ...more.map((one) => ('of' in one ? one : cupEvent(one)))],
});

/** A cup of 500 mL, for 100 g of wool. */
export const emptyCup = (capacityMl: number | null = 500): CupRecord =>
  withMore(
    { id: 'c1', events: [] },
    beginCup('Weathercock 3', capacityMl),
    cupFor(goodsLine({ id: 'g', baseId: 'wool', count: 1, gramsEach: 100 }), WOOL, {
      alkalinityMgPerL: 0,
      countFiberUptake: false,
    }),
  );

/** So many of a spoon of stock. */
export function spoonOf(cup: Cup, spoon: Spoon, jar: Stock, dye: Dye): NewEvent {
  const { of, size } = SPOONS[spoon];
  return addToCup(cup, {
    material: {
      kind: 'dye',
      dyeId: dye.id,
      stockId: jar.id,
      strengthPercent: jar.strengthPercent,
      lotStrength: dye.lotStrength,
    },
    unit: 'mL',
    amount: size * spoonMl(of, 'US'),
    written: /^\d/.test(spoon) ? spoon : `1 ${spoon}`,
  });
}

/** Spoon after spoon, each of a jar. */
export const mixed = (record: CupRecord, list: readonly [Spoon, Stock, Dye][]): CupRecord =>
  list.reduce((now, [spoon, jar, dye]) => withMore(now, spoonOf(cupNow(now), spoon, jar, dye)), record);
