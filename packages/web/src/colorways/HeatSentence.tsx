import {
  methodFacts,
  USUAL_RISE_C_PER_MIN,
  type HeatProgram,
  type Pass,
  type QuantityKindName,
} from '@ythrion/core';
import { Further } from '../sentence/Further';
import { SmallKey } from '../sentence/SmallKey';
import { Sentence } from '../sentence/Sentence';
import { DraftAmount } from './DraftAmount';
import type { Draft, Written } from './useDraft';

/** How a pass is led hot: rise, temperature, hold, and what is topped up meanwhile. */
export function HeatSentence({ draft, pass }: { draft: Draft; pass: Pass }) {
  const { heat } = pass;
  if (!heat) return null;
  const set = (changes: Partial<HeatProgram>, written: Written): void =>
    draft.changePass(pass.id, (now) => ({ heat: { ...(now.heat ?? heat), ...changes } }), written);
  const amount = (label: string, kind: QuantityKindName, name: keyof HeatProgram) => (
    <DraftAmount
      label={label}
      kind={kind}
      draft={draft}
      path={`passes.${pass.id}.heat.${name}`}
      value={heat[name]}
      onChange={(value, written) => set({ [name]: value }, written)}
    />
  );
  return (
    <Sentence>
      Heat to {amount('Heat to', 'temperature', 'temperatureC')}
      {!methodFacts(pass.method.kind).waitsItself && <>, hold {amount('Hold hot', 'minutes', 'minutes')}</>}
      <Further label="More about the heat" usual={heat.rampCPerMin === USUAL_RISE_C_PER_MIN}>
        , rising {amount('Rise', 'rampRate', 'rampCPerMin')}
      </Further>
      <SmallKey label="Leave it cold" onPress={() => draft.changePass(pass.id, { heat: null })} />
    </Sentence>
  );
}
