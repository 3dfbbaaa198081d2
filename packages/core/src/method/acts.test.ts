import { passMethodSchema } from './settings';
import { depth, SHELF } from '../../test/examples';
import { kindsOf } from '../../test/plans';
import { METHOD_KINDS, methodFacts, sectionsOf, type MethodKind } from '.';
import { planFormulation } from '../plan/plan';
import type { Plan } from '../plan/planTypes';
import { formulate } from '../recipe/materials';
import { recipeSchema } from '../recipe/recipe';

/** Two skeins, one dye line for each place, vinegar at the start, set in steam. */
function planOfWay(kind: MethodKind): Plan {
  const { usual, dry, hot } = methodFacts(kind);
  const places = sectionsOf(usual).map(({ id }) => id);
  const recipe = recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 }],
    wettingMinutes: 30,
    passes: [
      {
        id: 'p1',
        method: usual,
        dyes: (places.length === 0 ? [null] : places).map((place, i) =>
          depth(`d${i}`, 'blue', 0.5, dry ? null : 'blue-1', place),
        ),
        water: { basis: 'ratio', value: 30 },
        acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1 }],
        heat: hot ? { temperatureC: 82, minutes: 20 } : null,
      },
    ],
    set: { method: 'steam', temperatureC: 98, minutes: 25, coolMinutes: 60 },
  });
  return planFormulation(formulate(kind, recipe, SHELF));
}

const kindsOfWay = (kind: MethodKind): string => kindsOf(planOfWay(kind)).join(' ');

const SOAK = 'run place stand lift';
const SET = 'lift handle place heat hold cool rinse wring dry';
/** Painted goods are wrapped as they lie: nobody lifts and squeezes them. */
const SET_AS_THEY_LIE = 'handle place heat hold cool rinse wring dry';
const DOSE = 'put place hold';

/** Every kind of act of every way in its order, written down by hand from how it is done. */
const KINDS: Record<MethodKind, string> = {
  // Water, dye, vinegar, the goods; heat, hold until clear.
  immersion: `${SOAK} run put put place heat hold ${SET}`,
  // The goods first, water around them, vinegar, color in places; heat, turn, hold.
  'low immersion': `${SOAK} place run put put heat handle hold ${SET}`,
  'cool bath': `${SOAK} run put put place stand ${SET}`,
  glaze: `${SOAK} run put put place stand ${SET}`,
  // Water, vinegar, heat; four doses, lifted and tied again between them.
  repeated: `${SOAK} run put heat ${DOSE} lift handle ${DOSE} lift handle ${DOSE} lift handle ${DOSE} ${SET}`,
  // Hung in to 60 %, heated, and lifted by one step after each of four holds but the last.
  dip: `${SOAK} run put put place heat hold place hold place hold place hold ${SET}`,
  // Laid out, water and vinegar for the paint; for each section a cup, filled up and emptied onto it.
  painting: `${SOAK} place run put put move move put move move ${SET_AS_THEY_LIE}`,
  // Water, vinegar, goods, citric and powder, settled; heat, hold.
  sprinkle: `${SOAK} run put place put put stand heat hold ${SET}`,
  // Onto the rack, vinegar over them, ice, powder on the ice, and it melts: no water is run.
  ice: `${SOAK} place put put put stand ${SET}`,
  // Laid in; water, vinegar and dye to one cup; two layers painted and drained, the third painted.
  'painted stack': `${SOAK} place run put put move move move move move move ${SET_AS_THEY_LIE}`,
  'blank painting': `${SOAK} place run put put move move put move move put move move ${SET_AS_THEY_LIE}`,
  // As its steps say: water, dye, goods, vinegar, heat, hold.
  'own way': `${SOAK} run put place put heat hold ${SET}`,
};

test.each(METHOD_KINDS)('the acts of %s', (kind) => {
  expect(kindsOfWay(kind)).toBe(KINDS[kind]);
});

test.each(METHOD_KINDS)('what is usual for %s is what its own settings take', (kind) => {
  const { usual } = methodFacts(kind);
  expect(passMethodSchema.parse(usual)).toEqual(usual);
  expect(usual.kind).toBe(kind);
});

/** Minutes of the dyer's hands between soak and set, line by line (common practice, no source). */
const HANDS: Record<MethodKind, string> = {
  // Run 3, pour 2 each, lift in 5, light the ring 3, come back to a hold 3.
  immersion: 'run 3 put 2 put 2 place 5 heat 3 hold 3',
  // Turning the goods in the pan is two minutes more of its hold.
  'low immersion': 'place 5 run 3 put 2 put 2 heat 3 hold 5',
  'cool bath': 'run 3 put 2 put 2 place 5 stand 1',
  glaze: 'run 3 put 2 put 2 place 5 stand 1',
  // Each dose 2, in again 2, a look 2; tying again 6.
  repeated:
    'run 3 put 2 heat 3 put 2 place 2 hold 2 handle 6 put 2 place 2 hold 2 handle 6 put 2 place 2 hold 2 handle 6 put 2 place 2 hold 2',
  dip: 'run 3 put 2 put 2 place 5 heat 3 hold 2 hold 2 hold 2 hold 2',
  // Painting a section 8.
  painting: 'place 3 run 3 put 2 put 2 move 8 put 2 move 8',
  // Powder is weighed: 5.
  sprinkle: 'run 3 put 2 place 5 put 2 put 5 stand 1 heat 3 hold 3',
  ice: 'place 5 put 2 put 5 put 5 stand 1',
  // Three layers, 5 each.
  'painted stack': 'place 3 run 3 put 2 put 2 move 15',
  'blank painting': 'place 3 run 3 put 2 put 2 move 8 put 2 move 8 put 2 move 8',
  'own way': 'run 3 put 2 place 5 put 2 heat 3 hold 2',
};

test.each(METHOD_KINDS)('the hands that %s takes', (kind) => {
  const lines = planOfWay(kind).lines.filter(({ hands, act }) => hands > 0 && act.pass === 'p1');
  expect(
    lines
      .filter(({ id }) => id !== 'p1.stand.soak')
      .map(({ act, hands }) => `${act.kind} ${hands}`)
      .join(' '),
  ).toBe(HANDS[kind]);
});

/** What stands there when a way is chosen (common practice, no source). */
const USUAL: Partial<Record<MethodKind, object>> = {
  'cool bath': { minutes: 12 * 60, temperatureC: 20 },
  glaze: { minutes: 30 },
  repeated: { repeats: 4, minutes: 8 },
  dip: { sharePercent: 60, steps: 4, minutes: 20 },
  sprinkle: { citricPerGram: 10, coverPercent: 30, settleMinutes: 5 },
  ice: { iceGrams: 1500, meltMinutes: 8 * 60 },
  'painted stack': { layers: 3, drainPercent: 20, pickUpMlPerG: 1.2 },
  // A pan of half a meter by thirty, its wall a hand high, filled four fingers deep.
  'low immersion': { pan: { shape: 'rectangular', lengthCm: 50, widthCm: 30 }, wallCm: 10, depthCm: 4 },
};

test.each(Object.entries(USUAL))('what is usual for %s', (kind, usual) =>
  expect(methodFacts(kind as MethodKind).usual).toMatchObject(usual),
);

test('sections of a ring are halves, of a blank thirds', () => {
  const shares = (kind: MethodKind): number[] =>
    sectionsOf(methodFacts(kind).usual).map(({ sharePercent }) => sharePercent);
  expect([shares('painting'), shares('blank painting')]).toEqual([
    [50, 50],
    [34, 33, 33],
  ]);
});
