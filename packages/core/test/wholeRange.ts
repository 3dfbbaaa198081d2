import fc from 'fast-check';
import { SET_METHOD_NAMES } from '../src/heat/setMethods';
import { METHOD_KINDS, METHODS, methodFacts, sectionsOf } from '../src/method';
import type { MethodKind, PassMethod } from '../src/method';
import { ACID_TIMES } from '../src/method/acidTimes';
import {
  BATH_STARTS,
  ICED_ON,
  SECTION_ORDERS,
  STREWN_BY,
  STREWN_ON,
  ZONE_SHAPES,
} from '../src/method/choices';
import { LIES } from '../src/process/terms';
import { recipeSchema, type Recipe } from '../src/recipe/recipe';
import { quantityKind, type QuantityKindName } from '../src/units/quantityKinds';

/** A value anywhere a field lets it be: its ends, what is usual, and now and then what is on the way to it. */
export function anywhere(name: QuantityKindName): fc.Arbitrary<number> {
  const { possible, usual, aboveZero, whole, ladder } = quantityKind(name);
  const low = aboveZero && possible[0] === 0 ? possible[1] * 1e-9 : possible[0];
  const between = (from: number, to: number): fc.Arbitrary<number> =>
    whole
      ? fc.integer({ min: Math.ceil(from), max: Math.floor(to) })
      : fc.double({ min: from, max: to, noNaN: true });
  return fc.oneof(
    { weight: 6, arbitrary: between(Math.max(low, usual[0]), usual[1]) },
    { weight: 3, arbitrary: fc.constantFrom(...ladder) },
    { weight: 1, arbitrary: between(low, possible[1]) },
    { weight: 1, arbitrary: fc.constantFrom(whole ? possible[0] : low, possible[1]) },
  );
}

/** Places on the goods that come to 100 % at most. */
const places = (minLength: number, maxLength: number) =>
  fc.array(anywhere('sharePercent'), { minLength, maxLength }).map((shares) => {
    const all = shares.reduce((sum, share) => sum + share, 0);
    const most = all > 100 ? 100 / all : 1;
    return shares.map((share, i) => ({ id: `s${i}`, name: `Section ${i}`, sharePercent: share * most }));
  });
const painted = (minLength: number) =>
  fc
    .tuple(places(minLength, 4), fc.array(fc.option(anywhere('pickUp')), { minLength: 4, maxLength: 4 }))
    .map(([all, own]) => all.map((place, i) => ({ ...place, pickUpMlPerG: own[i] ?? null })));
const order = fc.constantFrom(...SECTION_ORDERS);
const pan = fc.oneof(
  fc.record({
    shape: fc.constant('rectangular' as const),
    lengthCm: anywhere('length'),
    widthCm: anywhere('length'),
  }),
  fc.record({ shape: fc.constant('round' as const), diameterCm: anywhere('length') }),
);

