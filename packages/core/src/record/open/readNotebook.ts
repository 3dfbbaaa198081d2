import { ACIDS, ACID_MATERIALS, type AcidMaterial } from '../../materials/acids';
import type { Act, ActOf } from '../../process/act';
import { quantityFor } from '../../recipe/quantityFor';
import { amountAtHead, amountWithin } from '../../units/amountAtHead';
import { splitNote } from '../../recipe/oldNote';
import { readingOf, type Powders } from '../../recipe/readingOf';
import type { Dye } from '../../shelf/dye';
import type { Stock } from '../../shelf/stock';
import { formatAmount } from '../../units/formatQuantity';
import { parseQuantity, type ParseContext } from '../../units/parseQuantity';
import type { QuantityKindName } from '../../units/quantityKinds';
import { alsoDoneAct, type Doing, type Said } from './doneActs';
import { OPEN_PASS, OPEN_VESSEL } from './openBatch';

/** One piece of an old note, and what it was read as. */
export interface NotebookPiece {
  /** As it was written. */
  text: string;
  /** As it was taken, where more had to be understood. */
  said: string;
  acts: Act[];
  /** How the amount of each act was written; null where the note gives it otherwise. */
  amounts: (string | null)[];
  /** Dry goods it speaks of, g; null for none. */
  goodsGrams: number | null;
  /** Why it could not be read; null when it could. */
  problem: string | null;
}

/** What is on the shelf that a note may speak of. */
export interface NotebookShelf {
  dyes: readonly Dye[];
  stocks: readonly Stock[];
  studio: Powders['studio'];
}

/**
 * Reads an old note as it was said, such as “1/8 tsp of Vault Blue in 1/2 cup on 4 oz, vinegar, simmered 30 min”: piece by
 * piece, each as what was done. What cannot be read stays as it was written, with why.
 */
export function readNotebook(text: string, shelf: NotebookShelf): NotebookPiece[] {
  return piecesOf(text).map((piece) => {
    for (const read of READERS) {
      const found = read(piece.said, shelf);
      if (found) return { ...piece, acts: [], amounts: [], goodsGrams: null, problem: null, ...found };
    }
    return {
      ...piece,
      acts: [],
      amounts: [],
      goodsGrams: null,
      problem:
        'This is kept as a note only. Say what went in and how much, or what was done and for how long.',
    };
  });
}

type Piece = Pick<NotebookPiece, 'text' | 'said'>;

/** Pieces between commas and the like; “used 1/4 cup on 4 oz” or “6 tbsp on 4 oz” belongs to the powder and water before it. */
function piecesOf(text: string): Piece[] {
  const parts = text
    .split(/[,;\n]|\.\s|\bthen\b|\band then\b/i)
    .map((part) => part.trim().replace(/\.$/, ''))
    .filter((part) => part !== '');
  return parts.reduce<Piece[]>((pieces, part) => {
    const piece = { text: part, said: part };
    const last = pieces.at(-1);
    // How the bath was after a wait belongs to the wait.
    if (last && /^(?:until |bath |till )?clear$/i.test(part))
      return [...pieces.slice(0, -1), { text: `${last.text}, ${part}`, said: `${last.said} until clear` }];
    if (!last || splitNote(last.said)) return [...pieces, piece];
    const used = /^(?:used|poured|took)\s/i.test(piece.said) ? piece.said : `used ${piece.said}`;
    const joined = { text: `${last.text}, ${part}`, said: `${last.said}, ${used}` };
    return isPoured(used) && splitNote(joined.said) ? [...pieces.slice(0, -1), joined] : [...pieces, piece];
  }, []);
}

/** Whether some words say what was used of a powder in water: all of it, or an amount of it on goods. */
function isPoured(used: string): boolean {
  const of = used.replace(/^(?:used|poured|took)\s+/i, '');
  if (/^all\b/i.test(of)) return true;
  const head = amountAtHead(of);
  return head !== null && (head.what === '' || /^(?:on|onto|for|over)\b/i.test(head.what));
}

type Found = Partial<Omit<NotebookPiece, 'text'>>;
type Reader = (piece: string, shelf: NotebookShelf) => Found | null;

const common = { pass: OPEN_PASS, line: null, purpose: 'unplanned' } as const;

const water = (ml: number): Act => ({ kind: 'run', ...common, vessel: OPEN_VESSEL, ml, celsius: null });

