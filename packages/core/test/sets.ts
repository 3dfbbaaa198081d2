import { SET_METHOD_NAMES } from '../src/heat/setMethods';
import type { HeatSet } from '../src/recipe/recipe';

export { SET_METHOD_NAMES };

/** Minutes on heat that a set comes to, worked from the usual values of the trade and not from the code under test. */
export function usualSetMinutes({ method, temperatureC, minutes }: HeatSet): number {
  const rise = { simmer: (temperatureC - 20) / 1.5, steam: 15, oven: 20, microwave: 0, 'warm rest': 0 }[
    method
  ];
  return method === 'warm rest' ? 0 : rise + minutes;
}
