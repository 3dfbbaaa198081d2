import { Dyehouse } from '../../test/dyehouse/dyehouse';
import { FieldError } from '../figure/fieldError';
import { joinShares, match } from '../color/match/match';
import { answerColor } from './colorAnswers';
import { colorRequestJsonSchema, colorRequestSchema } from './colorRequest';

const house = new Dyehouse({ seed: 31, dyes: 5 });
const white = house.bases[0]!.white;
const sample = (id: string, dosPercent: number) => ({
  baseId: 'wool',
  dosPercent,
  lab: house.dye('base0', [{ id, dosPercent }]).lab,
});
const SHELF = {
  bases: [{ id: 'wool', reflectance: white }],
  dyes: house.dyes.map(({ id }) => ({ id, samples: [0.1, 0.4, 1.6].map((dos) => sample(id, dos)) })),
};
const ask = async (requests: object[], shelf: object = SHELF) =>
  (await answerColor(colorRequestSchema.parse({ shelf, requests }))).answers;
const RECIPE = [
  { id: 'dye0', dosPercent: 0.3 },
  { id: 'dye3', dosPercent: 0.2 },
];
const lab = house.dye('base0', RECIPE, true).lab;

test('everything that can be asked is answered in order, without NaN', async () => {
  const answers = await ask([
    { kind: 'predict', baseId: 'wool', dyes: RECIPE },
    { kind: 'match', baseId: 'wool', target: { lab } },
    { kind: 'correct', baseId: 'wool', target: { lab }, tried: [{ dyes: RECIPE, lab }] },
    { kind: 'depth', baseId: 'wool', dyeId: 'dye1', target: { lab: sample('dye1', 0.8).lab } },
  ]);
  expect(answers.map((answer) => Object.keys(answer))).toEqual([
    ['lab', 'reflectance', 'srgb', 'inGamut', 'spreadDE00', 'samples'],
    ['candidates', 'combinations', 'reachable'],
    ['dyes', 'lab', 'deltaE00', 'reachable', 'words'],
    ['dosPercent', 'low', 'high'],
  ]);
  expect(JSON.stringify(answers)).not.toMatch(/null|NaN|Infinity/);
  const [predicted, matched, , depth] = answers as Record<string, never>[];
  expect(predicted!.reflectance).toHaveLength(31);
  expect(matched).toMatchObject({ combinations: 5 + 10 + 10, reachable: true });
  expect(depth!.dosPercent).toBeGreaterThan(0.5);
  expect(depth!.dosPercent).toBeLessThan(1.2);
});

describe('what is said beside an answer', () => {
  const notesOf = async (request: object, shelf: object = SHELF): Promise<string[]> =>
    (await ask([request], shelf))[0]!.notes ?? [];
  const predicted = { kind: 'predict', baseId: 'wool', dyes: RECIPE };
  test('readings in other steps are resampled', async () =>
    expect(
      await notesOf(predicted, {
        ...SHELF,
        bases: [{ id: 'wool', reflectance: white.filter((_, i) => i % 2 === 0) }],
      }),
    ).toContain('Reflectance was resampled from 20 nm to 10 nm.'));
  test('two dyes with the same samples, several of one depth, and one that was never measured', async () => {
    const [first] = SHELF.dyes;
    const notes = await notesOf(predicted, {
      ...SHELF,
      dyes: [
        ...SHELF.dyes,
        { ...first!, id: 'twin' },
        { id: 'new', samples: [] },
        { id: 'again', samples: [sample('dye0', 0.5), sample('dye0', 0.5)] },
      ],
    });
    expect(notes).toEqual([
      expect.stringMatching(/“new” was never measured/),
      expect.stringMatching(/“again” has several samples of one depth on “wool”/),
      expect.stringMatching(/“dye0” and “twin” have the same samples/),
    ]);
  });
  test('a color out of reach has its nearest, and a patch of another dye is doubted', async () => {
    expect(await notesOf({ kind: 'match', baseId: 'wool', target: { lab: [95, -90, 90] } })).toEqual([
      expect.stringMatching(/No choice of these dyes gets there: the nearest is ΔE00 \d/),
    ]);
    expect(
      await notesOf({ kind: 'depth', baseId: 'wool', dyeId: 'dye1', target: { lab: [60, -60, 60] } }),
    ).toEqual([expect.stringMatching(/may be another dye/)]);
  });
  test('deeper than anybody measured is said to be', async () =>
    expect(await notesOf({ ...predicted, dyes: [{ id: 'dye0', dosPercent: 6 }] })).toEqual([
      '“dye0” was measured up to 1.6 %; what is said of 6 % goes beyond that.',
    ]));
});

