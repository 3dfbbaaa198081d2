import type { HeatProgram, HeatSet } from './recipe';
import { setMethodFacts, USUAL_RISE_C_PER_MIN, type SetMethod } from '../heat/setMethods';

/** What is usual for a way of setting. */
export function usualSet(method: SetMethod): HeatSet {
  const facts = setMethodFacts(method);
  return {
    method,
    temperatureC: facts.usualC,
    minutes: facts.usualMinutes,
    coolMinutes: facts.usualCoolMinutes,
    rampCPerMin: USUAL_RISE_C_PER_MIN,
    bundleCm: 5,
    wrap: method === 'steam' || method === 'microwave' || method === 'oven' ? 'vented' : 'none',
    waits: false,
  };
}

/** A pass that is led hot begins with this: under a simmer, until most dyes have struck (common practice, no source). */
export const USUAL_PASS_HEAT: HeatProgram = {
  rampCPerMin: USUAL_RISE_C_PER_MIN,
  temperatureC: 85,
  minutes: 20,
};
