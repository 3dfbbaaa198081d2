import { BENCH_TOOLS, depth, SHELF } from '../../test/examples';
import { CITRIC, formulated, HOT, recipeOf, usual } from '../../test/readAloud';
import { begunBatch } from '../../test/records';
import { METHODS, type PassMethod } from '.';
import { planFormulation } from '../plan/plan';
import { cardLines } from '../record/cardLines';
import { formulate, type Shelf } from '../recipe/materials';
import { lineWords } from '../words/lineWords';
import { noticeWords } from '../words/noticeWords';
import { passSentence } from '../words/passSentence';
import { liesWords } from './arranged';
import type { OwnStep } from './ownStep';
import { summarizeBatch } from '../record/summary';

const VINEGAR = { material: 'vinegar', strengthPercent: 5, basis: 'gPerL', value: 1, when: 'start' };

/** What the card says of the dyeing itself: title, and detail where there is one. */
function card(method: PassMethod, changes: Record<string, unknown> = {}): string[] {
  const batch = begunBatch(formulated(method, changes));
  return cardLines(batch.card)
    .filter(({ act, id }) => act.pass === 'p1' && !/\.(soak|lift|hold\.set)/.test(id))
    .map((line) => {
      const { title, detail } = lineWords(line, { batch, dyes: SHELF.dyes });
      return detail ? `${title} — ${detail}` : title;
    });
}
const idsOf = (method: PassMethod, changes: Record<string, unknown> = {}): string[] =>
  cardLines(begunBatch(formulated(method, changes)).card).map(({ id }) => id);
const noticesOf = (method: PassMethod, changes: Record<string, unknown> = {}): string[] =>
  planOf(method, changes).notices.map(noticeWords);
const sentence = (method: PassMethod, changes: Record<string, unknown> = {}): string => {
  const recipe = recipeOf(method, changes);
  const { passes } = planFormulation(formulate('x', recipe, SHELF));
  return passSentence(recipe.passes[0]!, passes[0]!);
};

const PAINTED = {
  dyes: [depth('d1', 'blue', 1, 'blue-1', 'a'), depth('d2', 'red', 0.5, 'red-1', 'b')],
  acids: [VINEGAR],
};

/** Each as a dyer reads it down the card; written by hand. */
const CARDS: [PassMethod, Record<string, unknown>, string[]][] = [
  [
    usual('cool bath'),
    {},
    [
      'Run water into the pot',
      'Pour Vault Blue 1 %',
      'Add citric acid crystals to the bath',
      'Lift the goods in, open, and stir',
      'Leave it in the cool bath, no heat',
    ],
  ],
  [
    usual('ice'),
    {},
    [
      'Lay the damp goods on a rack over a tray',
      'Add citric acid crystals over the goods',
      'Heap ice or snow over the goods',
      'Sprinkle Vault Blue powder on the ice',
      'Let it melt, away from children and animals',
    ],
  ],
  [
    usual('painted stack'),
    { acids: [VINEGAR] },
    [
      'Lay the pieces one on another in the pan, flat',
      'Measure water to fill the paint up with',
      'Add white vinegar to the paint water',
      'Pour Vault Blue 1 %',
      'Paint the stack, 3 layers, pressing the color through',
    ],
  ],
  [
    // 0.5 % of 200 g is 1 g of powder, cut with ten times as much citric.
    usual('sprinkle'),
    { dyes: [depth('d1', 'blue', 0.5, null)] },
    [
      'Run water into the pot',
      'Add citric acid crystals to the bath',
      'Lay the goods in, just showing',
      'Weigh citric acid crystals to stir into the powder',
      'Sprinkle Vault Blue powder — Stir 10 g of those citric crystals into it first, so that it sticks on contact.',
      'Leave it to settle, nothing moved',
    ],
  ],
  [
    usual('sprinkle', { citricPerGram: 0 }),
    { dyes: [depth('d1', 'blue', 0.5, null)] },
    [
      'Run water into the pot',
      'Add citric acid crystals to the bath',
      'Lay the goods in, just showing',
      'Sprinkle Vault Blue powder',
      'Leave it to settle, nothing moved',
    ],
  ],
  [
    usual('low immersion', { turns: 1 }),
    HOT,
    [
      'Lay the goods flat in the pan',
      'Run water into the pan — Around the goods: 4 cm high once all is in.',
      'Add citric acid crystals to the bath',
      'Pour Vault Blue 1 %',
      'Heat slowly to 82 °C',
      'Hold at 82 °C until the bath clears — Turn the goods once.',
    ],
  ],
  [
    usual('low immersion', { turns: 3 }),
    HOT,
    [
      'Lay the goods flat in the pan',
      'Run water into the pan — Around the goods: 4 cm high once all is in.',
      'Add citric acid crystals to the bath',
      'Pour Vault Blue 1 %',
      'Heat slowly to 82 °C',
      'Hold at 82 °C until the bath clears — Turn the goods 3 times.',
    ],
  ],
  [
    // 200 mL of paint in all, half of it on each section.
    usual('painting'),
    PAINTED,
    [
      'Lay wrap out, and the damp hank on it',
      'Measure water to fill the paint up with',
      'Add white vinegar to the paint water',
      'Pour Vault Blue 1 %',
      'Fill up to 100 mL and paint Section A — 50 % of the hank. Press the color in, blot what stands, look underneath.',
      'Pour Bell Red 1 %',
      'Fill up to 100 mL and paint Section B — 50 % of the hank. Press the color in, blot what stands, look underneath.',
    ],
  ],
];