test.each([
  [
    'an unknown base',
    [{ kind: 'predict', baseId: 'silk', dyes: RECIPE }],
    SHELF,
    'requests.0.baseId',
    /no base “silk”/,
  ],
  [
    'an unknown dye',
    [{ kind: 'depth', baseId: 'wool', dyeId: 'ghost', target: { lab } }],
    SHELF,
    'requests.0.dyeId',
    /no dye “ghost”/,
  ],
  [
    'a dye that must and must not be used',
    [{ kind: 'match', baseId: 'wool', target: { lab }, mustUse: ['dye0'], mustNotUse: ['dye0'] }],
    SHELF,
    'requests.0.mustUse',
    /must be used and must not/,
  ],
  ['a dye twice', [], { ...SHELF, dyes: [SHELF.dyes[0], SHELF.dyes[0]] }, 'shelf.dyes.1.id', /twice/],
  [
    'a base that no surface can be',
    [],
    { bases: [{ id: 'wool', lab: [90, -120, 120] }], dyes: [{ id: 'a', samples: [] }] },
    'shelf.bases.0.lab',
    /No surface/,
  ],
  [
    'too few bands',
    [],
    { ...SHELF, bases: [{ id: 'wool', reflectance: [0.5, 0.5] }] },
    'shelf.bases.0.reflectance',
    /31 values/,
  ],
])('%s is refused, by its field', async (_, requests, shelf, field, said) => {
  const error: unknown = await ask(requests, shelf).catch((thrown: unknown) => thrown);
  expect(error).toBeInstanceOf(FieldError);
  expect(error).toMatchObject({ field, message: expect.stringMatching(said) as string });
});

test.each([
  ['an empty shelf', { shelf: { bases: [], dyes: [] }, requests: [] }, /no base/],
  ['no dyes', { shelf: { ...SHELF, dyes: [] }, requests: [] }, /no dye/],
  [
    'a color said twice',
    { shelf: { ...SHELF, bases: [{ id: 'w', lab: [90, 0, 0], reflectance: white }] }, requests: [] },
    /exactly one/,
  ],
  ['no color', { shelf: { ...SHELF, bases: [{ id: 'w' }] }, requests: [] }, /exactly one/],
  [
    'a depth of nothing',
    { shelf: SHELF, requests: [{ kind: 'predict', baseId: 'wool', dyes: [{ id: 'dye0', dosPercent: 0 }] }] },
    /more than 0/,
  ],
  [
    'another request',
    { shelf: SHELF, requests: [{ kind: 'guess' }] },
    /one of predict, match, correct, depth, evidence/,
  ],
])('%s is refused by the schema in a sentence', (_, request, said) => {
  const { success, error } = colorRequestSchema.safeParse(request);
  expect(success).toBe(false);
  expect(error!.issues.map(({ message }) => message).join(' ')).toMatch(said);
});

test('a JSON Schema says the same to whoever knows nothing of the project', () => {
  const schema = JSON.stringify(colorRequestJsonSchema());
  for (const word of ['predict', 'match', 'correct', 'depth', 'dosPercent', 'reflectance'])
    expect(schema).toContain(word);
});

describe('a dye that was never measured', () => {
  const fresh = { id: 'fresh', samples: [], swatch: { baseId: 'wool', dosPercent: 1, srgb: [180, 40, 60] } };
  const shelf = { ...SHELF, dyes: [...SHELF.dyes, fresh] };
  const predicted = async (dosPercent: number, id = 'fresh') =>
    (await ask([{ kind: 'predict', baseId: 'wool', dyes: [{ id, dosPercent }] }], shelf))[0]!;
  test('goes by its picked swatch, rests on no sample, and says how little that is worth', async () => {
    const answer = await predicted(1);
    (answer.srgb as number[]).forEach((channel, i) =>
      expect(Math.abs(channel - [180, 40, 60][i]!)).toBeLessThan(25),
    );
    expect(answer.samples).toBe(0);
    expect(answer.notes).toContain(
      'The dye “fresh” was never measured: its picked swatch stands for it, and what is said of it is of low confidence.',
    );
    expect(answer.spreadDE00 as number).toBeGreaterThan(
      2 * ((await predicted(1, 'dye1')).spreadDE00 as number),
    );
  });
  test('a swatch beside samples is left alone', async () => {
    const [first, ...rest] = SHELF.dyes;
    const both = { ...SHELF, dyes: [{ ...first!, swatch: fresh.swatch }, ...rest] };
    expect(await ask([{ kind: 'predict', baseId: 'wool', dyes: RECIPE }], both)).toEqual(
      await ask([{ kind: 'predict', baseId: 'wool', dyes: RECIPE }]),
    );
  });
  test('a swatch on a base that is not there is refused', () =>
    expect(
      ask([], { ...SHELF, dyes: [{ ...fresh, swatch: { ...fresh.swatch, baseId: 'silk' } }] }),
    ).rejects.toThrow(/no base “silk”/));
});

