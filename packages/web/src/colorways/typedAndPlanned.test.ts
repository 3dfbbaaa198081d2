import fc from 'fast-check';
import { parseQuantity, quantityKind, type Colorway } from '@ythrion/core';
import { given, opened, typed, type QuantityText } from '../parts/quantityText';
import { draftReducer, type DraftAction, type DraftState } from './draftHistory';

/** Sequences of keys that are tried; the command `npm run typing` tries a hundred thousand. */
const MANY = Number(process.env.YTHRION_SEQUENCES ?? 2000);

const FIELDS = [
  { kind: 'dos', start: 1 },
  { kind: 'volume', start: 42.5 },
  { kind: 'dyeMass', start: 0.000625 },
] as const;

/** The amounts of a draft, in the place of a colorway, and what was typed for each. */
interface Amounts {
  amounts: readonly number[];
  written: readonly string[];
}
const asColorway = (amounts: Amounts): Colorway => amounts as unknown as Colorway;
const amountsOf = ({ present }: DraftState): Amounts => present as unknown as Amounts;

/** What can happen on a screen of amounts. */
type Happening =
  | { do: 'key'; field: number; key: string }
  | { do: 'rub out' | 'empty'; field: number }
  | { do: 'paste'; field: number; text: string }
  /** Another control changes an amount from how it stands, as the unit of another row does. */
  | { do: 'double'; field: number }
  | { do: 'undo' | 'redo' | 'open' }
  /** The screen catches up with the changes that it has not shown yet: all of them at once, as React does. */
  | { do: 'show' };

/** A screen that shows what was typed later than it was typed, as one does whose plan is heavy. */
class Screen {
  private shown: DraftState;
  private readonly waiting: { action: DraftAction; urgent: boolean }[] = [];
  readonly fields: QuantityText[];
  private now = 0;
  /** What was typed into each field since anything else changed it; null where something has. */
  readonly typing: (string | null)[] = FIELDS.map(() => null);
  /** Fields whose amount was changed by something else, all of which is not shown yet. */
  private readonly disturbed = new Set<number>();
  constructor(start: Amounts) {
    this.shown = {
      base: asColorway(start),
      present: asColorway(start),
      past: [],
      future: [],
      tag: '',
      at: 0,
      turned: 0,
    };
    this.fields = start.amounts.map((amount, i) => opened(amount, undefined, { kind: FIELDS[i]!.kind }, 0));
  }

