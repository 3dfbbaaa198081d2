import { depth, dyeLine, SHELF } from '../../test/examples';
import { card, CITRIC, formulated, HOT, planOf, usual } from '../../test/readAloud';
import { begunBatch } from '../../test/records';
import { cardLines } from '../record/cardLines';
import { lineWords } from '../words/lineWords';
import { noticeWords } from '../words/noticeWords';

const AB = [depth('d1', 'blue', 1, 'blue-1', 'a'), depth('d2', 'red', 0.5, 'red-1', 'b')];
const place = (id: string, name: string, sharePercent: number) => ({ id, name, sharePercent });
const zone = (id: string, name: string, sharePercent: number, shape = 'band') => ({
  id,
  name,
  sharePercent,
  shape,
});
const section = (id: string, name: string, sharePercent: number, pickUpMlPerG: number | null = null) => ({
  id,
  name,
  sharePercent,
  pickUpMlPerG,
});

const DRY = 'Spin and hang to dry';

test('a pan in three zones with white left, and half as much of each color on the back', () => {
  const zones = [zone('a', 'the top third', 33), zone('b', 'the rest', 25, 'zigzag')];
  // 33 % of 200 g at 1 % is 0.66 g, 66 mL: two thirds of it in front. 25 % at 0.5 % is 0.25 g, 25 mL.
  expect(card(usual('low immersion', { sections: zones, backPercent: 50 }), { dyes: AB, ...HOT })).toEqual([
    'Lay the goods flat in the pan. 42 % is to stay white: pour nothing there, and do not stir.',
    expect.stringMatching(
      /^Run water into the pan: [\d.]+ L\. Around the goods: 4 cm high once all is in\.$/,
    ),
    expect.stringMatching(/^Add citric acid crystals to the bath: [\d.]+ g$/),
    'Pour Vault Blue 1 %, on the top third, 33 % of the goods: 44 mL',
    'Pour Bell Red 1 %, in a zigzag, on the rest, 25 % of the goods: 16.7 mL',
    expect.stringMatching(/^Heat slowly to 82 °C, /),
    'Leave the front to strike, 7 min',
    'Turn the goods over, look where they are bare',
    'Pour Vault Blue 1 %, on the top third, 33 % of the goods: 22 mL. On the back, in the same liquid.',
    'Pour Bell Red 1 %, in a zigzag, on the rest, 25 % of the goods: 8.33 mL. On the back, in the same liquid.',
    'Hold at 82 °C until the bath clears, 20 min',
    DRY,
  ]);
});

test('15 mL on the front and 7.5 on the back of 56.7 g are 0.397 % (common practice)', () => {
  const plan = planOf(
    usual('low immersion', { backPercent: 50 }),
    {
      dyes: [
        dyeLine({
          id: 'd1',
          dyeId: 'blue',
          stockId: 'blue-1',
          entry: { school: 'stock', milliliters: 22.5 },
        }),
      ],
    },
    { goods: [{ id: 'g1', baseId: 'wool', count: 1, gramsEach: 56.7 }] },
  );
  const [pour] = plan.passes[0]!.pours;
  expect([pour!.each.value, pour!.later[0]!.amount.value]).toEqual([
    expect.closeTo(15, 9),
    expect.closeTo(7.5, 9),
  ]);
  expect(plan.passes[0]!.dos.value).toBeCloseTo(0.397, 3);
});

test('three quarters of a 10 cm wall of 50 × 30 cm, less 500 g of wool at 1.31 g/mL, are 10.87 L (common practice)', () => {
  const pan = { pan: { shape: 'rectangular', lengthCm: 50, widthCm: 30 }, wallCm: 10, depthCm: 7.5 };
  const goods = [{ id: 'g1', baseId: 'wool', count: 5, gramsEach: 100 }];
  const bathOf = (changes: object): number =>
    planOf(usual('low immersion', { ...pan, ...changes }), {}, { goods }).passes[0]!.bath.value;
  expect(bathOf({})).toBeCloseTo(10_868, -1);
  // Said by the cup instead: twelve of them.
  expect(bathOf({ liquidMl: 2839 })).toBe(2839);
});