test.each(CARDS.map((one) => [one[0].kind, ...one] as const))(
  'what the card of %s says',
  (_, method, changes, lines) => {
    expect(card(method, changes)).toEqual(lines);
  },
);

test('acid “when warm” has a rise of its own only where the bath gets hotter than that', () => {
  const ids = (temperatureC: number): string[] =>
    idsOf(usual('immersion'), {
      acids: [{ ...CITRIC, when: 'warm' }],
      heat: { temperatureC, minutes: 20 },
    }).filter((id) => /heat|acid/.test(id));
  expect(ids(60)).toEqual(['p1.acid.warm', 'p1.heat', 'heat']);
  expect(ids(61)).toEqual(['p1.heat.warm', 'p1.acid.warm', 'p1.heat', 'heat']);
  expect(idsOf(usual('immersion'), HOT).filter((id) => id.includes('heat'))).toEqual(['p1.heat', 'heat']);
});

test('doses that are not waited for have no wait between them, and keep their numbers', () => {
  expect(
    idsOf(usual('repeated', { minutes: 0, repeats: 3 })).filter((id) => /dye|lift|tie|hold/.test(id)),
  ).toEqual([
    'p1.dye.d1',
    'p1.handle.re-tie',
    'p1.dye.d1.dose2',
    'p1.handle.re-tie:2',
    'p1.dye.d1.dose3',
    'hold.set',
  ]);
  const waits = idsOf(usual('repeated', { minutes: 10, repeats: 2 })).filter((id) => id.includes('strike'));
  expect(waits).toHaveLength(2);
});

test('a stack that keeps all of its paint drains nothing from layer to layer', () => {
  const acts = (drainPercent: number): string[] =>
    begunBatch(formulated(usual('painted stack', { drainPercent }))).card.acts.map(({ id }) => id);
  expect(acts(0).filter((id) => id.includes('drain'))).toEqual([]);
  expect(acts(20).filter((id) => id.includes('drain'))).toEqual(['p1.drain.layer1', 'p1.drain.layer2']);
  expect(acts(20).filter((id) => id.includes('paint.'))).toEqual([
    'p1.paint.layer1',
    'p1.paint.layer2',
    'p1.paint.layer3',
  ]);
});

test('stock for a section is said to be too much only once it is more than the paint', () => {
  const said = (percent: number): boolean =>
    noticesOf(usual('painting'), {
      dyes: [depth('d1', 'blue', percent, 'blue-1', 'a'), depth('d2', 'red', 0.5, 'red-1', 'b')],
      acids: [],
    }).some((notice) => notice.includes('more than the'));
  // 1 % of the 100 g of a section is 100 mL of 1 %, just what the section takes up.
  expect([said(0.9), said(1), said(1.01)]).toEqual([false, false, true]);
});

