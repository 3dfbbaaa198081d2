import type { Act, LookedAt } from '../process/act';
import type { MeasuredOut } from '../process/amountOf';
import type { BegunBatch } from './batch';

/** The vessel that goods lie in during a pass, as the card says; the pot where it does not. */
export function vesselOfPass({ card }: BegunBatch, pass: string | null): string {
  for (const { act } of card.acts)
    if (act.kind === 'place' && act.pass === pass && act.purpose === null) return act.vessel;
  return 'pot';
}

/** Something that goes in though nobody planned it, as an act. @param pass the one being dyed */
export function unplannedAct(batch: BegunBatch, pass: string | null, added: MeasuredOut): Act {
  const { material, amount, unit } = added;
  const common = { pass, line: null, purpose: 'unplanned' as const };
  const vessel = vesselOfPass(batch, pass);
  return material.kind === 'water'
    ? { kind: 'run', ...common, vessel, ml: amount, celsius: null }
    : { kind: 'put', ...common, material, amount, unit, into: { vessel } };
}

/** The same for what nobody measured: what was said stands beside it in its entry. */
export function unmeasuredAct(
  batch: BegunBatch,
  pass: string | null,
  { material, unit }: Omit<MeasuredOut, 'amount'>,
): Act {
  const common = { pass, line: null, purpose: 'unplanned' as const };
  const vessel = vesselOfPass(batch, pass);
  return material.kind === 'water'
    ? { kind: 'run', ...common, vessel, ml: null, celsius: null }
    : { kind: 'put', ...common, material, amount: null, unit, into: { vessel } };
}

/** A look at something, as an act. @param ph what a meter or strip showed */
export function lookAct(pass: string | null, of: LookedAt, answer: string, ph: number | null = null): Act {
  return {
    kind: 'look',
    pass,
    line: null,
    purpose: null,
    of,
    vessel: null,
    answer,
    reading: ph === null ? null : { ph, celsius: null, levelMl: null },
  };
}
