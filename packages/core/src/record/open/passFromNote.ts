import { dyeGramsOf } from '../additions';
import { amountOf } from '../../process/amountOf';
import { depthOfShade } from '../../amounts/dyeMass';
import { figure, type Figure } from '../../figure/figure';
import { formatAmount } from '../../units/formatQuantity';
import { ACIDS } from '../../materials/acids';
import { entryIn } from '../../recipe/dyeEntry';
import { jarFor } from '../../recipe/newColorway';
import type { AcidDose, DyeLine, Pass } from '../../recipe/recipe';
import type { Shelf } from '../../recipe/materials';
import type { NotebookPiece } from './readNotebook';

const PRACTICE = 'common practice, no source';

/** How far what a notebook says may be off, %: level spoons and kitchen cups (common practice, no source). */
const OFF_PERCENT = { spoon: 15, unweighedSpoon: 30, measured: 5 } as const;

/** One dye of an old note. */
export interface NotedDye {
  dyeId: string;
  grams: Figure;
  /** On the goods of the note, with how pale and how deep it may have been; null where it names none. */
  dos: { figure: Figure; low: number; high: number } | null;
  /** How far that may be off, %. */
  offPercent: number;
  /** In a jar that the note names; null for powder. */
  strengthPercent: number | null;
}

/** What an old note comes to, all its lines together. */
export interface NotedPass {
  dyes: NotedDye[];
  acids: AcidDose[];
  /** Water of all its lines, mL. */
  waterMl: number;
  /** Dry goods of all its lines, g; null where it names none. */
  goodsGrams: number | null;
  /** Acid that went in and that nobody measured. */
  unmeasured: string[];
}

/** Sums an old note up: every dye over all its lines, acid and water. */
export function noted(pieces: readonly NotebookPiece[], shelf: Pick<Shelf, 'dyes'>): NotedPass {
  const dyes = new Map<string, { grams: number; off: number; strengthPercent: number | null }>();
  const acids: AcidDose[] = [];
  const unmeasured: string[] = [];
  let waterMl = 0;
  for (const { acts } of pieces)
    for (const act of acts) {
      const much = amountOf(act);
      if (act.kind === 'put' && act.material.kind === 'acid' && much === null)
        unmeasured.push(ACIDS[act.material.acid].label);
      if (much?.material.kind === 'water') waterMl += much.amount;
      if (much?.material.kind === 'acid')
        acids.push({
          id: `acid${acids.length + 1}`,
          material: much.material.acid,
          strengthPercent: much.material.strengthPercent,
          basis: 'amount',
          value: much.amount,
          when: 'start',
        });
      if (much?.material.kind !== 'dye') continue;
      const { dyeId, strengthPercent } = much.material;
      const weighed = shelf.dyes.find(({ id }) => id === dyeId)?.gramsPerTeaspoon ?? null;
      const off =
        strengthPercent !== null
          ? OFF_PERCENT.measured
          : weighed === null
            ? OFF_PERCENT.unweighedSpoon
            : OFF_PERCENT.spoon;
      const before = dyes.get(dyeId);
      dyes.set(dyeId, {
        grams: (before?.grams ?? 0) + dyeGramsOf(much),
        off: Math.max(before?.off ?? 0, off),
        strengthPercent: before ? null : strengthPercent,
      });
    }
  const goods = pieces.flatMap(({ goodsGrams: grams }) => grams ?? []);
  const goodsGrams = goods.length === 0 ? null : goods.reduce((sum, grams) => sum + grams, 0);
  return {
    acids,
    unmeasured,
    waterMl,
    goodsGrams,
    dyes: [...dyes].map(([dyeId, { grams, off, strengthPercent }]): NotedDye => {
      const lot = shelf.dyes.find(({ id }) => id === dyeId)?.lotStrength ?? 1;
      return {
        dyeId,
        strengthPercent,
        offPercent: off,
        grams: figure(grams, 'g', 'as the note has it', 'estimate', PRACTICE),
        dos: goodsGrams === null ? null : depthNoted(grams, goodsGrams, lot, off),
      };
    }),
  };
}

function depthNoted(grams: number, goodsGrams: number, lotStrength: number, off: number): NotedDye['dos'] {
  const percent = depthOfShade(grams, goodsGrams, lotStrength);
  return {
    figure: figure(
      percent,
      '%',
      () => `100 × ${formatAmount(grams, 'g')} ÷ ${formatAmount(goodsGrams, 'g')} of goods`,
      'estimate',
      PRACTICE,
    ),
    low: percent * (1 - off / 100),
    high: percent * (1 + off / 100),
  };
}

/**
 * A pass with what an old note says put to it: each dye at the depth it had, or so many grams where the note names no goods,
 * its acid, and a bath as large for every gram of goods.
 * @param wogGrams goods of the recipe, g
 */
export function withNote(
  pass: Pass,
  { dyes, acids, waterMl, goodsGrams }: NotedPass,
  wogGrams: number,
  shelf: Shelf,
  newId: () => string,
): Pick<Pass, 'dyes' | 'acids' | 'water'> {
  const scale = goodsGrams === null ? 1 : wogGrams / goodsGrams;
  const lines = dyes.map(({ dyeId, grams, dos }): DyeLine => ({
    id: newId(),
    dyeId,
    entry:
      dos === null
        ? entryIn('grams', Number(grams.value.toPrecision(3)))
        : entryIn('depth', Number(dos.figure.value.toPrecision(3))),
    stockId: jarFor(shelf, dyeId),
    sectionId: pass.dyes[0]?.sectionId ?? null,
  }));
  return {
    dyes: lines.length === 0 ? pass.dyes : lines,
    acids:
      acids.length === 0
        ? pass.acids
        : acids.map((dose) => ({ ...dose, value: Number((dose.value * scale).toPrecision(3)) })),
    // A cup of dye is no bath: only water that covers the goods is.
    water:
      goodsGrams !== null && waterMl >= LEAST_RATIO * goodsGrams
        ? { basis: 'ratio', value: Number((waterMl / goodsGrams).toPrecision(3)) }
        : pass.water,
  };
}

/** Less water than this for a gram of goods was what the dye was dissolved in, mL. */
const LEAST_RATIO = 5;