test('a pass as one sentence says how long it waits without heat', () => {
  expect(sentence(usual('ice'))).toBe('Vault Blue, 1 %, ice or snow, acid at the start, melts in 8 h');
  expect(sentence(usual('cool bath'))).toBe('Vault Blue, 1 %, cool bath, acid at the start, 12 h cold');
  expect(sentence(usual('immersion'), HOT)).toMatch(/20 min at 82 °C$/);
  const steps = METHODS['own way'].usual.steps;
  // The usual steps hold once for 20 min and stand not at all.
  expect(sentence(usual('own way'))).toMatch(/6 steps, 20 min of waits$/);
  expect(sentence(usual('own way', { steps: steps.filter((step) => step.do !== 'hold') }))).toMatch(
    /5 steps$/,
  );
});

test('the steps of an own way read as what is done', () => {
  const titles = (changes: object[]): string[] =>
    card(usual('own way', { steps: [...METHODS['own way'].usual.steps.slice(0, 5), ...changes] })).slice(5);
  expect(
    titles([
      { do: 'hold', minutes: 15, untilClear: false },
      { do: 'hold', minutes: 15, untilClear: true },
      { do: 'stand', minutes: 30, untilClear: false },
      { do: 'stand', minutes: 30, untilClear: true },
    ]),
  ).toEqual([
    'Hold at 82 °C',
    'Hold at 82 °C until the bath clears',
    'Leave it to stand',
    'Leave it to stand until the bath clears',
  ]);
  const [, , ...rest] = card(
    usual('own way', {
      steps: [
        { do: 'water', sharePercent: 100 },
        { do: 'dye', lineId: null },
        { do: 'goods in', sharePercent: 40 },
        { do: 'dye', lineId: null },
        { do: 'acid', acidId: 'acid1' },
      ],
    }),
  );
  expect(rest).toEqual([
    'Hang the goods in, 40 % of the length',
    'Pour Vault Blue 1 % — Dose 2 of 2.',
    'Add citric acid crystals to the bath',
  ]);
});

test('how goods lie, in a word', () => {
  expect(liesWords({ kind: 'open', count: 1 })).toBeNull();
  expect(liesWords({ kind: 'laid flat', count: 1 })).toBe('laid flat');
  expect(liesWords({ kind: 'knotted', count: 3 })).toBe('knotted 3×');
});

const planOf = (method: PassMethod, changes: Record<string, unknown> = {}, shelf: Shelf = SHELF) =>
  planFormulation(formulate('x', recipeOf(method, changes), shelf));
const acts = (method: PassMethod, changes: Record<string, unknown> = {}, shelf: Shelf = SHELF) =>
  planOf(method, changes, shelf).lines.filter(({ act }) => act.pass === 'p1');

test('acid goes into the paint water; where there is none, what is liquid has a cup and crystals go over the goods', () => {
  /** 200 mL of paint; from a jar of 1 % blue takes 100 mL a percent and half the goods. */
  const into = (acid: object, percent: number): unknown =>
    acts(usual('painting'), {
      dyes: [depth('d1', 'blue', percent, 'blue-1', 'a'), depth('d2', 'red', percent, 'red-1', 'b')],
      acids: [acid],
    })
      .flatMap(({ act }) => (act.kind === 'put' && act.material.kind === 'acid' ? [act.into] : []))
      .at(0);
  expect(into(CITRIC, 0.5)).toEqual({ vessel: 'cup.p1.water' });
  expect(into(VINEGAR, 0.5)).toEqual({ vessel: 'cup.p1.water' });
  expect(into(VINEGAR, 1)).toEqual({ vessel: 'cup.p1.water' });
  expect(into(CITRIC, 1)).toMatchObject({ place: { from: 0, to: 1 } });
});

