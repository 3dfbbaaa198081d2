import { equalEquivalents } from '../acid/acidDose';
import { acidGramsForPh, alkalinityMolar, expectedPh, phBeforeGoods } from '../acid/expectedPh';
import { figure, measuredOut, type Figure } from '../figure/figure';
import { plainNumber } from '../units/plainNumber';
import { ACIDS, type AcidMaterial } from '../materials/acids';
import { acidPath, measureOf } from '../recipe/measureOf';
import type { Formulation } from '../recipe/recipe';
import { acidsTogether } from '../process/liquid';
import { formatAmount } from '../units/formatQuantity';
import { fiberInBath } from './fiberInBath';
import { acidGrams, acidsIn, brought, litersOf, NO_BATH, together, waterOf, type Bath } from './liquids';
import type { PlannedAcid, PlannedPass } from './planTypes';
import type { ResolvedAcid } from './sceneOf';
import type { ToldPass } from './story';
import type { Told } from './tell';

const HANDBOOK = 'molar masses: CRC Handbook of Chemistry and Physics';

/** The liquids that the acid of a pass is asked of. */
export interface PassLiquids {
  /** The finished bath, mL. */
  bath: Figure;
  /** The same before goods bring theirs. */
  bathOnly: Bath;
  /** With the goods in it, and what they bring. */
  inBath: Bath;
}

/** A dose with the act that puts it in, the first where there are several. */
interface Put {
  resolved: ResolvedAcid;
  line: Told;
  /** Where that act stands among those of the pass. */
  at: number;
  brought: Bath;
}

/**
 * Every acid dose of a pass in the order of its list, what powder is cut with last; each with the pH it brings the bath
 * to together with those that went in before it.
 */
export function readAcids(
  { acids, pass, kept, takenOver, goodsGrams }: ToldPass,
  lines: readonly Told[],
  { bath, bathOnly, inBath }: PassLiquids,
  formulation: Formulation,
): Pick<PlannedPass, 'acids' | 'bathAcid'> {
  const fiberMmol = fiberInBath(formulation, pass);
  const puts: Put[] = [];
  for (const resolved of acids) {
    let first: Put | null = null;
    for (const [at, line] of lines.entries()) {
      if (line.act.kind !== 'put' || line.act.line !== resolved.dose.id) continue;
      first ??= { resolved, line, at, brought: NO_BATH };
      // Acid of the soak comes along with the goods, as much of it as they hold.
      if (resolved.when !== 'soak') first.brought = together(first.brought, brought(line.before, line.after));
    }
    // A dose that no step of an own way puts in is left out.
    if (first) puts.push(first);
  }
  const inOrder = puts.toSorted((a, b) => a.at - b.at);
  const planned = inOrder.map((put, i): PlannedAcid => {
    const later = inOrder.slice(i + 1).map((one) => one.brought);
    const without = (all: Bath): Bath => later.reduce((sum, one) => sub(sum, one), all);
    return planAcid(
      put,
      without(inBath),
      without(bathOnly),
      { bath, fiberMmol, goodsGrams, passId: pass.id },
      formulation,
    );
  });
  const all = acidGrams(inBath);
  const poured =
    acidGrams(kept ?? takenOver ?? NO_BATH) + inOrder.reduce((sum, put) => sum + acidGrams(put.brought), 0);
  // Goods that come out of an acid bath bring acid along even where none is poured.
  const grams = poured > 0 ? poured : all;
  return {
    acids: planned.toSorted((a, b) => listPlace(a) - listPlace(b)),
    bathAcid:
      all <= 0
        ? null
        : {
            gPerL: figure(
              (1000 * grams) / Math.max(1, bath.value),
              'g/L',
              () => `${formatAmount(grams, 'g')} of acid ÷ ${formatAmount(bath.value, 'mL')}`,
            ),
            pH: planned.at(-1)?.pH ?? phOf(inBath, fiberMmol, formulation),
          },
  };
}

/** Its place in the list of the pass; what powder is cut with stands behind all. */
const listPlace = ({ nth }: PlannedAcid): number => nth || Number.POSITIVE_INFINITY;

/** A bath without what a later dose brings; its volume stays, as it was decided for all of them. */
const sub = (all: Bath, later: Bath): Bath => ({
  ml: all.ml,
  alkalinityMeq: all.alkalinityMeq,
  takenMeq: all.takenMeq,
  acids: acidsTogether(all.acids, later.acids, -1),
});

/** pH asked of a bath with goods in it. */
const phOf = (bath: Bath, fiberMmol: number, { water }: Formulation) =>
  expectedPh(acidsIn(bath), litersOf(bath), fiberMmol, waterOf(bath, water), bath.takenMeq);

