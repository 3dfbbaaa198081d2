import { BENCH_TOOLS, depth, PAN, POT, SHELF } from '../../test/examples';
import { aloud, CITRIC, HOT, usual } from '../../test/readAloud';
import { asPlanned, begunBatch, withEvents } from '../../test/records';
import type { PassMethod } from '../method';
import { depths } from '../process/depths';
import { dyeAgain } from '../record/again/dyeAgain';
import { asItWas } from '../record/again/goodsAgain';
import { cardLines } from '../record/cardLines';
import { vesselNames, vesselOfCard } from '../record/cardGoods';
import { foldRecord } from '../record/foldRecord';
import { passEarlier } from '../record/alter/order';
import { leaveOutPass } from '../record/alter/leaveOut';
import { trueBathMl } from '../record/trueBath';
import { versionOf } from '../record/trueRecipe/versionOf';
import { formulate, potsOf } from '../recipe/materials';
import { anotherVessel, passIn } from '../recipe/passIn';
import { recipeSchema, type Formulation, type Pass, type Recipe } from '../recipe/recipe';
import { potSchema, type Pot } from '../shelf/pot';
import { vesselChoices } from '../shelf/vesselChoices';
import { noticeWords } from '../words/noticeWords';
import { comparePlans } from './compare';
import { vesselClashes } from './needs';
import { planTogether } from './together';
import { planFormulation } from './plan';
import { planInFirstFree } from './planOrWhy';
import { potNeedsMl } from './potNeeds';
import { resizeRecipe, type Resize } from './resize';

/** A small fast pot, for a pass of its own. */
const SMALL = potSchema.parse({ id: 'small', name: 'Little pot', capacityMl: 5000, powerWatts: 900 });
const shelf = { ...SHELF, pots: [POT, PAN, SMALL], tools: BENCH_TOOLS };

/** 300 g of wool: a glaze of 32 US cups with a cup of vinegar in it, and what comes after it (common practice, no source). */
const recipeOf = (second: object, more: object = {}): Recipe =>
  recipeSchema.parse({
    goods: [{ id: 'g1', baseId: 'wool', count: 3, gramsEach: 100 }],
    wettingMinutes: 30,
    potId: 'pot',
    passes: [
      {
        id: 'p1',
        method: usual('glaze'),
        dyes: [depth('d1', 'blue', 0.8 / 3, 'blue-1')],
        water: { basis: 'volume', value: 7571 },
        acids: [{ material: 'vinegar', strengthPercent: 5, basis: 'amount', value: 236.6 }],
      },
      {
        id: 'p2',
        method: usual('low immersion', { depthCm: 4 }),
        dyes: [depth('d2', 'red', 0.5, 'red-1')],
        water: { basis: 'ratio', value: 30 },
        acids: [],
        ...HOT,
        ...second,
      },
    ],
    set: { method: 'simmer', temperatureC: 88, minutes: 25, coolMinutes: 60 },
    ...more,
  });
const formulated = (second: object, more: object = {}): Formulation => ({
  ...formulate('x', recipeOf(second, more), shelf),
  // What fiber binds is an estimate: without it the acid can be reckoned by hand.
  water: { alkalinityMgPerL: 0, countFiberUptake: false },
});
const planOf = (...inputs: Parameters<typeof formulated>) => planFormulation(formulated(...inputs));
const secondAloud = (formulation: Formulation): string[] => {
  const batch = begunBatch(formulation);
  return cardLines(batch.card)
    .filter(({ act }) => act.pass === 'p2')
    .map((line) => aloud(line, { batch, dyes: SHELF.dyes }));
};