describe('what a match may cost', () => {
  const priced = (prices: Record<string, number>) => ({
    ...SHELF,
    dyes: SHELF.dyes.map((dye) => ({ ...dye, ...(prices[dye.id] && { pricePerGram: prices[dye.id] }) })),
  });
  const all = priced({ dye0: 0.5, dye1: 0.2, dye2: 0.2, dye3: 1, dye4: 0.1 });
  interface Matched {
    candidates: { dyes: { id: string; dosPercent: number }[]; costPerKg?: number }[];
    notes?: string[];
    reachable: boolean;
  }
  const matched = async (more: object, shelf: object): Promise<Matched> =>
    (
      await ask([{ kind: 'match', baseId: 'wool', target: { lab }, ...more }], shelf)
    )[0] as unknown as Matched;
  test('every recipe of priced dyes has its cost: grams on a kilogram times the price', async () => {
    const { candidates } = await matched({}, all);
    const [one] = candidates;
    const price: Record<string, number> = { dye0: 0.5, dye1: 0.2, dye2: 0.2, dye3: 1, dye4: 0.1 };
    const grams = one!.dyes.reduce(
      (sum, { id, dosPercent }) => sum + (dosPercent / 100) * 1000 * price[id]!,
      0,
    );
    expect(one!.costPerKg).toBeCloseTo(grams, 9);
    expect((await matched({}, SHELF)).candidates[0]).not.toHaveProperty('costPerKg');
  });
  test('recipes over the most are left out, and none left is said', async () => {
    const dearest = Math.max(...(await matched({}, all)).candidates.map(({ costPerKg }) => costPerKg!));
    const { candidates } = await matched({ maxCostPerKg: dearest * 0.9 }, all);
    expect(candidates.length).toBeGreaterThan(0);
    for (const { costPerKg } of candidates) expect(costPerKg).toBeLessThanOrEqual(dearest * 0.9);
    const none = await matched({ maxCostPerKg: 1e-6 }, all);
    expect(none).toMatchObject({ candidates: [], reachable: false });
    expect(none.notes).toEqual(['Nothing that was tried stays under 0.000001 a kilogram of goods.']);
  });
  test('dyes without a price are named', async () => {
    expect((await matched({ maxCostPerKg: 5 }, priced({ dye0: 0.5 }))).notes![0]).toBe(
      'Of “dye1”, “dye2”, “dye3”, “dye4” no price is known: recipes with it are held to no cost.',
    );
  });
  test('of two dyes that are the same, the cheaper comes first', async () => {
    const twins = (ofTwin: number, ofFirst: number) => ({
      ...SHELF,
      dyes: [
        ...SHELF.dyes.map((dye) => ({ ...dye, pricePerGram: dye.id === 'dye3' ? ofFirst : 0.2 })),
        { ...SHELF.dyes[3]!, id: 'twin', pricePerGram: ofTwin },
      ],
    });
    const first = async (shelf: object) => (await matched({}, shelf)).candidates[0]!.dyes.map(({ id }) => id);
    expect(await first(twins(0.1, 1))).toContain('twin');
    expect(await first(twins(1, 0.1))).toContain('dye3');
  });
  test('no dye goes deeper than it may; one that is not there is refused', async () => {
    const free = (await matched({}, SHELF)).candidates[0]!.dyes.find(({ id }) => id === 'dye3')!;
    const deepest = free.dosPercent / 2;
    const held = await matched({ deepest: [{ id: 'dye3', dosPercent: deepest }], mustUse: ['dye3'] }, SHELF);
    for (const { dyes } of held.candidates)
      expect(dyes.find(({ id }) => id === 'dye3')!.dosPercent).toBeLessThanOrEqual(deepest + 1e-9);
    await expect(matched({ deepest: [{ id: 'no', dosPercent: 1 }] }, SHELF)).rejects.toThrow(/no dye “no”/);
  });
});

