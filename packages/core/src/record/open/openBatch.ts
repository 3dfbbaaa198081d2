import { phWindow } from '../../acid/expectedPh';
import { usualSet } from '../../recipe/usualSet';
import { broughtGoods, broughtVessel, potRole } from '../../plan/brought';
import type { Act, Thing } from '../../process/act';
import { lineGrams } from '../../recipe/lineGrams';
import { formulate, named, type Shelf } from '../../recipe/materials';
import {
  arrangementSchema,
  type Formulation,
  type GoodsLine,
  type Pass,
  type Recipe,
} from '../../recipe/recipe';
import type { Pot } from '../../shelf/pot';
import type { Card, CardAct } from '../card';
import { PLAIN_LINE } from '../cardLines';
import { CARD_VERSION } from '../cardVersion';
import type { LeavingLiquid } from './liquidLeaving';

/** The one pass of a batch that nobody planned, and the vessel it is dyed in. */
export const OPEN_PASS = 'p1';
export const OPEN_VESSEL = 'pot';

/** A batch that is begun with nothing but goods and a vessel. */
export interface Opened {
  formulation: Formulation;
  card: Card;
}

/**
 * Begins a batch without a plan: its card brings the goods and the vessel, and has no lines. What is done is entered as it
 * is done, and is its recipe.
 * @param more liquid of another batch that is in the vessel already; whether it is put down from an old notebook; the
 * earlier batch that goods come from, by line
 * @throws FieldError for an unknown base
 */
export function openBatch(
  name: string,
  goods: GoodsLine[],
  pot: Pot | null,
  shelf: Shelf,
  {
    leftover = null,
    remembered = false,
    from = {},
  }: { leftover?: LeavingLiquid | null; remembered?: boolean; from?: Readonly<Record<string, string>> } = {},
): Opened {
  const formulation = formulate(name, openRecipe(goods, pot), shelf, pot);
  const bring = (id: string, thing: Thing, line: string | null = null): CardAct => ({
    ...PLAIN_LINE,
    id,
    quiet: true,
    act: { kind: 'bring', pass: null, line, purpose: null, thing },
  });
  return {
    formulation,
    card: {
      version: CARD_VERSION,
      remembered,
      acts: [
        ...goods.map((line) =>
          bring(
            `bring.goods.${line.id}`,
            {
              ...broughtGoods(line, named(shelf.bases, line.baseId, 'goods', 'yarn base'), formulation.water),
              from: from[line.id] ?? null,
            },
            line.id,
          ),
        ),
        bring(`bring.vessel.${OPEN_VESSEL}`, broughtVessel(OPEN_VESSEL, potRole(pot), pot)),
        ...(leftover ? [bring('bring.liquid', { ...leftover, vessel: OPEN_VESSEL })] : []),
        // Goods lie in the vessel once something is done that only makes sense with them in it.
        { ...PLAIN_LINE, id: `${OPEN_PASS}.place.goods`, quiet: true, act: goodsIn },
      ],
      passes: [
        {
          id: OPEN_PASS,
          kind: 'own way',
          goodsGrams: goods.reduce((sum, line) => sum + lineGrams(line), 0),
          bathMl: 0,
          keepsBath: false,
          takesOverMl: 0,
          acidsBefore: [],
          phWindow: [...phWindow([])],
        },
      ],
    },
  };
}

const goodsIn: Act = {
  kind: 'place',
  pass: OPEN_PASS,
  line: null,
  purpose: null,
  goods: [],
  vessel: OPEN_VESSEL,
  reach: null,
  lies: null,
  wet: true,
};

/** What stands where a recipe would: the goods, and a pass that nothing is known of. */
function openRecipe(goods: GoodsLine[], pot: Pot | null): Recipe {
  const pass: Pass = {
    id: OPEN_PASS,
    method: { kind: 'own way', steps: [{ do: 'goods in', sharePercent: 100 }] },
    goodsGoIn: 'dry',
    arrangement: arrangementSchema.parse({ kind: 'open' }),
    dyes: [],
    partsDepthPercent: 1,
    printDepthPercent: 1,
    water: { basis: 'ratio', value: 30 },
    acids: [],
    topUpMl: 0,
    topUpWithAcid: true,
    potId: null,
    takesOverMl: 0,
    heat: null,
  };
  return { goods, wettingMinutes: 0, passes: [pass], potId: pot?.id ?? null, set: usualSet('simmer') };
}
