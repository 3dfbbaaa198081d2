import { depthOfShade } from '../amounts/dyeMass';
import { figure, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import type { Dye } from '../shelf/dye';
import type { SpoonSystem } from '../units/conversions';
import { parseQuantity } from '../units/parseQuantity';
import { formatAmount } from '../units/formatQuantity';
import { dyeSpoon } from '../materials/spoonWeight';
import { noteNumbers } from './noteNumbers';

/** An old note taken apart: powder in water, poured on goods. */
export interface OldNote {
  /** Powder, as a spoon of it in tsp or as grams. */
  powder: { teaspoons: number } | { grams: number };
  /** Water it was dissolved in, mL. */
  waterMl: number;
  /** How much of that was poured, mL; null for all of it. */
  pouredMl: number | null;
  goodsGrams: number;
}

/** What an old note comes to, with how far it can be off. */
export interface ReadNote {
  grams: Figure;
  strength: Figure;
  dos: Figure;
  /** Relative uncertainty of the depth, %. */
  uncertainty: Figure;
  /** Depth less and more that uncertainty. */
  low: number;
  high: number;
}

/** How far each way of measuring is off, % (common practice, no source). */
const OFF = { levelSpoon: 15, unweighedSpoon: 30, scale: 2, cup: 5, goods: 3 } as const;

/**
 * An old note in spoons and cups as % depth of shade with its uncertainty. An estimate: a level spoon is not a scale.
 * @param dye whose grams per level teaspoon count; the default until it has been weighed
 */
export function readOldNote(note: OldNote, dye: Pick<Dye, 'gramsPerTeaspoon' | 'lotStrength'>): ReadNote {
  const perTeaspoon = dyeSpoon(dye).grams;
  const spoon = 'teaspoons' in note.powder;
  const whole = 'teaspoons' in note.powder ? note.powder.teaspoons * perTeaspoon : note.powder.grams;
  const said =
    'teaspoons' in note.powder
      ? `${plainNumber(note.powder.teaspoons)} tsp × ${plainNumber(perTeaspoon)} g per level teaspoon`
      : `${plainNumber(note.powder.grams)} g`;
  const share = note.pouredMl === null ? 1 : Math.min(1, note.pouredMl / note.waterMl);
  const grams = whole * share;
  const powderOff = !spoon ? OFF.scale : dye.gramsPerTeaspoon === null ? OFF.unweighedSpoon : OFF.levelSpoon;
  const pouredOff = note.pouredMl === null ? 0 : Math.hypot(OFF.cup, OFF.cup);
  const off = Math.hypot(powderOff, pouredOff, OFF.goods);
  const dos = depthOfShade(grams, note.goodsGrams, dye.lotStrength);
  const practice = 'common practice, no source';
  return {
    grams: figure(
      grams,
      'g',
      () =>
        note.pouredMl === null
          ? said
          : `${said} × ${formatAmount(note.pouredMl, 'mL')} of ${formatAmount(note.waterMl, 'mL')}`,
      'estimate',
      practice,
    ),
    strength: figure(
      (100 * whole) / note.waterMl,
      '% w/v',
      () => `100 × ${formatAmount(whole, 'g')} ÷ ${formatAmount(note.waterMl, 'mL')}`,
      'estimate',
      practice,
    ),
    dos: figure(
      dos,
      '%',
      () => `100 × ${formatAmount(grams, 'g')} ÷ ${formatAmount(note.goodsGrams, 'g')} of goods`,
      'estimate',
      practice,
    ),
    uncertainty: figure(
      off,
      '%',
      () => `powder ${powderOff} %, poured ${pouredOff.toFixed(0)} %, goods ${OFF.goods} %, in quadrature`,
      'estimate',
      practice,
    ),
    low: dos * (1 - off / 100),
    high: dos * (1 + off / 100),
  };
}

/** The parts of a note as they were written, each ready for its own field. */
export interface NoteText {
  powder: string;
  dyeName: string;
  water: string;
  poured: string;
  goods: string;
}

/**
 * Takes a written note apart: `1/8 tsp of X in 1/2 cup on 4 oz`, or `1/8 tsp X in 1/2 cup, used 1/4 cup on 4 oz`.
 * @returns null when it cannot be told what is what
 */
export function splitNote(text: string): NoteText | null {
  const found =
    /^\s*(?<powder>[\d\s./½⅓⅔¼¾⅛⅜⅝⅞]+\s*(?:tsps?|teaspoons?|tbsps?|tablespoons?|t|T|grams?|g|mg|oz)\b\.?)\s*(?:of\s+)?(?<dye>.*?)\s+in(?:to)?\s+(?<water>.+?)(?:\s*(?:,|;)?\s*(?:used|poured|took)\s+(?<poured>.+?))?\s+(?:on|onto|for|over)\s+(?<goods>.+?)\s*$/i.exec(
      noteNumbers(text),
    );
  const groups = found?.groups;
  if (!groups) return null;
  return {
    powder: (groups.powder ?? '').trim(),
    dyeName: (groups.dye ?? '').trim(),
    water: (groups.water ?? '').trim(),
    poured: (groups.poured ?? '').trim(),
    goods: (groups.goods ?? '').trim(),
  };
}

/** A written note's parts as amounts. @returns the amounts, or a sentence saying which part cannot be read */
export function noteAmounts(text: NoteText, spoons: SpoonSystem): OldNote | string {
  const water = parseQuantity(text.water, 'volume', { spoons });
  if (!water.ok) return `Water: ${water.problem}`;
  const goods = parseQuantity(text.goods, 'fiberMass', { spoons });
  if (!goods.ok) return `Goods: ${goods.problem}`;
  const poured = text.poured === '' ? null : parseQuantity(text.poured, 'volume', { spoons });
  if (poured && !poured.ok) return `Poured: ${poured.problem}`;
  if (poured && poured.value > water.value * 1.001)
    return `Poured: ${formatAmount(poured.value, 'mL')} is more than the ${formatAmount(water.value, 'mL')} there was.`;
  const grams = parseQuantity(text.powder, 'dyeMass', { spoons });
  const spoon = grams.ok ? null : parseQuantity(text.powder, 'teaspoons', { spoons });
  if (!grams.ok && !spoon?.ok) return `Powder: ${spoon?.problem ?? grams.problem}`;
  return {
    powder: grams.ok ? { grams: grams.value } : { teaspoons: spoon?.ok ? spoon.value : 0 },
    waterMl: water.value,
    pouredMl: poured?.ok ? poured.value : null,
    goodsGrams: goods.value,
  };
}
