import { isDyedIn, passIn, vesselChoices, vesselOptions, type Pass, type ShelfResponse } from '@ythrion/core';
import { useInUse } from '../batch/useInUse';
import { SaidChoice } from '../sentence/SaidChoice';
import { SmallKey } from '../sentence/SmallKey';
import type { Draft } from './useDraft';

export interface PassVesselProps {
  draft: Draft;
  pass: Pass;
  shelf: ShelfResponse;
  /** What it must hold, mL; 0 where a pan or no bath decides that. */
  needsMl: number;
}

/** The vessel that a pass has for itself. */
export function PassVessel({ draft, pass, shelf, needsMl }: PassVesselProps) {
  const choices = vesselChoices(shelf.pots, useInUse(), needsMl).filter(({ pot }) => isDyedIn(pot));
  const choose = (potId: string): void => {
    const pot = shelf.pots.find(({ id }) => id === potId);
    draft.changePass(pass.id, (now) => ({ ...(pot ? passIn(now, pot) : now), potId }));
  };
  return (
    <>
      In a vessel of its own,{' '}
      <SaidChoice
        label="Vessel of this pass"
        value={pass.potId ?? ''}
        options={vesselOptions(choices)}
        onChange={choose}
      />
      <SmallKey
        label="In the vessel of the batch"
        onPress={() => draft.changePass(pass.id, { potId: null })}
      />
    </>
  );
}
