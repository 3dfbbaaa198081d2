import type { Written } from '../../method/line';
import { broughtGoods, broughtVessel } from '../../plan/brought';
import type { Act, ActOf } from '../../process/act';
import { named, type Shelf } from '../../recipe/materials';
import type { Formulation, GoodsLine } from '../../recipe/recipe';
import type { Repeated } from './doneAgain';
import { movedAgain, putAgain, type Pouring } from './pouredAgain';
import type { Reach } from './reach';

/** What the acts of a record are mapped with. */
export interface Mapping extends Pouring {
  lines: readonly GoodsLine[];
  bases: Shelf['bases'];
  formulation: Pick<Formulation, 'pot' | 'passPots' | 'water'>;
  /** The vessel that was dyed in; null where none was brought. */
  mainVessel: string | null;
}

/** An act of a record as it is done now; null for what is not any more. @throws FieldError */
export function mapAct(repeated: Repeated, mapping: Mapping): Written | null {
  const { id, act, line } = repeated;
  const { reach } = mapping;
  const plain: Written = { ...line, id };
  switch (act.kind) {
    case 'bring':
      return broughtAgain(plain, act, mapping);
    case 'run': {
      const ml = act.ml === null ? null : act.ml * reach.ofVessel(act.vessel);
      // How high it stands in the vessel was said of as much as it was.
      const made = ml === act.ml ? plain.madeUp : null;
      return ml === 0 ? null : { ...plain, madeUp: made ?? null, act: { ...act, ml } };
    }
    case 'put':
      return putAgain({ ...repeated, act }, mapping);
    case 'move':
      return movedAgain({ ...repeated, act }, mapping);
    case 'place':
    case 'lift':
    case 'handle':
    case 'rinse':
    case 'wring':
    case 'dry': {
      const goods = act.goods.filter((piece) => isThere(piece, mapping));
      return act.goods.length > 0 && goods.length === 0 ? null : { ...plain, act: { ...act, goods } };
    }
    case 'split': {
      const goods = act.goods.filter((piece) => isThere(piece, mapping));
      return goods.length === 0 && act.goods.length > 0 ? null : { ...plain, act: splitAgain(act, reach) };
    }
    case 'heat':
    case 'hold':
    case 'stand':
    case 'cool':
      // What was planned, not how long it came to be; what nobody planned was meant as it was.
      return plain;
    case 'look':
      return null;
  }
}

/** Pieces that a line parted into stay or go with it. */
const isThere = (piece: string, { reach, lines }: Mapping): boolean =>
  lines.some(({ id }) => id === reach.lineOf(piece));

/** As large a part of its line as it was. */
function splitAgain(act: ActOf<'split'>, reach: Reach): Act {
  const times = reach.ofPlace(act.into);
  return times === 1 ? act : { ...act, count: null, grams: reach.gramsOf(act.into) * times };
}

function broughtAgain(plain: Written, act: ActOf<'bring'>, mapping: Mapping): Written | null {
  const { thing } = act;
  const { formulation, bases, lines, reach, mainVessel } = mapping;
  switch (thing.kind) {
    case 'goods': {
      const line = lines.find(({ id }) => id === (act.line ?? plain.id));
      if (!line) return null;
      const base = named(bases, line.baseId, 'goods', 'yarn base');
      return { ...plain, act: { ...act, thing: broughtGoods(line, base, formulation.water) } };
    }
    case 'vessel': {
      const own = formulation.passPots.find(({ id }) => id === thing.shelfId);
      const pot = thing.vessel === mainVessel ? formulation.pot : own;
      return pot === undefined
        ? plain
        : { ...plain, act: { ...act, thing: broughtVessel(thing.vessel, thing.role, pot) } };
    }
    case 'liquid': {
      const times = reach.ofVessel(thing.vessel);
      const brought: typeof thing = {
        ...thing,
        ml: thing.ml * times,
        alkalinityMeq: thing.alkalinityMeq * times,
        takenMeq: thing.takenMeq * times,
        acids: thing.acids.map((one) => ({ ...one, pureGrams: one.pureGrams * times })),
        dyes: thing.dyes.map((one) => ({ ...one, standardGrams: one.standardGrams * times })),
      };
      return { ...plain, act: { ...act, thing: brought } };
    }
  }
}