/** Every way with settings from all over its range. */
export const METHOD_RANGE: { [K in MethodKind]: fc.Arbitrary<Extract<PassMethod, { kind: K }>> } = {
  immersion: fc.record({ kind: fc.constant('immersion' as const), start: fc.constantFrom(...BATH_STARTS) }),
  'low immersion': fc.record({
    kind: fc.constant('low immersion' as const),
    pan,
    wallCm: anywhere('length'),
    depthCm: anywhere('length'),
    liquidMl: fc.option(anywhere('volume'), { freq: 3 }),
    turns: anywhere('steps'),
    sections: places(0, 4).chain((zones) =>
      fc
        .array(fc.constantFrom(...ZONE_SHAPES), { minLength: 4, maxLength: 4 })
        .map((shapes) => zones.map((zone, i) => ({ ...zone, shape: shapes[i] ?? 'band' }))),
    ),
    backPercent: fc.oneof(fc.constant(0), anywhere('backPercent')),
    frontMinutes: anywhere('minutes'),
  }),
  'cool bath': fc.record({
    kind: fc.constant('cool bath' as const),
    minutes: anywhere('minutes'),
    temperatureC: anywhere('roomTemperature'),
  }),
  glaze: fc.record({
    kind: fc.constant('glaze' as const),
    minutes: anywhere('minutes'),
    heatToC: fc.option(anywhere('temperature')),
  }),
  repeated: fc.record({
    kind: fc.constant('repeated' as const),
    repeats: anywhere('steps'),
    minutes: anywhere('minutes'),
    sections: fc
      .array(
        fc.record({
          minutes: anywhere('minutes'),
          lies: fc.record({ kind: fc.constantFrom(...LIES), count: anywhere('steps') }),
        }),
        { maxLength: 4 },
      )
      .map((doses) =>
        doses.map((dose, i) => ({ ...dose, id: `s${i}`, name: `Dose ${i}`, sharePercent: 100 })),
      ),
  }),
  dip: fc.record({
    kind: fc.constant('dip' as const),
    sharePercent: anywhere('sharePercent'),
    steps: anywhere('steps'),
    minutes: anywhere('minutes'),
    lowered: fc.boolean(),
    sections: fc.oneof(places(0, 0), places(2, 2)),
  }),
  painting: fc.record({
    kind: fc.constant('painting' as const),
    layout: fc.constantFrom('across' as const, 'around' as const, 'touches' as const),
    sections: painted(1),
    pickUpMlPerG: anywhere('pickUp'),
    order,
    backPercent: fc.oneof(fc.constant(0), anywhere('backPercent')),
  }),
  sprinkle: fc.record({
    kind: fc.constant('sprinkle' as const),
    citricPerGram: anywhere('citricPerGram'),
    coverPercent: anywhere('sharePercent'),
    settleMinutes: anywhere('minutes'),
    on: fc.constantFrom(...STREWN_ON),
    by: fc.constantFrom(...STREWN_BY),
    bothSides: fc.boolean(),
  }),
  ice: fc.record({
    kind: fc.constant('ice' as const),
    iceGrams: anywhere('iceMass'),
    meltMinutes: anywhere('minutes'),
    on: fc.constantFrom(...ICED_ON),
    acidMinutes: fc.oneof(fc.constant(0), anywhere('minutes')),
  }),
  'painted stack': fc.record({
    kind: fc.constant('painted stack' as const),
    layers: anywhere('steps'),
    drainPercent: anywhere('drainPercent'),
    pickUpMlPerG: anywhere('pickUp'),
    sections: painted(0),
    rounds: anywhere('steps'),
    flip: fc.boolean(),
  }),
  'blank painting': fc.record({
    kind: fc.constant('blank painting' as const),
    sections: painted(1),
    pickUpMlPerG: anywhere('pickUp'),
    order,
    backPercent: fc.oneof(fc.constant(0), anywhere('backPercent')),
  }),
  'own way': fc.record({
    kind: fc.constant('own way' as const),
    steps: fc.array(
      fc.oneof(
        anywhere('sharePercent').map((sharePercent) => ({ do: 'water' as const, sharePercent })),
        fc.constantFrom(null, 'd0', 'd1').map((lineId) => ({ do: 'dye' as const, lineId })),
        fc.integer({ min: 1, max: 3 }).map((nth) => ({ do: 'acid' as const, acidId: `acid${nth}` })),
        anywhere('sharePercent').map((sharePercent) => ({ do: 'goods in' as const, sharePercent })),
        fc.constantFrom(...(['lift', 'turn', 're-tie', 'rinse'] as const)).map((what) => ({ do: what })),
        anywhere('temperature').map((temperatureC) => ({ do: 'heat' as const, temperatureC })),
        fc.record({
          do: fc.constantFrom('hold' as const, 'stand' as const),
          minutes: anywhere('minutes'),
          untilClear: fc.boolean(),
        }),
      ),
      { minLength: 1, maxLength: 12 },
    ),
  }),
};