describe('some of a glaze goes on into a pan', () => {
  const part = { potId: 'pan', takesOverMl: 1000 };

  test('its card, read aloud: the liquid is measured over, and water makes up the rest of the height', () => {
    // 50 × 30 cm, 4 cm high, less 300 g ÷ 1.31 g/mL: 5771 mL; less 1000 mL taken over and the 240 mL that
    // squeezed goods hold (0.8 mL/g); the 150 mL of stock stand in the height as well.
    expect(secondAloud(formulated(part))).toEqual([
      'Lift out and squeeze. Lay the goods open',
      'Measure 1 L of the bath before into the Enamel pan',
      'Lay the goods flat in the pan. Vessel: Enamel pan.',
      'Run water into the Enamel pan: 4.38 L. Around the goods: 4 cm high once all is in.',
      'Pour Bell Red 1 %: 150 mL',
      expect.stringMatching(/^Heat slowly to 82 °C, /),
      'Hold at 82 °C until the bath clears, 20 min. Turn the goods once.',
    ]);
  });

  test('its acid comes along: 11.83 g of acetic in 7931 mL of bath and soak water are 1.49 g to the liter', () => {
    const [, pan] = planOf(part).passes;
    expect(pan?.takenOver?.value).toBe(1000);
    expect(pan?.acidsBefore).toEqual([{ material: 'vinegar', pureGrams: expect.closeTo(1.492, 3) }]);
    // To the liter of the 5771 mL that it comes to.
    expect(pan?.bathAcid?.gPerL.value).toBeCloseTo(1.492 / 5.771, 3);
  });

  test('its water says what it is reckoned from', () => {
    const [, pan] = planOf(part).passes;
    expect(pan?.water.because).toBe(
      '5.77 L bath − 150 mL stock − 0 mL liquid acid − 1 L of the bath before − 240 mL in the wet goods',
    );
  });

  test('what takes over nothing has no acid at all', () => {
    const [, pan] = planOf({ ...part, takesOverMl: 0 }).passes;
    expect(pan?.takenOver).toBeNull();
    expect(pan?.acidsBefore).toEqual([]);
    expect(pan?.water.value).toBeCloseTo(5771 - 150 - 240, -1);
  });

  test('more than there is: all of it, and said', () => {
    const plan = planOf({ ...part, takesOverMl: 9000 });
    // 7571 mL and the 360 mL that dripping goods brought, less the 240 mL that they take along.
    expect(plan.passes[1]?.takenOver?.value).toBeCloseTo(7691, 6);
    expect(plan.notices.map(noticeWords)).toContain(
      '9 L of the bath before were to go on into this pass; only 7.69 L are there, and water makes up the rest.',
    );
  });

  test('its record knows the liquid, the version made from it takes over as much, and dyed again on half the goods it is half', () => {
    const begun = begunBatch(formulated(part));
    const batch = withEvents(begun, asPlanned(begun));
    expect(batch.card.passes[1]?.takesOverMl).toBe(1000);
    const folded = foldRecord(batch);
    const version = versionOf(batch, folded)?.recipe.passes[1];
    expect([version?.potId, version?.takesOverMl]).toEqual(['pan', 1000]);
    const was = asItWas(batch, folded);
    const half = dyeAgain(
      batch,
      folded,
      { ...was, goods: was.goods.map((line) => ({ ...line, count: 1, gramsEach: 150 })) },
      shelf,
    );
    const over = half.card.acts.find(({ id }) => id === 'p2.move.over')?.act;
    expect(over?.kind === 'move' ? over.ml : null).toBe(500);
    expect(vesselNames(half.card)).toEqual(['Pot', 'Enamel pan']);
    expect(half.formulation.passPots.map(({ id }) => id)).toEqual(['pan']);
    const again = withEvents({ ...batch, card: half.card, formulation: half.formulation }, []);
    const dyed = withEvents(again, asPlanned(again));
    for (const [dye, percent] of depths(folded.end, { line: 'g1' }))
      expect(depths(foldRecord(dyed).end, { line: 'g1' }).get(dye)).toBeCloseTo(percent, 9);
  });

  test('on twice the goods at the same depth twice as much goes on; at another depth as much', () => {
    const over = (size: Resize): number | undefined =>
      resizeRecipe(recipeOf(part), size, planOf(part)).passes[1]?.takesOverMl;
    const goods = [{ ...recipeOf(part).goods[0]!, count: 6 }];
    expect(over({ kind: 'same depth', goods })).toBe(2000);
    expect(over({ kind: 'deeper' })).toBe(1000);
  });

  test('it hangs on the pass before: neither goes first, and that one is not left out', () => {
    const batch = begunBatch(formulated(part));
    expect(() => passEarlier(batch, 'p2')).toThrow(/goes on in the bath of another/);
    expect(() => leaveOutPass(batch, 'p1')).toThrow(/Pass 2 goes on in the bath of pass 1/);
  });

  test('a bath of its own volume counts what was taken over as part of it', () => {
    const volume = {
      ...part,
      method: usual('immersion'),
      water: { basis: 'volume', value: 6000 },
      acids: [CITRIC],
    };
    const plan = planOf(volume);
    expect(plan.passes[1]?.bath.value).toBe(6000);
    expect(plan.passes[1]?.water.value).toBe(6000 - 1000 - 150);
    const batch = begunBatch(formulated(volume));
    const [, pan] = batch.card.passes;
    expect(trueBathMl(batch.card, pan!, [], 4850)).toBe(4850 + 1000);
  });
});