function planAcid(
  { resolved, line }: Put,
  inBath: Bath,
  bathOnly: Bath,
  {
    bath,
    fiberMmol,
    goodsGrams,
    passId,
  }: { bath: Figure; fiberMmol: number; goodsGrams: number; passId: string },
  formulation: Formulation,
): PlannedAcid {
  const { dose, amounts: all, when } = resolved;
  const facts = ACIDS[dose.material];
  const other = facts.besides;
  const bathMl = when === 'soak' ? 1000 * resolved.liters : bath.value;
  const liters = (): string => formatAmount(bathMl, 'mL');
  const pure = (): string => formatAmount(all.pureGrams, 'g');
  const stated = (): string =>
    dose.basis === 'gPerL'
      ? `${plainNumber(dose.value)} g/L × ${formatAmount(1000 * resolved.liters, 'mL')}`
      : dose.basis === 'percentOfGoods'
        ? `${plainNumber(dose.value)} % × ${formatAmount(goodsGrams, 'g')}`
        : `${plainNumber(dose.value)} ${facts.unit} × ${plainNumber(dose.strengthPercent)} %`;
  const with_ = phOf(inBath, fiberMmol, formulation);
  const alone =
    acidsIn(inBath).length === 1 && when !== 'soak' && Math.abs(acidGrams(inBath) - all.pureGrams) < 1e-9
      ? with_
      : expectedPh(
          [{ material: dose.material, pureGrams: all.pureGrams }],
          litersOf(inBath),
          fiberMmol,
          waterOf(inBath, formulation.water),
          inBath.takenMeq,
        );
  const samePh = insteadGrams(dose.material, all.amount, alone, inBath, fiberMmol, formulation);
  const otherAmount = (100 * samePh.value) / ACIDS[other].usualStrength;
  return {
    id: dose.id,
    nth: resolved.nth,
    material: dose.material,
    label: facts.label,
    strengthPercent: dose.strengthPercent,
    when: dose.when,
    actId: line.id,
    amount: measuredOut(
      figure(
        all.amount,
        all.unit,
        () => `100 × ${pure()} ${facts.acid} ÷ ${plainNumber(dose.strengthPercent)} %`,
      ),
      measureOf(
        { kind: 'acid', acid: dose.material, strengthPercent: dose.strengthPercent },
        formulation.asWritten?.[acidPath(passId, dose.id)] ?? null,
        formulation,
      ),
    ),
    pureGrams: figure(all.pureGrams, 'g', () => `${stated()} = ${pure()} ${facts.acid}`),
    gPerL: figure((1000 * all.pureGrams) / Math.max(1, bathMl), 'g/L', () => `${pure()} ÷ ${liters()}`),
    percentOfGoods: figure(
      all.percentOfGoods,
      '%',
      () => `100 × ${pure()} ÷ ${formatAmount(goodsGrams, 'g')}`,
    ),
    pH: with_,
    phBeforeGoods: phBeforeGoods(
      acidsIn(bathOnly),
      litersOf(bathOnly),
      waterOf(bathOnly, formulation.water),
      bathOnly.takenMeq,
    ),
    instead: {
      label: ACIDS[other].short,
      samePh: goesIn(other, otherAmount, litersOf(inBath))
        ? figure(otherAmount, ACIDS[other].unit, () => samePh.because, samePh.sureness, samePh.source)
        : null,
      sameProtons: figure(
        equalEquivalents(all.milliequivalents, other, ACIDS[other].usualStrength),
        ACIDS[other].unit,
        () => `the same ${all.milliequivalents.toFixed(0)} meq; equal protons, not equal pH`,
        'exact',
        HANDBOOK,
      ),
    },
  };
}

/**
 * The other acid for the same pH. A liquid acid stands in for as much tap water, and brings none of its alkalinity.
 * @param amount of the acid it stands for, mL or g
 */
function insteadGrams(
  material: AcidMaterial,
  amount: number,
  alone: Figure,
  inBath: Bath,
  fiberMmol: number,
  { water }: Formulation,
): Figure {
  const other = ACIDS[material].besides;
  const meqPerMl = alkalinityMolar(water.alkalinityMgPerL);
  const meq = inBath.alkalinityMeq + (ACIDS[material].unit === 'mL' ? amount * meqPerMl : 0);
  const grams = (otherMl: number): Figure => {
    const bath: Bath = {
      ml: inBath.ml,
      alkalinityMeq: Math.max(0, meq - otherMl * meqPerMl),
      takenMeq: inBath.takenMeq,
      acids: inBath.acids,
    };
    return acidGramsForPh(other, alone, litersOf(bath), fiberMmol, waterOf(bath, water), bath.takenMeq);
  };
  const first = grams(0);
  if (ACIDS[other].unit === 'g') return first;
  const asMl = ({ value }: Figure): number => Math.min(inBath.ml, (100 * value) / ACIDS[other].usualStrength);
  return grams(asMl(grams(asMl(first))));
}

/** Whether a bath can hold so much of an acid: a liquid is a part of the bath, crystals must dissolve in it. */
const goesIn = (material: AcidMaterial, amount: number, liters: number): boolean =>
  ACIDS[material].unit === 'mL' ? amount <= 1000 * liters : amount <= ACIDS[material].mostGPerL * liters;
