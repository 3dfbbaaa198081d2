import { methodFacts, METHOD_KINDS, sectionsOf, type MethodKind, type PassMethod } from '.';
import type { Drawn, WayLook } from './method';

const BLUE = { swatchHex: '#22449a', swatchDosPercent: 1, dosPercent: 1 };
const blue: Drawn = () => [BLUE];
const lookOf = (method: PassMethod, drawn = blue): WayLook => methodFacts(method.kind).look(method, drawn);
const usual = (kind: MethodKind, changes: object = {}): PassMethod =>
  ({ ...methodFacts(kind).usual, ...changes }) as PassMethod;

/** How much more tonal than a stirred pot each way is drawn, 0 to 1: the studio's own choice, for drawing only. */
const MORE_TONAL: Partial<Record<MethodKind, number>> = {
  immersion: 0,
  'painted stack': 0,
  dip: 0,
  sprinkle: 0,
  'cool bath': 0.05,
  painting: 0.08,
  'blank painting': 0.08,
  'own way': 0.1,
  glaze: 0.2,
  'low immersion': 0.3,
  repeated: 0.3,
  ice: 0.2,
};

test.each(Object.entries(MORE_TONAL))('%s is drawn %f more tonal than a stirred pot', (kind, tonal) =>
  expect(lookOf(usual(kind as MethodKind)).tonal).toBeCloseTo(tonal, 9),
);

test('of every way that paints its goods in places, the places are where it says', () => {
  for (const kind of METHOD_KINDS.filter((one) => sectionsOf(methodFacts(one).usual).length > 0)) {
    const method = usual(kind);
    const [first, second] = sectionsOf(method).map(({ sharePercent }) => sharePercent / 100);
    const [coat] = lookOf(method, (id) => (id === sectionsOf(method)[1]!.id ? [BLUE] : [])).coats;
    expect([kind, coat![0]!.dyes, coat![1]]).toEqual([
      kind,
      [],
      { where: { kind: expect.any(String) as string, from: first, to: first! + second! }, dyes: [BLUE] },
    ]);
  }
});

test('painting lies around the ring, across both legs, or in touches, each of its own share', () => {
  const where = (layout: string) => lookOf(usual('painting', { layout })).coats[0]!.map((part) => part.where);
  expect(where('around')).toEqual([
    { kind: 'around', from: 0, to: 0.5 },
    { kind: 'around', from: 0.5, to: 1 },
  ]);
  expect(where('across')).toEqual([
    { kind: 'along', from: 0, to: 0.5 },
    { kind: 'along', from: 0.5, to: 1 },
  ]);
  expect(where('touches')).toEqual([
    { kind: 'touches', share: 0.5 },
    { kind: 'touches', share: 0.5 },
  ]);
});

test('a dip of 60 % in four steps at 1 %: four stretches of 15 %, at 1.6, 1.2, 0.8 and 0.4 %', () => {
  const [coat] = lookOf(usual('dip')).coats;
  const round = (n: number): number => Number(n.toFixed(9));
  expect(
    coat!.map(({ where, dyes }) =>
      where.kind === 'along' ? [round(where.from), round(where.to), round(dyes[0]!.dosPercent)] : where,
    ),
  ).toEqual([
    [0, 0.15, 1.6],
    [0.15, 0.3, 1.2],
    [0.3, 0.45, 0.8],
    [0.45, 0.6, 0.4],
  ]);
});

test('what is sprinkled over 30 % lies there at 1 ÷ 0.3, and never on less than a twentieth', () => {
  const speckled = (coverPercent: number) => lookOf(usual('sprinkle', { coverPercent })).coats[0];
  const specks = (share: number, dosPercent: number) => [
    { where: { kind: 'specks', share }, dyes: [{ ...BLUE, dosPercent }] },
  ];
  expect(speckled(30)).toEqual(specks(0.3, 1 / 0.3));
  expect(speckled(1)).toEqual(specks(0.01, 20));
});

test('each dye on ice drips its own way', () =>
  expect(lookOf(usual('ice'), () => [BLUE, BLUE]).coats).toEqual([
    [{ where: { kind: 'drips' }, dyes: [BLUE] }],
    [{ where: { kind: 'drips' }, dyes: [BLUE] }],
  ]));
