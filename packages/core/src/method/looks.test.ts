import { methodFacts, METHOD_KINDS, sectionsOf, type MethodKind, type PassMethod } from '.';
import { drawnColor } from '../color/drawnColor';
import { plainLook, type YarnLook } from '../skein/yarnLook';
import type { Dyeing } from './method';

const UNDYED = '#f2ead8';
const BLUE = { swatchHex: '#22449a', swatchDosPercent: 1, dosPercent: 1 };
/** Undyed goods dyed blue at 1 % in every place; how tonal is what the way adds. */
const dyeing: Dyeing = { drawn: () => [BLUE], uneven: (extra) => extra };
const lookOf = (method: PassMethod): YarnLook =>
  methodFacts(method.kind).look(method, plainLook(UNDYED), dyeing);
const usual = (kind: MethodKind, changes: object = {}): PassMethod =>
  ({ ...methodFacts(kind).usual, ...changes }) as PassMethod;

/** How much more tonal than a stirred pot each way is drawn, 0 to 1: the studio's own choice, for drawing only. */
const MORE_TONAL: Partial<Record<MethodKind, number>> = {
  immersion: 0,
  'painted stack': 0,
  dip: 0,
  'cool bath': 0.05,
  painting: 0.08,
  'blank painting': 0.08,
  'own way': 0.1,
  glaze: 0.2,
  'low immersion': 0.3,
  repeated: 0.3,
  ice: 0.5,
};

test.each(Object.entries(MORE_TONAL))('%s is drawn %f more tonal than a stirred pot', (kind, extra) =>
  expect(lookOf(usual(kind as MethodKind)).unevenness).toBeCloseTo(extra, 9),
);

test('touches are drawn more tonal than painted halves', () =>
  expect(lookOf(usual('painting', { layout: 'touches' })).unevenness).toBeCloseTo(0.3, 9));

test('of every way that dyes its goods in places, the places are where it says', () => {
  for (const kind of METHOD_KINDS.filter((one) => sectionsOf(methodFacts(one).usual).length > 0)) {
    const shares = sectionsOf(usual(kind)).map(({ sharePercent }) => sharePercent / 100);
    const drawn = (method: PassMethod): YarnLook =>
      methodFacts(kind).look(method, plainLook(UNDYED), {
        drawn: (id) => (id === sectionsOf(method)[1]!.id ? [BLUE] : []),
        uneven: () => 0,
      });
    const { bands } = drawn(usual(kind));
    const dyed = bands.filter(({ hex }) => hex !== UNDYED);
    expect([kind, bands[0]!.hex, bands[0]!.share]).toEqual([kind, UNDYED, expect.closeTo(shares[0]!, 9)]);
    expect([kind, dyed.reduce((sum, { share }) => sum + share, 0)]).toEqual([
      kind,
      expect.closeTo(shares[1]!, 9),
    ]);
  }
});

test('a dip of 60 % in four steps at 1 %: four stretches of 15 %, at 1.6, 1.2, 0.8 and 0.4 %', () => {
  const { bands } = lookOf(usual('dip'));
  const at = (dosPercent: number) => drawnColor(UNDYED, [{ ...BLUE, dosPercent }]);
  expect(bands.map(({ share, hex }) => [Number(share.toFixed(9)), hex])).toEqual([
    [0.15, at(1.6)],
    [0.15, at(1.2)],
    [0.15, at(0.8)],
    [0.15, at(0.4)],
    [0.4, UNDYED],
  ]);
});

test('what is sprinkled over 30 % lies there at 1 ÷ 0.3, and never on less than a twentieth', () => {
  const speckled = (coverPercent: number) => lookOf(usual('sprinkle', { coverPercent })).speckles;
  const at = (dosPercent: number) => drawnColor(UNDYED, [{ ...BLUE, dosPercent }]);
  expect(speckled(30)).toEqual([{ hex: at(1 / 0.3), cover: 0.3 }]);
  expect(speckled(1)).toEqual([{ hex: at(20), cover: 0.01 }]);
});