test('20, 8, 4 and 30 mL of 4 % over three arrangements on 300 g: 0.267, 0.107, 0.053, 0.4 % (common practice)', () => {
  const doses = [20, 8, 4, 30].map((milliliters, i) => ({
    milliliters,
    dose: {
      id: `s${i}`,
      name: `dose ${i + 1}`,
      minutes: i === 0 ? 40 : 5,
      lies: { kind: i === 0 ? 'twisted' : 'knotted', count: 3 },
    },
  }));
  const inputs = [
    usual('repeated', { sections: doses.map(({ dose }) => ({ ...dose, sharePercent: 100 })) }),
    {
      dyes: doses.map(({ milliliters, dose }) =>
        dyeLine({
          id: `d${dose.id}`,
          dyeId: 'blue',
          stockId: 'blue-4',
          sectionId: dose.id,
          entry: { school: 'stock', milliliters },
        }),
      ),
      ...HOT,
    },
    { goods: [{ id: 'g1', baseId: 'wool', count: 3, gramsEach: 100 }] },
  ] as const;
  expect(planOf(...inputs).passes[0]!.pours.map(({ dos }) => Number(dos.value.toFixed(3)))).toEqual([
    0.267, 0.107, 0.053, 0.4,
  ]);
  const lines = card(...inputs);
  const first = lines.indexOf('Pour Vault Blue 4 %, for dose 1: 20 mL');
  expect(lines.slice(first, first + 7)).toEqual([
    'Pour Vault Blue 4 %, for dose 1: 20 mL',
    'Goods in, dose 1, twisted 3×',
    'Let dose 1 strike until the bath clears, 40 min',
    'Lift, cool to the hand, re-tie. Knot the goods in 3 places',
    'Pour Vault Blue 4 %, for dose 2: 8 mL',
    'Goods in, dose 2, knotted 3×',
    'Let dose 2 strike until the bath clears, 5 min',
  ]);
});

test('quarters of the ring in three colors and white, there and back, with the back touched up', () => {
  const sections = ['A', 'B', 'white', 'C'].map((name) =>
    section(name === 'white' ? 'w' : name.toLowerCase(), name, 25),
  );
  const method = usual('painting', { order: 'mirrored', backPercent: 50, sections });
  const dyes = [...AB, depth('d3', 'red', 0.2, 'red-1', 'c')];
  expect(card(method, { dyes })).toEqual([
    'Lay wrap out, and the damp hank on it',
    // 50 g a quarter at 1 mL/g: 50 mL each, less 50, 25 and 10 mL of stock.
    'Measure water to fill the paint up with: 65 mL',
    'Add citric acid crystals to the paint water: 0.15 g',
    'Pour Vault Blue 1 %: 50 mL',
    'Fill up to 50 mL and paint A. 25 % of the hank, in 2 places. Press the color in, blot what stands, look underneath. Keep 33.3 % of it for the back.',
    'Pour Bell Red 1 %: 25 mL',
    'Fill up to 50 mL and paint B. 25 % of the hank, in 2 places. Press the color in, blot what stands, look underneath. Keep 33.3 % of it for the back.',
    'Pour Bell Red 1 %: 10 mL',
    // The last is its own neighbor on the way back.
    'Fill up to 50 mL and paint C. 25 % of the hank. Press the color in, blot what stands, look underneath. Keep 33.3 % of it for the back.',
    'Turn the hank over, look where it is bare',
    'Touch up the back of A with what is left in its cup',
    'Touch up the back of B with what is left in its cup',
    'Touch up the back of C with what is left in its cup',
    DRY,
  ]);
  expect(planOf(method, { dyes }).passes[0]!.parts.map(({ dos }) => dos.value)).toEqual([1, 0.5, 0, 0.2]);
});