test('a bath that is kept goes over whole into another vessel, and no water is run', () => {
  const kept = {
    method: usual('immersion'),
    water: { basis: 'kept' },
    acids: [CITRIC],
    potId: 'pan',
  };
  expect(secondAloud(formulated(kept)).slice(1, 3)).toEqual([
    'Tip the bath over into the Enamel pan',
    'Pour Bell Red 1 %: 150 mL',
  ]);
  const { passes } = planOf(kept);
  expect(passes[1]?.water.value).toBe(0);
  expect(passes[1]?.bath.value).toBeCloseTo(7691 + 150, 6);
});

test('in the same vessel the rest is poured away, and what is left goes on', () => {
  const rest = { method: usual('immersion'), takesOverMl: 2000, acids: [CITRIC] };
  expect(secondAloud(formulated(rest)).slice(1, 3)).toEqual([
    'Pour 5.69 L of the bath away; what is left goes on',
    // 30 mL/g on 300 g is 9 L, less 2 L that are there and 150 mL of stock.
    'Run water into the pot: 6.85 L',
  ]);
});

test('goods without a bath around them take nothing over, nor does a first pass', () => {
  const ways: PassMethod[] = [usual('painting'), usual('ice'), usual('sprinkle', { on: 'damp on a tray' })];
  for (const method of ways) expect(planOf({ method, takesOverMl: 1000 }).passes[1]?.takenOver).toBeNull();
  const [first, second] = recipeOf({}).passes;
  const turned = formulate(
    'x',
    { ...recipeOf({}), passes: [{ ...second!, takesOverMl: 500 }, first!] },
    shelf,
  );
  expect(planFormulation(turned).passes[0]?.takenOver).toBeNull();
});

