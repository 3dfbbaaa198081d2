import { formatAmount } from '../units/formatQuantity';
import { dyebath } from './bath';
import { goodsIn } from './goodsIn';
import { USUAL_RISE_C_PER_MIN } from '../heat/setMethods';
import { lateAcids, rises, stands } from './heat';
import type { WayStep } from './line';
import type { Scene } from './scene';
import { allOver } from './looks';
import { USUAL_WAY, USUAL_WORDS, type Method } from './method';
import type { MethodOf } from './settings';

type Settings = MethodOf<'glaze'>;

/** Classes that strike too slowly cold. */
const SLOW = ['milling', 'super-milling', 'metal complex'];

/** The time it is left, all of it cold, or while the ring under it brings it up. */
function untouched(scene: Scene<Settings>): WayStep[] {
  const { minutes, heatToC } = scene.settings;
  if (heatToC === null) return stands(scene, 'rest', minutes);
  return [
    (state) => {
      // What the rise takes is part of the time.
      const left = minutes - scene.rise(state, scene.vessel, heatToC, USUAL_RISE_C_PER_MIN).value;
      return [
        ...rises(scene, 'heat.glaze', heatToC, USUAL_RISE_C_PER_MIN)(state),
        ...stands(scene, 'rest', Math.max(0, Math.round(left))),
      ];
    },
  ];
}

export const glaze: Method<Settings> = {
  ...USUAL_WAY,
  kind: 'glaze',
  label: 'glaze',
  gives: 'Cold, strongly acid, left untouched: a thin surface color. Fast-striking dyes only.',
  usual: { kind: 'glaze', minutes: 30, heatToC: null },
  liquid: 'water',
  hot: false,
  needs: 'pot',
  acts: (scene) => [...dyebath(scene), goodsIn(scene), ...untouched(scene), ...lateAcids(scene)],
  look: allOver(0.2),
  notices: (_, { dyes: poured }) =>
    poured
      .filter(({ dyeClass }) => SLOW.includes(dyeClass))
      .map(({ name, dyeClass }) => ({ code: 'slow dye', values: { name, dyeClass } })),
  words: {
    ...USUAL_WORDS,
    goodsIn: () => 'Lay the goods in and leave them untouched',
    title: (_, { act }) =>
      act.purpose === 'rest'
        ? 'Leave the glaze untouched'
        : act.kind === 'heat'
          ? `Ring on under it, from cold; leave the goods untouched up to ${Math.round(act.toC ?? 0)} °C`
          : null,
    unheated: ({ minutes, heatToC }) =>
      heatToC === null
        ? `${formatAmount(minutes, 'min')} cold`
        : `${formatAmount(minutes, 'min')} untouched, from cold to ${formatAmount(heatToC, '°C')}`,
    notice: ({ values: { name, dyeClass } }) =>
      `${name} is a ${dyeClass} dye: it strikes slowly cold. A glaze wants fast-striking dyes.`,
  },
};
