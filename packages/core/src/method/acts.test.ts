import { depth, SHELF } from '../../test/examples';
import { kindsOf } from '../../test/plans';
import { METHOD_KINDS, methodFacts, sectionsOf, type MethodKind } from '.';
import { planFormulation } from '../plan/plan';
import { formulate } from '../recipe/materials';
import { recipeSchema } from '../recipe/recipe';

/** Two skeins, one dye line for each place, vinegar at the start, set in steam. */
function kindsOfWay(kind: MethodKind): string {
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
  return kindsOf(planFormulation(formulate(kind, recipe, SHELF))).join(' ');
}

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
  const { usual, schema } = methodFacts(kind);
  expect(schema.parse(usual)).toEqual(usual);
  expect(usual.kind).toBe(kind);
});
