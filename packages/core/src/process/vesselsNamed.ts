import type { Act } from './act';

/** Vessels that an act names, each once: where it is done, and where liquid comes from and goes to. */
export function vesselsNamed(act: Act): string[] {
  if (act.kind === 'bring') return [];
  const ids: string[] = [];
  const add = (id: string | null): void => {
    if (id !== null && !ids.includes(id)) ids.push(id);
  };
  if ('vessel' in act) add(act.vessel);
  if (act.kind === 'put' && 'vessel' in act.into) add(act.into.vessel);
  if (act.kind === 'move' && 'vessel' in act.from) add(act.from.vessel);
  if (act.kind === 'move' && act.to && 'vessel' in act.to) add(act.to.vessel);
  return ids;
}
