import {
  BASE,
  undyed,
  shelf,
  DYES,
  A,
  B,
  C,
  measured,
  colors,
  ladder,
  laid,
  GROUND,
  pass,
} from '../../test/sampledHouse';
import type { Lab } from '../color/lab';
import type { ShelfColors } from '../color/shelfColors';
import { colorsOfShelf } from '../recipe/colorsOfShelf';
import type { YarnLook } from '../skein/yarnLook';
import { colorsRestOn, fiveWords, samplesWords, spreadFigure, spreadWords } from './colorWords';

describe('what colors rest on, in words', () => {
  const look = (...ids: string[]): YarnLook =>
    pass(
      GROUND,
      ids.map((id) => laid(id, 0.4)),
    );
  const words = (looks: YarnLook[], of: ShelfColors | null = colors): string =>
    colorsRestOn(looks, of, measured.dyes);
  test('picked colors where nothing was measured', () => {
    const picked = 'Colors from picked swatches, for recognizing only.';
    expect(words([look(A)], null)).toBe(picked);
    expect(words([look(DYES[5]!)])).toBe(picked);
    expect(words([])).toBe(picked);
  });
  test('samples of each dye once, however many goods it is on', () => {
    expect(words([look(A), look(A, B)])).toBe('Colors from 12 measured samples. An estimate.');
    expect(words([look(C)])).toBe('Colors from 1 measured sample. An estimate.');
  });
  test('a dye by its swatch is named; goods that are drawn by picked colors are told of', () => {
    const unmeasured = DYES[5]!;
    expect(words([look(A, unmeasured)])).toBe(
      `Colors from 6 measured samples; Dye ${unmeasured} by picked swatch, a guess. An estimate.`,
    );
    expect(words([look(A), look(unmeasured)])).toBe(
      'Colors from 6 measured samples; the rest from picked swatches, for recognizing only. An estimate.',
    );
  });
  test('what was made up is said to be', () => {
    const some = (many: number): ShelfColors =>
      colorsOfShelf(shelf([undyed(BASE), ...ladder(A).map((one, i) => ({ ...one, invented: i < many }))]))!;
    expect(words([look(A)], some(6))).toBe('Colors from 6 measured samples, all invented. An estimate.');
    expect(words([look(A)], some(2))).toBe(
      'Colors from 6 measured samples, 2 of them invented. An estimate.',
    );
    expect(samplesWords(some(6), A)).toBe('6 measured samples, all invented');
    expect(samplesWords(some(6), B)).toBeNull();
    expect(samplesWords(null, A)).toBeNull();
  });
});

describe('how sure an expected color is', () => {
  test('in words and as a figure', () => {
    expect([0.9, 1.5, 3, 9].map(spreadWords)).toEqual([
      'hardly to be told apart',
      'seen side by side only',
      'seen at a glance',
      'a guess',
    ]);
    expect(spreadFigure({ spreadDE00: 1.234, samples: 1 })).toMatchObject({
      value: 1.2,
      sureness: 'estimate',
      because: expect.stringMatching(/from 1 measured sample .* within ΔE00 1\.2/) as string,
    });
  });
  test('five dyeings of it by how the outer ones differ from the likeliest', () => {
    const of = (...labs: Lab[]): string => fiveWords({ five: labs.map((lab) => ({ lab, hex: '#808080' })) });
    expect(of([52, 0, 0], [51, 0, 0], [50, 0, 0], [49, 0, 0], [46, 0, 0])).toBe(
      'a little paler to clearly deeper',
    );
    expect(of([50.2, 0, 0], [50, 0, 0], [49.8, 0, 0])).toBe('no difference to be seen');
  });
});
