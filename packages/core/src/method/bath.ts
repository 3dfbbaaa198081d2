import { ACIDS } from '../materials/acids';
import type { ActOf, End, Purpose } from '../process/act';
import { dyeCautions } from './actCautions';
import { lineWith, type Line, type WayStep, type Written } from './line';
import { dilutionOf, idIn, of, type AcidWhen, type AnyScene, type SceneAcid, type SceneDye } from './scene';

/** Water that scalds, °C (common practice, no source). */
const SCALDS_C = 60;

/**
 * What an earlier pass left in the vessel, poured off, and what goes on into this one taken over from where the goods
 * were; a bath that is kept stays, or goes over whole.
 */
export function emptied(scene: AnyScene): WayStep[] {
  const { fillTo, takesOver, vessel } = scene;
  return [
    ({ vessels }) => {
      const liquidIn = (id: string): number => vessels.get(id)?.liquid.ml ?? 0;
      const stays = takesOver?.from === vessel ? (takesOver.ml ?? Number.POSITIVE_INFINITY) : 0;
      const there = liquidIn(vessel);
      return fillTo && there > stays ? [drained(scene, stays > 0 ? there - stays : null)] : [];
    },
    ({ vessels }) => {
      if (!takesOver || takesOver.from === vessel) return [];
      const there = vessels.get(takesOver.from)?.liquid.ml ?? 0;
      const ml = Math.min(there, takesOver.ml ?? there);
      return ml > 0 ? [tippedOver(scene, takesOver.from, ml < there ? ml : null)] : [];
    },
  ];
}

/** Water into the vessel, up to what is to be in it with all that is there and all that goes in beside it. */
export function filled(scene: AnyScene, celsius = scene.tapC, more: Partial<Line> = {}): WayStep[] {
  const { fillTo, vessel } = scene;
  if (!fillTo) return [];
  return [
    ({ vessels }) => {
      const ml = fillTo.ml - fillTo.besideMl - (vessels.get(vessel)?.liquid.ml ?? 0);
      return ml > 0 ? [lineWith(waterInto(scene, vessel, ml, 'bath', celsius), more)] : [];
    },
  ];
}

/** A bath of its own: the old one poured off, water run. @param celsius of the water; as it comes from the tap */
export const water = (scene: AnyScene, celsius = scene.tapC): WayStep[] => [
  ...emptied(scene),
  ...filled(scene, celsius, celsius >= SCALDS_C ? { cautions: ['scald'] } : {}),
];

/** @param ml how much of it; null: all */
const drained = (scene: AnyScene, ml: number | null): Written => ({
  id: idIn(scene, 'move.drain'),
  quiet: ml === null,
  act: {
    kind: 'move',
    ...of(scene, null),
    from: { vessel: scene.vessel },
    to: null,
    ml,
    share: ml === null ? 1 : null,
    holds: null,
  },
  hands: 2,
});

/** @param ml how much of it; null: all */
const tippedOver = (scene: AnyScene, from: string, ml: number | null): Written => ({
  id: idIn(scene, 'move.over'),
  act: {
    kind: 'move',
    ...of(scene, null),
    from: { vessel: from },
    to: { vessel: scene.vessel },
    ml,
    share: ml === null ? 1 : null,
    holds: null,
  },
  hands: 3,
});

/** Water into a vessel. @param celsius as it comes from the tap, unless it is to be warmer or colder */
export const waterInto = (
  scene: AnyScene,
  vessel: string,
  ml: number,
  purpose: Purpose,
  celsius = scene.tapC,
): Written => ({
  id: idIn(scene, purpose === 'top up' ? 'run.top-up' : 'run.bath'),
  act: { kind: 'run', ...of(scene, purpose), vessel, ml, celsius },
  hands: purpose === 'top up' ? 2 : 3,
});

/** Dyes of the pass, each after the working dilution it may need. @param some which; all of them */
export function dyes(
  scene: AnyScene,
  into: (dye: SceneDye) => End,
  some: readonly SceneDye[] = scene.dyes,
): Written[] {
  const written: Written[] = [];
  for (const dye of some) written.push(...dilution(scene, dye), pour(scene, dye, into(dye)));
  return written;
}

