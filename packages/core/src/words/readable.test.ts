import fc from 'fast-check';
import { BENCH_TOOLS, POT, SHELF } from '../../test/examples';
import { anyRecipe } from '../../test/wholeRange';
import type { Figure } from '../figure/figure';
import { planFormulation } from '../plan/plan';
import { formulate } from '../recipe/materials';
import { noticeWords } from './noticeWords';
import { runSheet } from './runSheet';

/** Every figure, and every text, anywhere in a value. */
function found(value: unknown, into: { figures: Figure[]; texts: string[] } = { figures: [], texts: [] }) {
  if (typeof value === 'string') into.texts.push(value);
  if (value === null || typeof value !== 'object') return into;
  if ('sureness' in value && 'because' in value) {
    const figure = value as Figure;
    into.figures.push(figure);
    into.texts.push(figure.because);
  } else for (const one of Object.values(value)) found(one, into);
  return into;
}

/** Numbers in a text that have more figures than anybody reads, and words that stumble. */
function unreadable(text: string): string[] {
  const numbers = text.replace(/#[0-9a-f]{6}/g, '').match(/\d+(\.\d+)?(e[-+]?\d+)?/g) ?? [];
  return [
    ...numbers.filter(
      (number) =>
        number.includes('e') ||
        (number.includes('.') && number.replace('.', '').replace(/^0+/, '').length > 6),
    ),
    ...(text.match(/\b(\w+) \1\b/g) ?? []).filter((twice) => !/^\d/.test(twice)),
    ...(text.match(/(\S+ \S+) instead of \1(?!\S)/g) ?? []),
    ...(text.match(/NaN|Infinity|undefined|\[object/g) ?? []),
  ];
}

test('whatever is formulated, no text has more figures than are read, and none stumbles', () => {
  const seen = new Map<string, string>();
  fc.assert(
    fc.property(anyRecipe, (recipe) => {
      let plan;
      try {
        plan = planFormulation(formulate('x', recipe, { ...SHELF, tools: BENCH_TOOLS }, POT), {
          today: '2026-11-24',
        });
      } catch {
        return;
      }
      const formulation = formulate('x', recipe, { ...SHELF, tools: BENCH_TOOLS }, POT);
      for (const text of [
        ...found(plan).texts,
        ...plan.notices.map(noticeWords),
        ...found(runSheet(formulation, plan)).texts,
      ])
        for (const one of unreadable(text)) seen.set(text.replace(/[\d.]+/g, '#'), `${one} in: ${text}`);
    }),
    { numRuns: 150 },
  );
  expect([...seen.values()]).toEqual([]);
});