  /** An urgent change is shown at once, over what of the others is shown already; in the end all count in their order. */
  private change(action: DraftAction, urgent: boolean): void {
    this.waiting.push({ action, urgent });
    if (urgent)
      this.render(
        this.waiting
          .filter((one) => one.urgent)
          .reduce((state, one) => draftReducer(state, one.action), this.shown),
      );
  }
  private render(state: DraftState): void {
    const { amounts, written } = amountsOf(state);
    FIELDS.forEach(({ kind }, i) => {
      this.fields[i] = given(this.fields[i]!, amounts[i], written[i] || undefined, { kind }, state.turned);
    });
  }
  private put(field: number, update: (amount: number) => number, written: string, urgent: boolean): void {
    this.now += 400;
    this.change(
      {
        kind: 'put',
        tag: String(field),
        at: this.now,
        update: (standing) => {
          const { amounts, written: texts } = standing as unknown as Amounts;
          return asColorway({
            amounts: amounts.map((amount, i) => (i === field ? update(amount) : amount)),
            written: texts.map((text, i) => (i === field ? written : text)),
          });
        },
      },
      urgent,
    );
  }
  happens(one: Happening): void {
    switch (one.do) {
      case 'key':
      case 'rub out':
      case 'empty':
      case 'paste': {
        const { text } = this.fields[one.field]!;
        const next =
          one.do === 'key'
            ? text + one.key
            : one.do === 'paste'
              ? one.text
              : one.do === 'empty'
                ? ''
                : text.slice(0, -1);
        const { kind } = FIELDS[one.field]!;
        const { state, given: amount } = typed(
          this.fields[one.field]!,
          next,
          quantityKind(kind).unit,
          { kind },
          true,
        );
        this.fields[one.field] = state;
        this.typing[one.field] = this.disturbed.has(one.field) ? null : next;
        if (amount) this.put(one.field, () => amount.value, amount.written, false);
        return;
      }
      case 'double':
        this.typing[one.field] = null;
        this.disturbed.add(one.field);
        return this.put(one.field, (amount) => 2 * amount, '', true);
      case 'undo':
      case 'redo':
        this.typing.fill(null);
        FIELDS.forEach((_, i) => this.disturbed.add(i));
        return this.change({ kind: one.do }, true);
      case 'open':
        this.typing.fill(null);
        FIELDS.forEach((_, i) => this.disturbed.add(i));
        return this.change(
          {
            kind: 'open',
            saved: asColorway({ amounts: FIELDS.map(({ start }) => start), written: FIELDS.map(() => '') }),
          },
          true,
        );
      case 'show': {
        this.shown = this.waiting
          .splice(0)
          .reduce((state, { action }) => draftReducer(state, action), this.shown);
        this.render(this.shown);
        this.disturbed.clear();
      }
    }
  }
  /** Once everything is shown: what each field says against what is planned. */
  atRest(): { text: string; planned: number; reads: number | null }[] {
    this.happens({ do: 'show' });
    return FIELDS.map(({ kind }, i) => {
      const { text } = this.fields[i]!;
      const read = parseQuantity(text, kind);
      return { text, planned: amountsOf(this.shown).amounts[i]!, reads: read.ok ? read.value : null };
    });
  }
}

const field = fc.integer({ min: 0, max: FIELDS.length - 1 });
const happening: fc.Arbitrary<Happening> = fc.oneof(
  {
    weight: 10,
    arbitrary: fc.record({
      do: fc.constant('key' as const),
      field,
      key: fc.constantFrom(...'0123456789.,/ %½gmLtspTbc-xe'),
    }),
  },
  { weight: 3, arbitrary: fc.record({ do: fc.constant('rub out' as const), field }) },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('empty' as const), field }) },
  {
    weight: 1,
    arbitrary: fc.record({
      do: fc.constant('paste' as const),
      field,
      text: fc.constantFrom(
        '1/8 tsp',
        '1 Tbsp',
        '2,5',
        '0.5 %',
        '12 mL',
        '1e3',
        '٣',
        '1.5 mg',
        '½ cup',
        ' 7 ',
        '0',
        '-1',
      ),
    }),
  },
  { weight: 1, arbitrary: fc.record({ do: fc.constant('double' as const), field }) },
  {
    weight: 2,
    arbitrary: fc.record({ do: fc.constantFrom('undo' as const, 'redo' as const, 'open' as const) }),
  },
  { weight: 4, arbitrary: fc.constant({ do: 'show' as const }) },
);

test(`${MANY} sequences of keys: what a field says and what is planned are never apart once the screen rests`, () => {
  let readable = 0;
  fc.assert(
    fc.property(fc.array(happening, { minLength: 1, maxLength: 24 }), (all) => {
      const screen = new Screen({ amounts: FIELDS.map(({ start }) => start), written: FIELDS.map(() => '') });
      for (const one of all) {
        screen.happens(one);
        screen.typing.forEach((text, i) => {
          if (text !== null && screen.fields[i]!.text !== text)
            throw new Error(`“${text}” was typed and “${screen.fields[i]!.text}” stands there.`);
        });
      }
      for (const { text, planned, reads } of screen.atRest()) {
        // What cannot be read is marked, and nothing is kept while it stands there.
        if (reads === null) continue;
        readable += 1;
        if (Math.abs(reads - planned) > 1e-5 * Math.abs(planned))
          throw new Error(`The field says “${text}”, which is ${reads}; planned is ${planned}.`);
      }
    }),
    { numRuns: MANY },
  );
  expect(readable).toBeGreaterThan(MANY);
}, 3_600_000);