const dyePut = (dye: Dye, amount: number, stock: Pick<Stock, 'id' | 'strengthPercent'> | null): Act => ({
  kind: 'put',
  ...common,
  material: {
    kind: 'dye',
    dyeId: dye.id,
    stockId: stock?.id === '' ? null : (stock?.id ?? null),
    strengthPercent: stock?.strengthPercent ?? null,
    lotStrength: dye.lotStrength,
  },
  amount,
  unit: stock ? 'mL' : 'g',
  into: { vessel: OPEN_VESSEL },
});

/** The dye whose name is in some words; the longest name where several are. */
const dyeIn = (words: string, dyes: readonly Dye[]): Dye | null =>
  dyes
    .filter(({ name }) => words.toLowerCase().includes(name.toLowerCase()))
    .toSorted((one, other) => other.name.length - one.name.length)[0] ?? null;

const unknownDye = (words: string, dyes: readonly Dye[]): Found => ({
  problem:
    words === ''
      ? `Say of which dye, such as “1/2 tsp ${dyes[0]?.name ?? 'Vault Blue'} in 1 cup”.`
      : `There is no dye called “${words}” on the shelf. Put it there first, or write its name as it is there.`,
});

/** `1/8 tsp of X in 1/2 cup on 4 oz`, and what of it was used. */
const powderInWater: Reader = (piece, shelf) => {
  const { dyes } = shelf;
  const note = splitNote(piece) ?? splitNote(`${piece} on 100 g`);
  if (!note) return null;
  const dye = dyeIn(note.dyeName, dyes);
  if (!dye) return unknownDye(note.dyeName, dyes);
  const context = readingOf({ kind: 'dye', dyeId: dye.id, strengthPercent: null }, shelf);
  const grams = amountIn(note.powder, 'dyeMass', context);
  const ml = amountIn(note.water, 'volume', context);
  const used = note.poured === '' ? ml : amountIn(note.poured, 'volume', context);
  const goods = splitNote(piece)
    ? amountIn(note.goods.replace(/\s+of\s.*$/i, ''), 'fiberMass', context)
    : null;
  for (const one of [grams, ml, used, goods]) if (typeof one === 'string') return { problem: one };
  if (Number(used) > 1.001 * Number(ml))
    return {
      problem: `${formatAmount(Number(used), 'mL')} is more than the ${formatAmount(Number(ml), 'mL')} there was.`,
    };
  const share = Math.min(1, Number(used) / Number(ml));
  return {
    acts: [dyePut(dye, Number(grams) * share, null), water(Number(ml) * share)],
    // What was used of it says how much dye that was, and nobody wrote that down.
    amounts: note.poured === '' ? [note.powder, note.water] : [null, note.poured],
    goodsGrams: goods === null ? null : Number(goods),
  };
};

/** Amounts that nobody measured. */
const BY_EYE = /splash|pinch|dash|smidgen/i;

/** What may stand before an amount. */
const BEFORE = /^(?:added|plus|with|in|and|put in|poured in)\s+/i;

const measured: Reader = (piece, shelf) => {
  const { dyes, stocks } = shelf;
  const { spoons } = shelf.studio;
  const found = amountAtHead(piece.replace(BEFORE, ''), { spoons });
  if (!found || found.what === '') return null;
  const { much, what } = found;
  if (/\bwater\b/i.test(what)) return oneAct(amountIn(much, 'volume', { spoons }), water, much);
  const acid = acidIn(what);
  if (acid) {
    const material = acidMaterial(acid);
    const amount = amountIn(much, quantityFor(material, ACIDS[acid].unit), readingOf(material, shelf));
    // What nobody measured stays unmeasured: a splash is no 15 mL in a record.
    const isMeasured = typeof amount === 'number' && !BY_EYE.test(much);
    return { acts: [acidPut(acid, isMeasured ? amount : null)], amounts: [much] };
  }
  const dye = dyeIn(what, dyes);
  if (!dye) return /\b(?:goods|yarn|wool|silk|nylon|skeins?)\b/i.test(what) ? null : unknownDye(what, dyes);
  const percent = /(\d+(?:\.\d+)?)\s*%/.exec(what)?.[1];
  if (percent === undefined)
    return oneAct(
      amountIn(much, 'dyeMass', readingOf({ kind: 'dye', dyeId: dye.id, strengthPercent: null }, shelf)),
      (grams) => dyePut(dye, grams, null),
      much,
    );
  const strengthPercent = Number(percent);
  const jar = stocks.find((stock) => stock.dyeId === dye.id && stock.strengthPercent === strengthPercent);
  return oneAct(
    amountIn(much, 'volume', { spoons }),
    (ml) => dyePut(dye, ml, { id: jar?.id ?? '', strengthPercent }),
    much,
  );
};