test('an own way holds where it was heated to last, and where nothing was heated, as it stands', () => {
  const water: OwnStep = { do: 'water', sharePercent: 100 };
  const inIt: OwnStep = { do: 'goods in', sharePercent: 100 };
  const held = (minutes: number): OwnStep => ({ do: 'hold', minutes, untilClear: false });
  const holds = (steps: OwnStep[]): unknown[] =>
    acts(usual('own way', { steps: [water, { do: 'dye', lineId: null }, inIt, ...steps] })).flatMap(
      ({ act }) =>
        act.kind === 'hold' && act.purpose === 'bath' ? [[act.atC, act.minutes, act.onHeat]] : [],
    );
  expect(
    holds([
      { do: 'heat', temperatureC: 60 },
      held(5),
      { do: 'heat', temperatureC: 82 },
      { do: 'lift' },
      held(7),
    ]),
  ).toEqual([
    [60, 5, true],
    [82, 7, true],
  ]);
  const [[atC]] = holds([held(5), { do: 'heat', temperatureC: 60 }]) as [[number]];
  expect(atC).toBeCloseTo(20, 0);
  expect(holds([{ do: 'heat', temperatureC: 60 }, held(0)])).toEqual([]);
});

test('each line of an own way goes in at its own step, once thinned, and each acid at its', () => {
  const two = {
    dyes: [depth('d1', 'blue', 1, 'blue-1'), depth('d2', 'red', 0.5, 'red-1')],
    acids: [CITRIC, { ...VINEGAR, id: 'acid2' }],
  };
  const steps: OwnStep[] = [
    { do: 'water', sharePercent: 100 },
    { do: 'dye', lineId: 'd1' },
    { do: 'acid', acidId: 'acid2' },
    { do: 'goods in', sharePercent: 100 },
    { do: 'dye', lineId: 'd2' },
    { do: 'acid', acidId: 'acid1' },
  ];
  expect(card(usual('own way', { steps }), two)).toEqual([
    'Run water into the pot',
    'Pour Vault Blue 1 %',
    'Add white vinegar to the bath',
    'Lift the goods in',
    'Pour Bell Red 1 %',
    'Add citric acid crystals to the bath',
  ]);
  const dilutes = acts(
    usual('own way', {
      steps: [
        ...steps.slice(0, 1),
        { do: 'dye', lineId: null },
        { do: 'goods in', sharePercent: 100 },
        { do: 'dye', lineId: null },
      ],
    }),
    { dyes: [depth('d1', 'blue', 0.004, 'blue-1')] },
    { ...SHELF, tools: BENCH_TOOLS } as Shelf,
  ).map(({ id }) => id);
  expect(dilutes.filter((id) => /dilut|thin/.test(id)).length).toBe(
    new Set(dilutes.filter((id) => /dilut|thin/.test(id))).size,
  );
  expect(dilutes.filter((id) => id.startsWith('p1.dye.d1') && !/dilut/.test(id))).toHaveLength(2);
});

test('what no step of an own way says is named: dye blocks, acid does not', () => {
  const { notices } = planOf(
    usual('own way', {
      steps: [
        { do: 'water', sharePercent: 100 },
        { do: 'goods in', sharePercent: 100 },
      ],
    }),
  );
  expect(
    notices
      .map((one) => [one.blocks ?? false, noticeWords(one)] as const)
      .filter(([, said]) => said.includes('at no step')),
  ).toEqual([
    [true, 'Vault Blue goes in at no step: give it one, or take the line out.'],
    [false, 'Acid 1, citric acid crystals, goes in at no step and is left out.'],
  ]);
});

test('what is already as hot as it is to be is not heated again', () => {
  const recipe = recipeOf(usual('immersion'), HOT);
  const again = {
    ...recipe.passes[0]!,
    id: 'p2',
    dyes: [{ ...recipe.passes[0]!.dyes[0]!, id: 'd2' }],
    water: { basis: 'kept' as const },
    acids: [],
  };
  const heats = (temperatureC: number): string[] =>
    planFormulation(
      formulate(
        'x',
        { ...recipe, passes: [recipe.passes[0]!, { ...again, heat: { ...again.heat!, temperatureC } }] },
        SHELF,
      ),
    )
      .lines.filter(({ act }) => act.kind === 'heat')
      .map(({ id }) => id);
  expect(heats(90)).toContain('p2.heat');
  expect(heats(40)).not.toContain('p2.heat');
});

