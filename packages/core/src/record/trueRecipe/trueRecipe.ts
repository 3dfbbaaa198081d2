import { figure, measuredOut, type Figure } from '../../figure/figure';
import { measureOf, type Weighed } from '../../recipe/measureOf';
import { saidById, saidTogether } from '../saidInRecord';
import type { AcidMaterial } from '../../materials/acids';
import type { MethodKind } from '../../method';
import type { ActOf, Purpose } from '../../process/act';
import { amountOf, minutesOf } from '../../process/amountOf';
import { allGiven } from '../../process/depths';
import { width } from '../../process/exposure';
import { gotBy } from '../../process/received';
import type { State, Stretch } from '../../process/state';
import { formatAmount } from '../../units/formatQuantity';
import type { Batch } from '../batch';
import type { CardAct } from '../card';
import { cardLines } from '../cardLines';
import type { FoldedRecord } from '../foldRecord';
import { doneAgain, type Repeated } from '../again/doneAgain';
import { plannedDone } from '../standing';
import { lastVerdict } from '../lastSaid';

/** One dye on one place, as it reached it in a pass. */
export interface TrueDye {
  dyeId: string;
  /** The line of the recipe it was planned for; null for dye that nobody planned. */
  line: string | null;
  /** What of the goods it reached; null: all of them. */
  stretch: Stretch | null;
  /** On what it reached. */
  depth: Figure;
}

/** One acid at one time of a pass. */
export interface TrueAcid {
  material: AcidMaterial;
  /** Of the bottle: g per 100 mL, or % pure. */
  strengthPercent: number;
  /** The first of its additions, as its line says it. */
  line: CardAct;
  amount: Figure;
  additions: number;
}

/** One wait, as it was meant and as it was. */
export interface TrueWait {
  line: CardAct;
  /** True for one that nobody planned: it was waited longer, or again. */
  more: boolean;
  /** As the card has it, min. */
  meant: number | null;
  /** By the clock, min; null where nobody started it. */
  real: number | null;
}

/** A pass as it really was. */
export interface TruePass {
  id: string;
  kind: MethodKind;
  /** How the goods lay; null where nobody said. */
  lies: ActOf<'place'>['lies'];
  dyes: TrueDye[];
  acids: TrueAcid[];
  /** Water that was run, topping up apart. */
  water: Figure | null;
  toppedUp: Figure | null;
  waits: TrueWait[];
  /** What of the card is still to go in; of a closed batch nothing. */
  toCome: CardAct[];
}

/** Spare goods that went in to catch what was left: what they took counts in no depth. */
export interface TrueCatchUp {
  name: string;
  grams: number;
  /** Dye that they took, g of standard strength. */
  dyes: { dyeId: string; grams: Figure }[];
}

/** A batch as it really was: a summary of its acts. */
export interface TrueRecipe {
  passes: TruePass[];
  catchUp: TrueCatchUp[];
  /** Heat that sets, after the last pass. */
  set: { atC: number | null; waits: TrueWait[] };
}

/** Sums the acts of a record up, pass by pass. Dye is told by the place it reached, acid by its kind and time. */
export function trueRecipe(batch: Batch, folded: FoldedRecord): TrueRecipe {
  const { card } = batch;
  const done = plannedDone(batch.events);
  const closed = lastVerdict(batch.events) !== null;
  const reached = dyesByPass(folded);
  const { repeated } = doneAgain(folded.acts, card);
  const said = saidById(batch);
  return {
    passes: card.passes.map(({ id, kind }): TruePass => {
      const acts = repeated.filter(({ act }) => act.pass === id);
      return {
        id,
        kind,
        lies: liesOf(acts),
        dyes: reached.get(id) ?? [],
        acids: acidsOf(acts, said, batch.formulation),
        water: waterOf(acts, said, (purpose) => purpose !== 'top up' && purpose !== 'soak'),
        toppedUp: waterOf(acts, said, (purpose) => purpose === 'top up'),
        waits: waitsOf(acts, batch),
        toCome: closed
          ? []
          : cardLines(card).filter(
              ({ id: line, act }) => act.pass === id && amountOf(act) !== null && !done.has(line),
            ),
      };
    }),
    catchUp: catchUpOf(folded.end),
    set: setOf(repeated, batch),
  };
}

function catchUpOf(end: State): TrueCatchUp[] {
  const after = allGiven(end);
  return after.pieces.entries().flatMap(([id, { catchUp, name, grams }]): TrueCatchUp[] => {
    if (!catchUp) return [];
    const sums = new Map<string, number>();
    for (const { dyeId, standardGrams } of gotBy(after, id))
      sums.set(dyeId, (sums.get(dyeId) ?? 0) + standardGrams);
    const dyes = [...sums].map(([dyeId, all]) => ({
      dyeId,
      grams: figure(
        all,
        'g',
        'what a wait was said to have left, and nobody else was there to take',
        'estimate',
      ),
    }));
    return [{ name, grams, dyes }];
  });
}

const liesOf = (acts: readonly Repeated[]): ActOf<'place'>['lies'] => {
  for (const { act } of acts) if (act.kind === 'place' && act.lies !== null) return act.lies;
  return null;
};

