import { Dyehouse } from '../../test/dyehouse/dyehouse';
import { FieldError } from '../figure/fieldError';
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
const ask = (requests: object[], shelf: object = SHELF) =>
  answerColor(colorRequestSchema.parse({ shelf, requests })).answers;
const RECIPE = [
  { id: 'dye0', dosPercent: 0.3 },
  { id: 'dye3', dosPercent: 0.2 },
];
const lab = house.dye('base0', RECIPE, true).lab;

test('everything that can be asked is answered in order, without NaN', () => {
  const answers = ask([
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
  const notesOf = (request: object, shelf: object = SHELF): string[] => ask([request], shelf)[0]!.notes ?? [];
  const predicted = { kind: 'predict', baseId: 'wool', dyes: RECIPE };
  test('readings in other steps are resampled', () =>
    expect(
      notesOf(predicted, {
        ...SHELF,
        bases: [{ id: 'wool', reflectance: white.filter((_, i) => i % 2 === 0) }],
      }),
    ).toContain('Reflectance was resampled from 20 nm to 10 nm.'));
  test('two dyes with the same samples, several of one depth, and one that was never measured', () => {
    const [first] = SHELF.dyes;
    const notes = notesOf(predicted, {
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
  test('a color out of reach has its nearest, and a patch of another dye is doubted', () => {
    expect(notesOf({ kind: 'match', baseId: 'wool', target: { lab: [95, -90, 90] } })).toEqual([
      expect.stringMatching(/No choice of these dyes gets there: the nearest is ΔE00 \d/),
    ]);
    expect(notesOf({ kind: 'depth', baseId: 'wool', dyeId: 'dye1', target: { lab: [60, -60, 60] } })).toEqual(
      [expect.stringMatching(/may be another dye/)],
    );
  });
  test('deeper than anybody measured is said to be', () =>
    expect(notesOf({ ...predicted, dyes: [{ id: 'dye0', dosPercent: 6 }] })).toEqual([
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
])('%s is refused, by its field', (_, requests, shelf, field, said) => {
  const answer = (): unknown => ask(requests, shelf);
  expect(answer).toThrow(FieldError);
  expect(answer).toThrow(expect.objectContaining({ field, message: expect.stringMatching(said) as string }));
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
    /one of predict, match, correct, depth/,
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
