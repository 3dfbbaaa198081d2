import { BLUE, formulation, RED, SHELF } from '../../test/examples';
import { premixSwatch } from '../recipe/premixSwatch';
import { planFormulation } from '../plan/plan';
import { noticeWords } from '../words/noticeWords';
import { behaviorWords, neverClears, UNKNOWN_BEHAVIOR, type Behavior } from './behavior';
import { dyeSchema } from './dye';

const behaves = (changes: Partial<Behavior>): Behavior => ({ ...UNKNOWN_BEHAVIOR, ...changes });

test('a dye of which nothing is known says nothing', () => {
  expect(behaviorWords(UNKNOWN_BEHAVIOR)).toEqual([]);
  expect(dyeSchema.parse({ id: 'd', name: 'Any', swatchHex: '#808080' }).behavior).toEqual(UNKNOWN_BEHAVIOR);
});

test('a tint that stayed is known of the dye from then on, once', () => {
  const known = neverClears(behaves({ clears: 'clears', clearsMinutes: 40, clearsAtC: 85, bleeds: true }));
  expect(known).toEqual(behaves({ clears: 'never', bleeds: true }));
  expect(known && neverClears(known)).toBeNull();
});

test('all that can be known, in a few words each', () =>
  expect(
    behaviorWords(
      behaves({
        strikes: 'slow',
        clears: 'clears',
        clearsMinutes: 40,
        clearsAtC: 85,
        bleeds: true,
        breaks: true,
        littleGoesFar: true,
        deepestPercent: 2,
      }),
    ),
  ).toEqual([
    'strikes slow',
    'clears in about 40 min at 85 °C',
    'bleeds',
    'breaks into its parts when sprinkled',
    'a little goes far',
    'no deeper than 2 %',
  ]));

test.each<[Partial<Behavior>, RegExp]>([
  [{ deepestPercent: 0.01 }, /is deeper than the 0\.01 % you know it takes/],
  [{ clears: 'never' }, /never quite clears: hold by the clock/],
  [{ bleeds: true }, /bleeds: plan a cool acid soak/],
])('%j is spoken of where it is used', (known, words) => {
  const planned = formulation();
  const { notices } = planFormulation({
    ...planned,
    dyes: planned.dyes.map((dye) => ({ ...dye, behavior: behaves(known) })),
  });
  expect(notices.map(noticeWords).join('\n')).toMatch(words);
});

test('nothing is said of what nobody knows', () => {
  const codes = planFormulation(formulation()).notices.map(({ code }) => code as string);
  expect(codes).not.toEqual(expect.arrayContaining(['never clears']));
  expect(codes).not.toContain('bleeds');
  expect(codes).not.toContain('over deepest');
});

test('a premix is drawn in the color of its parts', () => {
  const mix = (red: number) =>
    premixSwatch(
      {
        id: 'mix',
        name: 'Mix',
        madeOf: [{ dyeId: 'blue', parts: 1 }, ...(red > 0 ? [{ dyeId: 'red', parts: red }] : [])],
      },
      SHELF.dyes,
    );
  // A premix of blue alone is drawn as blue is at 1 %, on undyed wool.
  expect(mix(0)).toBe(
    premixSwatch({ id: 'one', name: 'One', madeOf: [{ dyeId: 'blue', parts: 3 }] }, SHELF.dyes),
  );
  const redOf = (hex: string): number => Number.parseInt(hex.slice(1, 3), 16);
  expect(redOf(mix(3))).toBeGreaterThan(redOf(mix(1)));
  expect(redOf(mix(1))).toBeGreaterThan(redOf(mix(0)));
  expect([BLUE.id, RED.id]).toEqual(['blue', 'red']);
});
