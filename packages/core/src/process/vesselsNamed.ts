import type { Act, End } from './act';

/** Vessels that an act names, each once: where it is done, and where liquid comes from and goes to. */
export function vesselsNamed(act: Act): string[] {
  switch (act.kind) {
    case 'bring':
    case 'split':
    case 'lift':
    case 'handle':
    case 'rinse':
    case 'wring':
    case 'dry':
      return [];
    case 'put':
      return vesselOf(act.into);
    case 'move': {
      const from = vesselOf(act.from);
      const to = act.to === null ? [] : vesselOf(act.to);
      return to.length === 0 || to[0] === from[0] ? from : [...from, ...to];
    }
    default:
      return act.vessel === null ? [] : [act.vessel];
  }
}

const vesselOf = (end: End): string[] => ('vessel' in end ? [end.vessel] : []);