/** The working dilution of a pour too small to read; nothing for the others. */
export function dilution(scene: AnyScene, dye: SceneDye): Written[] {
  const made = dye.dilution;
  if (!made) return [];
  const vessel = dilutionOf(scene, dye.lineId);
  return [
    {
      id: idIn(scene, `put.dilution.${dye.lineId}`),
      tool: made.takeWith,
      madeUp: { ml: made.makeUpMl, tool: made.makeUpWith },
      act: {
        kind: 'put',
        ...of(scene, 'dilution', dye.lineId),
        material: materialOf(dye, dye.strengthPercent),
        amount: made.takeMl,
        unit: 'mL',
        into: { vessel },
      },
      hands: 4,
    },
    {
      id: idIn(scene, `run.dilution.${dye.lineId}`),
      quiet: true,
      act: {
        kind: 'run',
        ...of(scene, 'dilution', dye.lineId),
        vessel,
        ml: made.makeUpMl - made.takeMl,
        celsius: scene.tapC,
      },
    },
  ];
}

const materialOf = (
  { dyeId, stockId, lotStrength }: SceneDye,
  strengthPercent: number | null,
): Extract<ActOf<'put'>['material'], { kind: 'dye' }> => ({
  kind: 'dye',
  dyeId,
  stockId,
  strengthPercent,
  lotStrength,
});

/** A dose as it is measured: the first one again, unless it is another. */
const doseOf = (
  { amount, tool, later }: SceneDye,
  dose: Written['dose'],
): Pick<SceneDye, 'amount' | 'tool'> & { times: number } =>
  later[(dose?.nth ?? 1) - 2] ?? { amount, tool, times: 1 };

/** One dose of a dye, from its jar, its dilution or the scale. @param dose of how many it is which */
export function pour(scene: AnyScene, dye: SceneDye, into: End, dose: Written['dose'] = null): Written {
  const { lineId, unit, dilution: made } = dye;
  const { amount, tool, times } = doseOf(dye, dose);
  const open = 'place' in into || scene.roles.get('vessel' in into ? into.vessel : '') === 'melting ice';
  return {
    id: idIn(scene, `dye.${lineId}${dose === null || dose.nth === 1 ? '' : `.dose${dose.nth}`}`),
    tool,
    askedGrams: dye.askedGrams * times,
    dose,
    hands: unit === 'mL' ? 2 : 5,
    cautions: dyeCautions(unit, open),
    act: made
      ? {
          kind: 'move',
          ...of(scene, 'dose', lineId),
          from: { vessel: dilutionOf(scene, lineId) },
          to: into,
          ml: amount,
          share: null,
          holds: materialOf(dye, made.strengthPercent),
        }
      : {
          kind: 'put',
          ...of(scene, 'dose', lineId),
          material: materialOf(dye, dye.strengthPercent),
          amount,
          unit,
          into,
        },
  };
}

const PURPOSE_OF: Record<AcidWhen, Purpose> = {
  soak: 'soak',
  start: 'bath',
  warm: 'warm',
  last: 'late',
  'with powder': 'with powder',
  cut: 'cut',
};

/** An acid dose into a vessel or onto a place. */
export function acidInto(
  scene: AnyScene,
  { id, material, strengthPercent, amount, when }: SceneAcid,
  into: End,
  purpose: Purpose = PURPOSE_OF[when],
): Written {
  return {
    id: idIn(scene, `acid.${purpose.replace(' ', '-')}`),
    act: {
      kind: 'put',
      ...of(scene, purpose, purpose === 'top up' ? null : id),
      material: { kind: 'acid', acid: material, strengthPercent },
      amount,
      unit: ACIDS[material].unit,
      into,
    },
    cautions: ['acid'],
  };
}

/** The acid doses of some times, into the goods’ vessel unless another end is named. */
export const acidsAt = (
  scene: AnyScene,
  times: readonly AcidWhen[],
  into: End = { vessel: scene.vessel },
): Written[] =>
  scene.acids.filter(({ when }) => times.includes(when)).map((acid) => acidInto(scene, acid, into));

/** A dyebath before the goods go in: water, its dyes, and the acid of the start. @param some which dyes; all of them */
export const dyebath = (scene: AnyScene, celsius = scene.tapC, some = scene.dyes): WayStep[] => [
  ...water(scene, celsius),
  ...dyes(scene, () => ({ vessel: scene.vessel }), some),
  ...acidsAt(scene, ['start']),
];

/** Water topped up, and the acid that goes with it: a liquid one counts as part of the water. */
export function toppedUp(scene: AnyScene): Written[] {
  const { topUpMl, topUpAcid, vessel } = scene;
  if (topUpMl <= 0) return [];
  const acid = topUpAcid && ACIDS[topUpAcid.material].unit === 'mL' ? topUpAcid.amount : 0;
  const ml = Math.max(0, topUpMl - acid);
  return [
    // A bath so acid that its liquid acid is all there is to pour takes no plain water.
    ...(ml > 0 ? [waterInto(scene, vessel, ml, 'top up')] : []),
    ...(topUpAcid ? [acidInto(scene, topUpAcid, { vessel }, 'top up')] : []),
  ];
}