/** Every dye by pass, line and place, spare goods apart. */
function dyesByPass({ end, toTheEnd }: FoldedRecord): Map<string, TrueDye[]> {
  const lines = new Map(toTheEnd.map(({ id, act }) => [id, act.line]));
  const found = new Map<string, Map<string, Found>>();
  const after = allGiven(end);
  for (const [id, { grams }] of after.pieces.entries())
    for (const { pass, act, dyeId, stretch, standardGrams, counts } of gotBy(after, id)) {
      if (!counts || pass === null) continue;
      const line = lines.get(act) ?? null;
      const key = `${dyeId} ${line ?? ''}`;
      const mine = found.get(pass) ?? new Map<string, Found>();
      const one = mine.get(key) ?? { dyeId, line, standard: 0, reached: new Map<string, Reached>() };
      one.standard += standardGrams;
      one.reached.set(id, joined(one.reached.get(id), { grams, stretch, standard: standardGrams }));
      found.set(pass, mine.set(key, one));
    }
  return new Map(
    [...found].map(([pass, mine]) => [pass, [...mine.values()].map((one) => trueDye(one, end))] as const),
  );
}

interface Reached {
  /** What the piece weighs, g. */
  grams: number;
  stretch: Stretch;
  /** Dye that reached it there, g of standard strength. */
  standard: number;
}
interface Found {
  dyeId: string;
  line: string | null;
  standard: number;
  reached: Map<string, Reached>;
}

/**
 * Two stretches of a piece as one, with what lies between them. Across axes, as where goods that hung in by their end
 * carry some of it on, it is the one that got more.
 */
function joined(one: Reached | undefined, other: Reached): Reached {
  if (!one) return other;
  const standard = one.standard + other.standard;
  if (one.stretch.axis !== other.stretch.axis)
    return { ...(one.standard < other.standard ? other : one), standard };
  const { axis } = one.stretch;
  const from = Math.min(one.stretch.from, other.stretch.from);
  const to = Math.max(one.stretch.to, other.stretch.to);
  return { grams: one.grams, standard, stretch: { axis, from, to } };
}

function trueDye({ dyeId, line, standard, reached }: Found, end: State): TrueDye {
  const places = [...reached.values()];
  const grams = places.reduce((sum, { grams: all, stretch }) => sum + all * width(stretch), 0);
  const [first] = places;
  const whole = places.every(({ stretch }) => width(stretch) > 1 - 1e-9) && reached.size === countedIn(end);
  return {
    dyeId,
    line,
    stretch: whole || !first || width(first.stretch) > 1 - 1e-9 ? null : first.stretch,
    depth: figure(
      (100 * standard) / grams,
      '%',
      () =>
        `100 × ${formatAmount(standard, 'g')} of standard strength ÷ ${formatAmount(grams, 'g')} that it reached`,
    ),
  };
}

const countedIn = ({ pieces }: State): number => pieces.values().filter(({ catchUp }) => !catchUp).length;

type SaidById = ReturnType<typeof saidById>;

/** Acid by kind and time, in the order in which it went in. */
function acidsOf(acts: readonly Repeated[], said: SaidById, weighed: Weighed): TrueAcid[] {
  const found = new Map<string, TrueAcid & { texts: (string | null)[] }>();
  for (const { id, act, line } of acts) {
    const much = act.kind === 'put' ? amountOf(act) : null;
    if (much?.material.kind !== 'acid') continue;
    const { acid: material, strengthPercent } = much.material;
    const key = `${material} ${strengthPercent} ${act.purpose ?? ''}`;
    const one = found.get(key);
    const amount = much.amount + (one?.amount.value ?? 0);
    const additions = (one?.additions ?? 0) + 1;
    const texts = [...(one?.texts ?? []), said(id, act)];
    found.set(key, {
      material,
      strengthPercent,
      line: one?.line ?? { ...line, act },
      amount: measuredOut(
        figure(amount, much.unit, () =>
          additions === 1 ? 'as it was measured' : `${additions} additions together`,
        ),
        measureOf(much.material, saidTogether(texts), weighed),
      ),
      additions,
      texts,
    });
  }
  return [...found.values()].map(({ texts: _, ...acid }) => acid);
}

function waterOf(
  acts: readonly Repeated[],
  said: SaidById,
  isMeant: (purpose: Purpose | null) => boolean,
): Figure | null {
  const runs = acts.flatMap(({ id, act }) =>
    act.kind === 'run' && act.ml !== null && act.purpose !== 'dilution' && isMeant(act.purpose)
      ? [{ ml: act.ml, text: said(id, act) }]
      : [],
  );
  if (runs.length === 0) return null;
  return measuredOut(
    figure(
      runs.reduce((sum, { ml }) => sum + ml, 0),
      'mL',
      () => runs.map(({ ml }) => formatAmount(ml, 'mL')).join(' + '),
    ),
    { as: 'water', said: saidTogether(runs.map(({ text }) => text)) },
  );
}

/** Holds and waits; rises take what they take. */
function waitsOf(acts: readonly Repeated[], { card, events }: Batch): TrueWait[] {
  const clock = new Map(
    events.flatMap((event) =>
      event.kind === 'act' ? [[event.planned ?? event.id, minutesOf(event.act)] as const] : [],
    ),
  );
  return acts.flatMap(({ id, act, line }): TrueWait[] => {
    if (act.kind !== 'hold' && act.kind !== 'stand') return [];
    const more = !card.acts.some((planned) => planned.id === id);
    return [{ line, more, meant: more ? null : minutesOf(line.act), real: clock.get(id) ?? null }];
  });
}

function setOf(acts: readonly Repeated[], batch: Batch): TrueRecipe['set'] {
  const mine = acts.filter(({ act }) => act.pass === null);
  const held = mine.find(({ act }) => act.kind === 'hold')?.act;
  return { atC: held?.kind === 'hold' ? held.atC : null, waits: waitsOf(mine, batch) };
}
