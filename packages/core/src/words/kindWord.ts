import type { CardAct } from '../record/card';

/** What kind of thing is next, in a word: for the hob, where there is no room for more. */
export function kindWord({ act, madeUp }: CardAct): string {
  switch (act.kind) {
    case 'run':
      return 'water';
    case 'put':
      return act.material.kind === 'dye' ? (madeUp ? 'dilute' : 'dye') : act.material.kind;
    case 'move':
      return act.holds ? 'dye' : 'paint';
    case 'place':
      return 'goods';
    case 'handle':
      return 'arrange';
    case 'stand':
      return act.purpose === 'soak' ? 'wet' : 'wait';
    case 'hold':
      return act.purpose === 'set' ? 'set' : 'hold';
    default:
      return act.kind;
  }
}