test('a hold is on the heat only where the pass is led hot', () => {
  const onHeat = (heat: object | null): unknown[] =>
    acts(usual('dip'), { heat }).flatMap(({ act }) => (act.kind === 'hold' ? [[act.atC, act.onHeat]] : []));
  expect(new Set(onHeat(HOT.heat).map(String))).toEqual(new Set(['82,true']));
  expect(new Set(onHeat(null).map(String))).toEqual(new Set([',false']));
});

test('a repeated way lifts dripping by its number, and each dose but none other strikes until clear', () => {
  const all = acts(usual('repeated', { minutes: 10, repeats: 3 }));
  expect(all.filter(({ act, id }) => act.kind === 'lift' && /lift\.\d/.test(id)).map(({ id }) => id)).toEqual(
    ['p1.lift.2', 'p1.lift.3'],
  );
  expect(
    all.flatMap(({ act }) => (act.kind === 'hold' && act.purpose === 'strike' ? [act.untilClear] : [])),
  ).toEqual([true, true, true]);
});

test('a pan holds area times wall, and what needs more is over the rim', () => {
  const pan = { shape: 'rectangular', lengthCm: 50, widthCm: 20 };
  const { passes } = planOf(usual('low immersion', { pan, wallCm: 10, depthCm: 4 }));
  const why = (name: string): string | undefined =>
    passes[0]!.figures.find((one) => one.name === name)!.figure.because;
  // 50 cm × 20 cm.
  expect(why('Pan holds to the rim')).toBe('1000 cm² × 10 cm');
  expect(why('Goods per area')).toBe('200 g on 1000 cm², per 100 cm²');
  const over = (wallCm: number): boolean =>
    planOf(usual('low immersion', { pan, wallCm, depthCm: 4 })).notices.some((one) =>
      noticeWords(one).includes('to the rim'),
    );
  // What it needs: its bath and 200 g of goods, on 1000 cm².
  const full = (passes[0]!.bath.value + 200) / 1000;
  expect([over(full * 1.001), over(full * 0.999)]).toEqual([false, true]);
});

test('several powders share what is covered; painting across lies across', () => {
  const looks = (method: PassMethod, changes: Record<string, unknown>) =>
    summarizeBatch(begunBatch(formulated(method, changes)), SHELF.dyes).look;
  const two = { dyes: [depth('d1', 'blue', 0.5, null), depth('d2', 'red', 0.5, null)] };
  const where = (look: ReturnType<typeof looks>) => look.coats[0]!.parts.map((part) => part.where);
  expect(where(looks(usual('sprinkle', { coverPercent: 30 }), two))).toEqual([
    { kind: 'specks', share: 0.15 },
    { kind: 'specks', share: 0.15 },
  ]);
  const laid = (layout: string) => where(looks(usual('painting', { layout }), PAINTED))[0]!.kind;
  expect([laid('across'), laid('around')]).toEqual(['along', 'around']);
});

test('a glaze is left untouched; three doses ten minutes apart take twenty from the first to the last', () => {
  expect(card(usual('glaze')).at(-1)).toBe('Leave the glaze untouched');
  const { passes } = planOf(usual('repeated', { minutes: 10, repeats: 3 }));
  const figure = passes[0]!.figures.find(
    ({ name }) => name === 'Time between the first dose and the last',
  )!.figure;
  expect([figure.value, figure.unit]).toEqual([20, 'min']);
});

test('sections across a hank lie along its length, those around it go round the loop', () => {
  const axes = (layout: string): unknown[] =>
    acts(usual('painting', { layout }), PAINTED).flatMap(({ act }) =>
      act.kind === 'move' && act.purpose === 'paint' && act.to && 'place' in act.to
        ? [act.to.place.axis]
        : [],
    );
  expect(axes('across')).toEqual(['along', 'along']);
  expect(axes('around')).toEqual(['around', 'around']);
});