const method: fc.Arbitrary<PassMethod> = fc
  .constantFrom(...METHOD_KINDS)
  .chain((kind): fc.Arbitrary<PassMethod> => METHOD_RANGE[kind]);
const entry = fc.oneof(
  { weight: 6, arbitrary: anywhere('dos').map((percent) => ({ school: 'depth', percent })) },
  { weight: 1, arbitrary: anywhere('dyeMass').map((grams) => ({ school: 'grams', grams })) },
  { weight: 1, arbitrary: anywhere('volume').map((milliliters) => ({ school: 'stock', milliliters })) },
  { weight: 1, arbitrary: anywhere('teaspoons').map((teaspoons) => ({ school: 'stock spoons', teaspoons })) },
  {
    weight: 1,
    arbitrary: anywhere('teaspoons').map((teaspoons) => ({ school: 'powder spoons', teaspoons })),
  },
  { weight: 1, arbitrary: anywhere('parts').map((parts) => ({ school: 'parts', parts })) },
  { weight: 1, arbitrary: anywhere('inkPercent').map((inkPercent) => ({ school: 'print', inkPercent })) },
);
const acid = fc
  .record({
    material: fc.constantFrom('vinegar', 'citric', 'citric solution'),
    basis: fc.constantFrom('gPerL', 'percentOfGoods', 'amount'),
    strengthPercent: anywhere('acidStrength'),
    perLiter: anywhere('acidPerLiter'),
    percent: anywhere('acidPercent'),
    ml: anywhere('acidVolume'),
    g: anywhere('acidMass'),
    when: fc.constantFrom(...ACID_TIMES),
  })
  .map(({ material, basis, strengthPercent, perLiter, percent, ml, g, when }) => ({
    material,
    basis,
    strengthPercent,
    when,
    value:
      basis === 'gPerL' ? perLiter : basis === 'percentOfGoods' ? percent : material === 'citric' ? g : ml,
  }));

const isDry = ({ kind }: PassMethod): boolean => methodFacts(kind).dry;

const pass = fc.record({
  method,
  entries: fc.array(
    fc.record({ entry, red: fc.boolean(), jar: fc.boolean(), section: fc.integer({ min: 0, max: 3 }) }),
    {
      minLength: 1,
      maxLength: 4,
    },
  ),
  goodsGoIn: fc.constantFrom('wet', 'dry'),
  arrangement: fc.record({ kind: fc.constantFrom(...LIES), count: anywhere('steps') }),
  water: fc.oneof(
    anywhere('liquorRatio').map((value) => ({ basis: 'ratio', value })),
    anywhere('volume').map((value) => ({ basis: 'volume', value })),
    fc.constant({ basis: 'kept' }),
  ),
  acids: fc.array(acid, { maxLength: 3 }),
  topUpMl: fc.oneof(fc.constant(0), anywhere('topUp')),
  topUpWithAcid: fc.boolean(),
  potId: fc.option(fc.constant('pan'), { freq: 2 }),
  takesOverMl: fc.oneof(fc.constant(0), anywhere('takenOver')),
  partsDepthPercent: anywhere('dos'),
  printDepthPercent: anywhere('dos'),
  heat: fc.option(
    fc.record({
      rampCPerMin: anywhere('rampRate'),
      temperatureC: anywhere('temperature'),
      minutes: anywhere('minutes'),
    }),
  ),
});

/**
 * A recipe from the whole range of what can be decided, on the example shelf: every way, school, acid, time and vessel
 * of water, one to four lines of goods, one to four passes.
 */