const acidIn = (words: string): AcidMaterial | null =>
  ACID_MATERIALS.toSorted((one, other) => other.length - one.length).find((material) =>
    words.toLowerCase().includes(ACIDS[material].short),
  ) ?? null;

const acidMaterial = (acid: AcidMaterial): Extract<ActOf<'put'>['material'], { kind: 'acid' }> => ({
  kind: 'acid',
  acid,
  strengthPercent: ACIDS[acid].usualStrength,
});

const acidPut = (acid: AcidMaterial, amount: number | null): Act => ({
  kind: 'put',
  ...common,
  material: acidMaterial(acid),
  amount,
  unit: ACIDS[acid].unit,
  into: { vessel: OPEN_VESSEL },
});

/** `a splash of vinegar`, or just `vinegar`. */
const acidSomehow: Reader = (piece) => {
  const acid = acidIn(piece);
  return acid && !/\d/.test(piece) ? { acts: [acidPut(acid, null)] } : null;
};

/** `on 4 oz of sock yarn`. */
const goods: Reader = (piece, { studio: { spoons } }) => {
  const said = /^(?:on|for|over)\s+(?<goods>.+?)(?:\s+of\s.*)?$/i.exec(piece)?.groups?.goods;
  if (said === undefined) return null;
  const grams = amountIn(said, 'fiberMass', { spoons });
  return typeof grams === 'string' ? { problem: grams } : { goodsGrams: grams };
};

/** Words for what was done, with what each is. The first that fits counts. */
const DONE: [RegExp, Doing][] = [
  [/\b(?:rinsed?|washed?)\b/i, 'rinse'],
  [/\b(?:dried|dry|hung)\b/i, 'dry'],
  [/\b(?:simmer\w*|held|hold|cook\w*|steam\w*|boil\w*|baked?)\b/i, 'hold'],
  [/\b(?:heated|brought|warmed)\b/i, 'heat'],
  [/\b(?:left|stood|stand|rest\w*|sat|overnight|cool\w*)\b/i, 'stand'],
  [/\bturned\b/i, 'turn'],
  [/\b(?:twisted|tied|knotted)\b/i, 're-tie'],
  [/\b(?:lifted|taken out|took out|pulled out)\b/i, 'lift'],
  [/\b(?:poured (?:away|off|out)|drained)\b/i, 'pour away'],
  [/\b(?:goods|yarn|skeins?|wool) (?:in|went in|put in)\b/i, 'goods in'],
];

/** What is usual where a note says “simmered” and no more, °C (common practice, no source). */
const SIMMER_C = 88;

const done: Reader = (piece) => {
  const doing = DONE.find(([words]) => words.test(piece))?.[1];
  if (doing === undefined) return null;
  const degrees = amountWithin(piece, 'temperature');
  const celsius = degrees === null ? null : amountIn(degrees, 'temperature', {});
  const span = amountWithin(piece, 'minutes');
  const minutes = span === null ? null : amountIn(span, 'minutes', {});
  if (typeof celsius === 'string') return { problem: celsius };
  if (typeof minutes === 'string') return { problem: minutes };
  if ((doing === 'hold' || doing === 'stand') && minutes === null)
    return { problem: 'Say for how long, such as “simmered 30 min”.' };
  if (doing === 'heat' && celsius === null) return { problem: 'Say how hot, such as “heated to 85 C”.' };
  const said: Said = {
    ...(minutes !== null && { minutes }),
    ...(celsius !== null ? { celsius } : doing === 'hold' ? { celsius: SIMMER_C } : {}),
    clear: /\bclear\b/i.test(piece),
  };
  return { acts: [alsoDoneAct(OPEN_VESSEL, OPEN_PASS, doing, said)] };
};

const READERS: readonly Reader[] = [powderInWater, measured, goods, done, acidSomehow];

/** An amount, or why it cannot be read. */
function amountIn(text: string, kind: QuantityKindName, context: ParseContext): number | string {
  const read = parseQuantity(text, kind, context);
  return read.ok ? read.value : read.problem;
}

const oneAct = (amount: number | string, of: (amount: number) => Act, much: string): Found =>
  typeof amount === 'string' ? { problem: amount } : { acts: [of(amount)], amounts: [much] };