test('a section takes as much paint as it says; powder that is due late goes over painted goods before they are wrapped', () => {
  const sections = [section('a', 'A', 50, 2), section('b', 'B', 50)];
  const [pass] = planOf(usual('painting', { sections }), { dyes: AB }).passes;
  // 100 g each, at 2 and at 1 mL/g.
  expect(pass!.parts.map(({ paint }) => paint!.value)).toEqual([200, 100]);
  expect(pass!.bath.value).toBe(300);
  const last = { dyes: AB, acids: [{ ...CITRIC, when: 'last' }] };
  expect(card(usual('painting', { sections }), last).at(-2)).toMatch(
    /^Add citric acid crystals over the goods/,
  );
});

test('both ends dipped, each in its own bath and its part of water and acid', () => {
  const method = usual('dip', {
    steps: 2,
    minutes: 20,
    sections: [place('a', 'toe', 40), place('b', 'cuff', 30)],
  });
  // 70 % of 200 g in 30:1 are 4.2 L: 4/7 for the toe, with 80 mL of stock; 3/7 for the cuff, with 30.
  expect(card(method, { dyes: AB, ...HOT })).toEqual([
    'Run water into the pot: 2.32 L',
    'Pour Vault Blue 1 %, for the toe: 80 mL',
    'Add citric acid crystals to the bath: 2.4 g',
    'Hang the toe of the goods in, 40 % of the length',
    expect.stringMatching(/^Heat slowly to 82 °C/),
    'Leave it 1 of 2, then lift by one step, 10 min',
    'Leave the last 20 % in, 10 min',
    'Lift the goods out',
    'Pour the old bath away, then run water into the pot: 1.77 L',
    'Pour Bell Red 1 %, for the cuff: 30 mL',
    'Add citric acid crystals to the bath: 1.8 g',
    'Hang the cuff of the goods in, 30 % of the length',
    expect.stringMatching(/^Heat slowly to 82 °C/),
    'Leave it 1 of 2, then lift by one step, 10 min',
    'Leave the last 15 % in, 10 min',
    DRY,
  ]);
  const { passes } = planOf(method, { dyes: AB, ...HOT });
  expect(passes[0]!.bath.value).toBeCloseTo(4200, 9);
  expect(passes[0]!.parts.map(({ dos }) => dos.value)).toEqual([1, 0.5]);
});

test('toe first and deeper: lowered step by step', () =>
  expect(card(usual('dip', { steps: 3, lowered: true }), HOT).slice(3, 8)).toEqual([
    'Hang the end of the goods in, 20 % of the length',
    expect.stringMatching(/^Heat slowly/),
    expect.stringMatching(/^Leave it 1 of 3, then lower it by 20 %/),
    expect.stringMatching(/^Leave it 2 of 3, then lower it by 20 %/),
    expect.stringMatching(/^Leave all of it in until the bath clears/),
  ]));

test('boiling water run in needs no heating; a hot bath has the goods lowered into it', () => {
  const knotted = { ...HOT, arrangement: { kind: 'knotted', count: 3 } };
  const kettle = card(usual('immersion', { start: 'kettle' }), knotted);
  expect(kettle).toContain('Run boiling water into the pot, from the kettle: 5.8 L');
  expect(kettle).toContain('Lower the goods in, knotted 3×; do not stir');
  expect(kettle.some((line) => line.startsWith('Heat'))).toBe(false);
  const hot = card(usual('immersion', { start: 'hot' }), HOT);
  const at = (start: string): number => hot.findIndex((line) => line.startsWith(start));
  expect(at('Lift the goods into the hot bath, open, and stir')).toBe(at('Heat slowly to 82 °C') + 1);
});