describe('the vessel of a pass', () => {
  const inSmall = { method: usual('immersion'), potId: 'small', water: { basis: 'ratio', value: 20 } };

  test('is what it is heated in: the same bath takes as long as its own ring needs', () => {
    const rise = (second: object): number => planOf(second).passes[1]?.heat?.rise.value ?? 0;
    const fast = { heat: { temperatureC: 82, minutes: 20, rampCPerMin: 5 } };
    const water = { method: usual('immersion'), water: { basis: 'volume', value: 4000 }, ...fast };
    // A ring of half the watts takes about twice as long.
    const times = rise({ ...water, potId: 'small' }) / rise(water);
    expect(times).toBeGreaterThan(1.8);
    expect(times).toBeLessThan(3);
  });

  test('is the one that is too small, by name; the vessel of the batch need not hold that pass', () => {
    // 20 mL/g on 300 g are 6 L, and the goods: 6.3 L in a pot of 5 L.
    const plan = planOf(inSmall);
    expect(plan.notices.map(noticeWords)).toContain(
      'Little pot holds 5 L; bath and goods need about 6.3 L. Take a larger pot or less water.',
    );
    // 40 mL/g are 12 L: more than the glaze, and nothing to the vessel of the batch.
    const deep = { ...inSmall, water: { basis: 'ratio', value: 40 } };
    const needs = (second: object): number => potNeedsMl(recipeOf(second), planOf(second));
    expect(needs(deep)).toBeCloseTo(7571 + 300, 6);
    expect(needs({ ...deep, potId: null })).toBeCloseTo(12_000 + 300, 6);
  });

  test('is named where goods go in, on the card and for whoever stands at the pots', () => {
    const { card } = begunBatch(formulated({ ...inSmall, water: { basis: 'ratio', value: 10 } }));
    expect(vesselOfCard(card, 'p1')?.name).toBe('Pot');
    expect(vesselOfCard(card, 'p2')?.name).toBe('Little pot');
    expect(vesselOfCard(card, null)?.name).toBe('Little pot');
  });

  test('is wanted as well as that of the batch: a clash is seen before', () => {
    const formulation = formulated(inSmall);
    expect(potsOf(formulation).map(({ id }) => id)).toEqual(['pot', 'small']);
    expect(vesselClashes([{ formulation, plan: planOf(inSmall) }], new Map([['small', 'Matins']]))).toEqual([
      { potId: 'small', name: 'Little pot', batches: ['x'], holds: 'Matins' },
    ]);
  });

  test('is not the one that the batch begins in where nobody chose one', () => {
    const recipe = { ...recipeOf(inSmall), potId: null };
    const first = (passes: Pass[]) =>
      planInFirstFree(
        { name: 'x', recipe: { ...recipe, passes }, asWritten: {} },
        { ...shelf, pots: [{ ...SMALL, capacityMl: 9000 }, POT] },
        new Map(),
      ).formulation?.pot?.name;
    expect(first(recipe.passes)).toBe('Pot');
    expect(first(recipe.passes.map((pass) => ({ ...pass, potId: null })))).toBe('Little pot');
  });

  test('is given to no other of several batches that begin together', () => {
    const colorway = { name: 'x', recipe: { ...recipeOf(inSmall), potId: null }, asWritten: {} };
    const asked = { colorway, baseId: null, count: null, dosPercent: null, potId: null };
    const pots = [POT, { ...SMALL, capacityMl: 20_000 }, { ...POT, id: 'third', name: 'Third' }];
    const begun = planTogether(
      [asked, { ...asked, colorway: { ...colorway, recipe: { ...recipeOf({}), potId: null } } }],
      { ...shelf, pots },
      new Map(),
    );
    expect(begun.map(({ formulation }) => formulation?.pot?.name)).toEqual(['Pot', 'Third']);
  });

  test('that has left the shelf is none: the pass is dyed in that of the batch', () => {
    const lost = formulate('x', recipeOf(inSmall), { ...shelf, pots: [POT] });
    expect(lost.passPots).toEqual([]);
    expect(planFormulation(lost).passes[1]?.vessel).toBeNull();
  });

  test('is of the kind that its way asks for, and a measured pan is the pan that the goods lie in', () => {
    const [first, second] = recipeOf({}).passes as [Pass, Pass];
    const other = (pass: Pass, pots: readonly Pot[], inUse: [string, string][] = []): string | null =>
      anotherVessel(pass, vesselChoices(pots, new Map(inUse)))?.name ?? null;
    expect(other(second, [SMALL, PAN])).toBe('Enamel pan');
    expect(other(first, [PAN, SMALL])).toBe('Little pot');
    // One that is free before one that something stands in, whatever it is.
    expect(other(second, [SMALL, PAN], [['pan', 'Matins']])).toBe('Little pot');
    expect(other(second, [PAN], [['pan', 'Matins']])).toBe('Enamel pan');
    expect(other(first, [{ ...SMALL, retired: true }])).toBeNull();
    expect(other(first, [{ ...SMALL, kind: 'steamer' }])).toBeNull();
    const measured = passIn(second, { floor: { shape: 'round', diameterCm: 36 }, wallCm: 8 });
    expect(measured.method).toMatchObject({ pan: { shape: 'round', diameterCm: 36 }, wallCm: 8 });
    expect(passIn(first, PAN)).toBe(first);
  });

  test('stands beside the other in two versions', () => {
    const lines = comparePlans(planOf({}), planOf({ potId: 'pan', takesOverMl: 1000 }));
    expect(lines.find(({ label }) => label === 'Pass 2, vessel')).toMatchObject({
      before: 'that of the batch',
      after: 'Enamel pan',
      differs: true,
    });
    expect(lines.find(({ label }) => label === 'Pass 2, of the bath before')?.differs).toBe(true);
  });
});
