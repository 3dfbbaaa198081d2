import { emptyCup, mixed } from '../../../test/cups';
import { BLUE, BLUE_1, formulation } from '../../../test/examples';
import { begunBatch, event, tick, withEvents } from '../../../test/records';
import { METHODS } from '../../method';
import { depthAt, depths } from '../../process/depths';
import { foldRecord } from '../foldRecord';
import { cupNow } from './cup';
import { cupPlaces } from './cupPlaces';
import { pourCup } from './pourCup';

const US = { system: 'US', spoons: ['tbsp', 'tsp'] } as const;
const TBSP = 14.786764;

/** A skein painted in the usual sections, a dye in each. */
function painted() {
  const [first] = formulation().recipe.passes;
  const { sections } = METHODS.painting.usual;
  const dyes = sections.map(({ id }, i) => ({
    id: `d${i}`,
    dyeId: i === 0 ? 'blue' : 'red',
    entry: { school: 'depth' as const, percent: 1 },
    stockId: i === 0 ? 'blue-1' : 'red-1',
    sectionId: id,
  }));
  const batch = begunBatch(formulation({ passes: [{ ...first!, method: METHODS.painting.usual, dyes }] }));
  return { batch, sections };
}

test('a painted pass has its sections as places, in their order; a bath has none', () => {
  const { batch, sections } = painted();
  expect(cupPlaces(batch, 'p1').map(({ name }) => name)).toEqual(sections.map(({ name }) => name));
  expect(cupPlaces(begunBatch(formulation()), 'p1')).toEqual([]);
  expect(cupPlaces(batch, null)).toEqual([]);
});

test('a cup poured onto a section dyes that section and no other', () => {
  const { batch, sections } = painted();
  const [place] = cupPlaces(batch, 'p1');
  const cup = cupNow(mixed(emptyCup(), [['tbsp', BLUE_1, BLUE]]));
  const pour = pourCup(cup, 1, { batch, pass: 'p1', place: place! }, US);
  expect(pour.cup).toMatchObject({ into: `Vesper bell, 26-001: ${sections[0]!.name}` });
  const laid = batch.card.acts.find(({ act }) => act.kind === 'place' && act.purpose === null)!;
  const dyed = withEvents(batch, [tick(batch, laid.id), ...pour.batch.map((one) => event(one))]);
  const { now, leftOut } = foldRecord(dyed);
  expect(leftOut).toEqual([]);
  // A tablespoon of 1 % on 200 g; half of them where the first section is half of the ring.
  expect(depths(now).get('blue')).toBeCloseTo(TBSP / 200, 6);
  const share = sections[0]!.sharePercent / 100;
  const { axis, from, to } = place!.end.place;
  expect(to - from).toBeCloseTo(share, 9);
  const [piece = ''] = now.pieces.keys();
  expect(depthAt(now, piece, { [axis]: (from + to) / 2 })).toBeCloseTo(TBSP / 200 / share, 6);
  expect(depthAt(now, piece, { [axis]: to + (1 - to) / 2 })).toBe(0);
});
