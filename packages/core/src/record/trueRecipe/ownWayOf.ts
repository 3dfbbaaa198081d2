import { pureAcidGrams } from '../../acid/acidDose';
import { depthOfShade } from '../../amounts/dyeMass';
import type { OwnStep } from '../../method/ownStep';
import { amountOf, minutesOf, type MeasuredOut } from '../../process/amountOf';
import type { Act } from '../../process/act';
import type { AcidDose, DyeLine, Pass } from '../../recipe/recipe';
import { standardGramsOf } from '../additions';
import type { Repeated } from '../again/doneAgain';

/** A pass of a record put together step by step, as its acts were. */
export interface OwnWayOf {
  pass: Pass;
  /** Acts that no step of an own way says. */
  lost: Repeated[];
}

/** Most steps of an own way, and most of what a pass can have of each. */
const [MOST_STEPS, MOST_DYES, MOST_ACIDS] = [60, 24, 6];

/** Purposes of what is no step by itself: it is made ready, or a part of another. */
const BESIDE: readonly Act['purpose'][] = ['soak', 'dilution', 'top up'];

/**
 * The acts of a pass as an own way: each is a step that names its line and share, never grams.
 * @param grams dry goods that the pass reaches, g
 */
export function ownWayOf({
  pass,
  acts,
  grams,
}: {
  pass: Pass;
  acts: readonly Repeated[];
  grams: number;
}): OwnWayOf {
  const own = new OwnWay(acts, grams);
  for (const recorded of acts) own.add(recorded);
  return {
    pass: {
      ...pass,
      method: { kind: 'own way', steps: own.steps.slice(0, MOST_STEPS) },
      goodsGoIn: laidIn(acts) ?? pass.goodsGoIn,
      dyes: own.dyes,
      acids: own.acids,
      water: { basis: 'ratio', value: own.bathMl > 0 ? own.bathMl / grams : 1 },
      topUpMl: 0,
      topUpWithAcid: true,
      heat: null,
    },
    lost: own.lost,
  };
}

/** Whether the goods went in wet or dry; null where they were not laid in. */
function laidIn(acts: readonly Repeated[]): Pass['goodsGoIn'] | null {
  const laid = acts.find(({ act }) => act.kind === 'place')?.act;
  return laid?.kind === 'place' ? (laid.wet ? 'wet' : 'dry') : null;
}

/** An own way while it is put together. */
class OwnWay {
  readonly steps: OwnStep[] = [];
  readonly dyes: DyeLine[] = [];
  readonly acids: AcidDose[] = [];
  readonly lost: Repeated[] = [];
  readonly bathMl: number;
  private readonly waterMl: number;

  constructor(
    acts: readonly Repeated[],
    private readonly grams: number,
  ) {
    const liquids = acts.flatMap(({ act }) => {
      const much = BESIDE.includes(act.purpose) ? null : amountOf(act);
      return much?.unit === 'mL' ? [much] : [];
    });
    this.bathMl = liquids.reduce((sum, { amount }) => sum + amount, 0);
    this.waterMl = liquids
      .filter(({ material }) => material.kind === 'water')
      .reduce((sum, { amount }) => sum + amount, 0);
  }

  /** One more act of the pass. */
  add(recorded: Repeated): void {
    const { act, line } = recorded;
    if (act.kind === 'bring' || BESIDE.includes(act.purpose)) return;
    const measured = amountOf(act);
    // A wait is as long as it was meant to be.
    const step = measured ? this.putIn(measured) : stepOf(minutesOf(act) === null ? act : line.act);
    if (step) this.steps.push(step);
    else this.lost.push(recorded);
  }

  private putIn(much: MeasuredOut): OwnStep | null {
    const { material } = much;
    switch (material.kind) {
      case 'water':
        return { do: 'water', sharePercent: (100 * much.amount) / this.waterMl };
      case 'dye':
        return this.dyed(much, material.dyeId, material.strengthPercent === null ? null : material.stockId);
      case 'acid':
        return this.soured(material.acid, material.strengthPercent, much.amount);
      default:
        return null;
    }
  }

  private dyed(much: MeasuredOut, dyeId: string, stockId: string | null): OwnStep {
    const percent = depthOfShade(standardGramsOf(much), this.grams);
    // More pours than a pass has lines: the rest goes in with the last of the same dye.
    const full =
      this.dyes.length >= MOST_DYES ? this.dyes.findLast((line) => line.dyeId === dyeId) : undefined;
    if (full?.entry.school === 'depth') {
      full.entry = { school: 'depth', percent: full.entry.percent + percent };
      return { do: 'dye', lineId: full.id };
    }
    const id = `d${this.dyes.length + 1}`;
    this.dyes.push({ id, dyeId, stockId, sectionId: null, entry: { school: 'depth', percent } });
    return { do: 'dye', lineId: id };
  }

  private soured(material: AcidDose['material'], strengthPercent: number, amount: number): OwnStep | null {
    const value = (1000 * pureAcidGrams(amount, strengthPercent)) / Math.max(1, this.bathMl);
    if (this.acids.length >= MOST_ACIDS) return null;
    const id = `acid${this.acids.length + 1}`;
    this.acids.push({ id, material, strengthPercent, basis: 'gPerL', value, when: 'start' });
    return { do: 'acid', acidId: id };
  }
}

/** The step that says an act which puts nothing in; null where none does. */
function stepOf(act: Act): OwnStep | null {
  switch (act.kind) {
    case 'place':
      return act.reach === 'none'
        ? null
        : {
            do: 'goods in',
            sharePercent: act.reach === null || act.reach.axis !== 'along' ? 100 : 100 * act.reach.to,
          };
    case 'lift':
      return { do: 'lift' };
    case 'handle':
      return act.what === 'turn' || act.what === 're-tie' ? { do: act.what } : null;
    case 'heat':
      return act.toC === null ? null : { do: 'heat', temperatureC: act.toC };
    case 'hold':
      return { do: 'hold', minutes: minutesOf(act) ?? 0, untilClear: act.untilClear };
    case 'stand':
      return { do: 'stand', minutes: minutesOf(act) ?? 0, untilClear: act.leaves === 0 };
    default:
      return null;
  }
}