test('a glaze from cold with the ring on: 40 °C at 1.5 °C a minute are part of its 45 minutes', () =>
  expect(card(usual('glaze', { heatToC: 60, minutes: 45 })).slice(-3, -1)).toEqual([
    'Ring on under it, from cold; leave the goods untouched up to 60 °C, 27 min',
    'Leave the glaze untouched, 18 min',
  ]));

test('powder through a sieve on damp goods, both sides, its citric counted once', () => {
  const method = usual('sprinkle', { on: 'damp on a tray', by: 'sieve', bothSides: true });
  const side = [
    'Weigh citric acid crystals to stir into the powder: 3 g',
    'Sprinkle Vault Blue powder, through a sieve: 0.3 g. Stir 3 g of those citric crystals into it first, so that it sticks on contact.',
    'Leave it to settle, nothing moved, 5 min',
  ];
  // 0.3 % of 200 g is 0.6 g, half on each side, cut with ten times as much.
  const dyes = [depth('d1', 'blue', 0.3, null)];
  expect(card(method, { dyes, acids: [] })).toEqual([
    'Lay the damp goods out on a tray',
    ...side,
    'Look at it, then turn the goods over',
    ...side,
    DRY,
  ]);
  expect(planOf(method, { dyes, acids: [] }).passes[0]!.acids.map(({ amount }) => amount.value)).toEqual([6]);
});

test('under ice: spare goods below for what drips, acid after the melt with its wait, all before the steam', () => {
  const goods = [
    { id: 'g1', baseId: 'wool', count: 2, gramsEach: 100 },
    { id: 'g2', baseId: 'sock', count: 5, gramsEach: 20, catchUp: true },
  ];
  const pass = { dyes: [depth('d1', 'blue', 0.3, null)], acids: [{ ...CITRIC, when: 'last' }] };
  expect(card(usual('ice', { acidMinutes: 20 }), pass, { goods })).toEqual([
    'Lay the spare goods under the rack, for what drips',
    'Lay the damp goods on a rack over a tray',
    'Heap ice or snow over the goods: 1500 g',
    'Sprinkle Vault Blue powder on the ice: 0.6 g',
    'Let it melt, away from children and animals, 8 h',
    'Add citric acid crystals over the goods: 1.5 g. What melted carries none: turn the goods and pour it over them.',
    'Leave the acid to work in, 20 min',
    DRY,
  ]);
});

test('a stack in zones, two rounds on five layers, flipped, acid at the sides; pressed and dried flat', () => {
  const method = usual('painted stack', {
    layers: 5,
    rounds: 2,
    flip: true,
    sections: [section('a', 'the blue zone', 60), section('b', 'the red zone', 40)],
  });
  const goods = [{ id: 'g1', baseId: 'wool', count: 5, gramsEach: 40, form: 'flat piece' }];
  // 120 and 80 g at 1.2 mL/g are 144 and 96 mL: 14.4 and 9.6 mL on each of five layers in each of two rounds.
  expect(card(method, { dyes: AB, acids: [{ ...CITRIC, when: 'last' }] }, { goods })).toEqual([
    'Lay the pieces one on another in the pan, flat',
    'Measure water to fill the paint up with: 80 mL',
    'Pour Vault Blue 1 %: 120 mL',
    'Fill up to 144 mL and paint the blue zone on each of 5 layers, in 2 rounds. 14.4 mL a layer and round, the same zones in the same order; press it through.',
    'Pour Bell Red 1 %: 40 mL',
    'Fill up to 96 mL and paint the red zone on each of 5 layers, in 2 rounds. 9.6 mL a layer and round, the same zones in the same order; press it through.',
    'Flip the whole pile',
    'Pour citric acid crystals in at the sides, not on the wool: 0.24 g',
    'Press the water out, let it drip, and dry it flat; never wring',
  ]);
  const wet = card(method, { dyes: AB, topUpMl: 500, topUpWithAcid: false }, { goods });
  expect(wet.at(-2)).toBe('Pour water in at the side of the pile, to less than half the wall: 500 mL');
});