export const anyRecipe: fc.Arbitrary<Recipe> = fc
  .record({
    goods: fc.array(
      fc.record({
        baseId: fc.constantFrom('wool', 'sock', 'silk', 'blend'),
        count: anywhere('count'),
        gramsEach: anywhere('fiberMass'),
        weighedGrams: fc.option(anywhere('fiberMass'), { freq: 4 }),
        catchUp: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    wettingMinutes: anywhere('minutes'),
    passes: fc.array(pass, { minLength: 1, maxLength: 4 }),
    set: fc.record({
      method: fc.constantFrom(...SET_METHOD_NAMES),
      temperatureC: anywhere('temperature'),
      minutes: anywhere('minutes'),
      coolMinutes: anywhere('minutes'),
      rampCPerMin: anywhere('rampRate'),
      bundleCm: anywhere('length'),
      wrap: fc.constantFrom('none', 'vented', 'sealed'),
    }),
  })
  .map(({ goods, passes, ...rest }) =>
    recipeSchema.parse({
      ...rest,
      goods: goods.map((line, i) => ({ ...line, id: `g${i}`, catchUp: line.catchUp && i > 0 })),
      passes: passes.map(({ entries, water, ...one }, p) => ({
        ...one,
        id: `p${p}`,
        water: water.basis === 'kept' && p === 0 ? { basis: 'ratio', value: 30 } : water,
        dyes: entries.map(({ entry: said, red, jar, section }, d) => ({
          id: `d${d}`,
          dyeId: red ? 'red' : 'blue',
          // Powder goes on dry: there is no stock to say it in.
          entry:
            isDry(one.method) && said.school.startsWith('stock') ? { school: 'depth', percent: 0.5 } : said,
          // Stock by measure needs a jar to be of some strength.
          stockId: jar || said.school.startsWith('stock') ? (red ? 'red-1' : 'blue-1') : null,
          sectionId: sectionsOf(one.method)[section]?.id ?? null,
        })),
      })),
    }),
  );

/** What each way had to decide when 0.1.0 was made; all else is as it was then. */
const THEN: { [K in MethodKind]: readonly (keyof Extract<PassMethod, { kind: K }>)[] } = {
  immersion: [],
  'low immersion': ['pan', 'wallCm', 'depthCm', 'turns'],
  'cool bath': ['minutes', 'temperatureC'],
  glaze: ['minutes'],
  repeated: ['repeats', 'minutes'],
  dip: ['sharePercent', 'steps', 'minutes'],
  painting: ['layout', 'sections', 'pickUpMlPerG'],
  sprinkle: ['citricPerGram', 'coverPercent', 'settleMinutes'],
  ice: ['iceGrams', 'meltMinutes'],
  'painted stack': ['layers', 'drainPercent', 'pickUpMlPerG'],
  'blank painting': ['sections', 'pickUpMlPerG'],
  'own way': ['steps'],
};

function methodThen(method: PassMethod): PassMethod {
  const kept = Object.fromEntries(
    Object.entries(method).filter(([key]) => (THEN[method.kind] as readonly string[]).includes(key)),
  );
  const then = { ...METHODS[method.kind].usual, ...kept } as PassMethod;
  if (then.kind === 'own way')
    return { ...then, steps: then.steps.map((step) => (step.do === 'rinse' ? { do: 'turn' } : step)) };
  return then.kind === 'painting' || then.kind === 'blank painting'
    ? { ...then, sections: then.sections.map((section) => ({ ...section, pickUpMlPerG: null })) }
    : then;
}

/** Any recipe that could be decided in 0.1.0. */
export const anyRecipeThen: fc.Arbitrary<Recipe> = anyRecipe.map((recipe) => ({
  ...recipe,
  passes: recipe.passes.map((one) => {
    const method = methodThen(one.method);
    return {
      ...one,
      method,
      topUpWithAcid: true,
      potId: null,
      takesOverMl: 0,
      dyes: one.dyes.map((line) => ({
        ...line,
        sectionId: sectionsOf(method).some(({ id }) => id === line.sectionId) ? line.sectionId : null,
      })),
    };
  }),
}));