test('evidence tells how far each sample lies from what is said of it, and names one that is off', async () => {
  const [first, ...rest] = SHELF.dyes;
  const wrong = {
    ...SHELF,
    dyes: [
      {
        ...first!,
        samples: [
          ...[0.05, 0.2, 0.8, 2].map((dos) => sample('dye0', dos)),
          { ...sample('dye3', 1), dosPercent: 0.6 },
        ],
      },
      ...rest,
    ],
    mixtures: [{ baseId: 'wool', dyes: RECIPE, lab }],
  };
  const [good] = (await ask([{ kind: 'evidence' }])) as unknown as [
    { dyes: { id: string; samples: number; deltaE00: number[] }[]; notes?: string[] },
  ];
  expect(good.dyes.map(({ samples, deltaE00 }) => [samples, deltaE00.length])).toEqual(
    SHELF.dyes.map(() => [3, 3]),
  );
  expect(Math.max(...good.dyes.flatMap(({ deltaE00 }) => deltaE00))).toBeLessThan(2);
  expect(good).not.toHaveProperty('notes');
  const [told] = await ask([{ kind: 'evidence' }], wrong);
  expect(told!.notes).toEqual([
    expect.stringMatching(
      /The sample of “dye0” at 0.6 % on “wool” lies ΔE00 \d+\.\d from what the others say/,
    ),
  ]);
  expect(told).toMatchObject({
    bases: [{ id: 'wool', affinity: expect.any(Number) as number }],
    mixtures: [{ deltaE00: expect.any(Number) as number }],
  });
  expect(JSON.stringify(told)).not.toMatch(/null|NaN/);
});

test('of two dyes that are the same, the one that was measured more comes first', async () => {
  const [ladder] = SHELF.dyes.slice(3, 4);
  const more = [0.05, 0.2, 0.8, 2].map((dos) => sample('dye3', dos));
  const twins = (ofDye: object[], ofTwin: object[]) => ({
    ...SHELF,
    dyes: [
      ...SHELF.dyes.map((dye) => (dye.id === 'dye3' ? { ...dye, samples: ofDye } : dye)),
      { id: 'twin', samples: ofTwin },
    ],
  });
  const best = async (shelf: object): Promise<string[]> => {
    const [{ candidates }] = (await ask(
      [{ kind: 'match', baseId: 'wool', target: { lab } }],
      shelf,
    )) as unknown as [{ candidates: { dyes: { id: string }[] }[] }];
    return candidates[0]!.dyes.map(({ id }) => id);
  };
  const [few, many] = [ladder!.samples.slice(1, 2), [...ladder!.samples, ...more]];
  expect(await best(twins(many, few))).not.toContain('twin');
  expect(await best(twins(few, many))).not.toContain('dye3');
});

test('a color that no screen shows is said to be cut off', async () => {
  const strong = {
    bases: SHELF.bases,
    dyes: [{ id: 'cyan', samples: [{ baseId: 'wool', dosPercent: 1, lab: [55, -45, -35] }] }],
  };
  const [answer] = await ask(
    [{ kind: 'predict', baseId: 'wool', dyes: [{ id: 'cyan', dosPercent: 1 }] }],
    strong,
  );
  expect(answer!.inGamut).toBe(false);
  expect(answer!.notes).toEqual(['No screen shows this color: srgb is the nearest that one does.']);
});

test('a search that somebody else makes is used for every match, and only for those', async () => {
  const asked: string[] = [];
  const request = colorRequestSchema.parse({
    shelf: SHELF,
    requests: [
      { kind: 'predict', baseId: 'wool', dyes: RECIPE },
      { kind: 'match', baseId: 'wool', target: { lab }, top: 2 },
    ],
  });
  const shared = await answerColor(request, (calibration, wish) => {
    asked.push(wish.baseId);
    const shares = [0, 1, 2].map((part) => match(calibration, { ...wish, share: { part, of: 3 } }));
    return Promise.resolve(joinShares(shares, wish.top));
  });
  expect(asked).toEqual(['wool']);
  expect(shared).toEqual(await answerColor(request));
});