test('goods that wait for a set they share are bagged first, damp', () => {
  const set = { method: 'steam', temperatureC: 98, minutes: 25, coolMinutes: 60, waits: true };
  const lines = card(usual('cool bath', {}), {}, { set });
  expect(lines.at(-2)).toBe(
    'Lift the goods out and keep them damp in a bag until others can be set with them',
  );
  const batch = begunBatch(formulated(usual('cool bath', {}), {}, { set }));
  const heat = cardLines(batch.card).find(({ id }) => id === 'heat')!;
  expect(lineWords(heat, { batch, dyes: SHELF.dyes }).title).toBe('Out of the bag, wrap for the steam');
  expect(card(usual('cool bath', {})).at(-2)).toMatch(/^Leave it in the cool bath/);
});

test('topping up what steamed away takes no acid, what was poured off does', () => {
  const acids = (topUpWithAcid: boolean): number =>
    planOf(usual('immersion', {}), { ...HOT, topUpMl: 600, topUpWithAcid }).lines.filter(
      ({ act }) => act.kind === 'put' && act.purpose === 'top up',
    ).length;
  expect([acids(false), acids(true)]).toEqual([0, 1]);
});

describe('what cannot be is said with the way out', () => {
  const notices = (...inputs: Parameters<typeof formulated>) =>
    planOf(...inputs).notices.map((notice) => [noticeWords(notice), notice.asks === true]);
  test('zones over 100 %', () =>
    expect(() =>
      formulated(usual('low immersion', { sections: [zone('a', 'A', 70), zone('b', 'B', 50)] }), {
        dyes: AB,
      }),
    ).toThrow(/zones come to 120 % of the goods: make them smaller/));
  test('more paint than goods can hold is asked about', () =>
    expect(
      notices(
        usual('painting', { sections: [section('a', 'A', 100)], pickUpMlPerG: 1 }),
        {
          dyes: [
            dyeLine({
              id: 'd1',
              dyeId: 'blue',
              stockId: 'blue-1',
              sectionId: 'a',
              entry: { school: 'stock', milliliters: 63 },
            }),
          ],
        },
        { goods: [{ id: 'g1', baseId: 'wool', count: 1, gramsEach: 12.5 }] },
      ),
    ).toContainEqual([
      'A: 63 mL of stock is more than the 12.5 mL it takes up. Take a stronger stock.',
      true,
    ]));
  test('a painted hank in a simmering pot', () =>
    expect(
      notices(
        usual('painting', { sections: [section('a', 'A', 100)] }),
        {},
        { set: { method: 'simmer', temperatureC: 85, minutes: 20, coolMinutes: 60 } },
      ),
    ).toContainEqual([expect.stringMatching(/steam|wrap/i), true]));
  test('tops twisted', () =>
    expect(
      notices(
        usual('immersion', {}),
        { arrangement: { kind: 'twisted', count: 2 } },
        { goods: [{ id: 'g1', baseId: 'wool', count: 1, gramsEach: 100, form: 'top' }] },
      ),
    ).toContainEqual(['Tops are never twisted or wrung. Lay them in loops or flat.', true]));
  test('a pass without dye, unless it is steps of an own way', () => {
    expect(() => formulated(usual('immersion', {}), { dyes: [] })).toThrow(/needs at least one dye/);
    const rinse = {
      id: 'p2',
      method: { kind: 'own way', steps: [{ do: 'rinse' }, { do: 'stand', minutes: 10, untilClear: false }] },
      dyes: [],
      water: { basis: 'kept' },
      acids: [],
    };
    const first = formulated(usual('immersion', {}), HOT).recipe.passes[0]!;
    const plan = planOf(usual('immersion', {}), {}, { passes: [first, rinse] });
    expect(plan.passes[1]!.dos.value).toBe(0);
    expect(plan.lines.some(({ id }) => id === 'p2.rinse.1')).toBe(true);
  });
});
