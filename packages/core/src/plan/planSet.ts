import { plainNumber } from '../units/plainNumber';
import { figure, measuredOut } from '../figure/figure';
import { boilingPointC, airPressureKpa } from '../heat/boilingPoint';
import { centerHotMinutes } from '../heat/bundle';
import { coolDownMinutes, heatCapacityJPerK } from '../heat/heatUp';
import { HANDLING_C, setMethodFacts } from '../heat/setMethods';
import type { Plan } from './planTypes';
import type { Formulation } from '../recipe/recipe';
import type { Story } from './story';
import { potAt } from './ownVessel';
import { risesTogether, vesselHeat } from './vesselHeat';

const PRACTICE = 'common practice, no source';

/** How near to the steam's own temperature the center of a bundle counts as hot, °C (common practice, no source). */
const NEAR_STEAM_C = 5;

/** The set: rise, hold, cool, and what the place allows. Read from its acts and the state it ends in. */
export function planSet(formulation: Formulation, story: Story): Plan['set'] {
  const { recipe, place, asWritten = {} } = formulation;
  const { set } = recipe;
  const facts = setMethodFacts(set.method);
  const boiling = boilingPointC(place.altitudeM);
  const inPot = facts.riseMinutes === undefined;
  const held = story.set.find(({ act }) => act.kind === 'hold' && act.purpose === 'set');
  const heated =
    held?.act.kind === 'hold' ? vesselHeat(held.after, held.act.vessel) : { waterMl: 0, fiberGrams: 0 };
  const pot = held?.act.kind === 'hold' ? potAt(formulation, held.act.vessel) : formulation.pot;
  const capacity = heatCapacityJPerK(heated.waterMl, heated.fiberGrams, pot?.vesselJPerK ?? 0);
  const steamC = Math.min(set.temperatureC, boiling);
  const center =
    set.method === 'steam'
      ? centerHotMinutes(set.bundleCm, place.roomC, steamC - NEAR_STEAM_C, steamC)
      : Number.NaN;
  const cools =
    pot && inPot
      ? coolDownMinutes(pot.lossWPerK, capacity, set.temperatureC, HANDLING_C, place.roomC)
      : Number.NaN;
  return {
    method: set.method,
    temperature: measuredOut(figure(set.temperatureC, '°C', 'as decided'), {
      as: 'heat',
      said: asWritten['set.temperatureC'] ?? null,
    }),
    hold: figure(set.minutes, 'min', 'as decided'),
    cool: figure(set.coolMinutes, 'min', 'as decided'),
    rise:
      !inPot && facts.riseMinutes === 0
        ? figure(0, 'min', () => `to get the ${facts.label} hot`, 'estimate', PRACTICE)
        : risesTogether(story.set),
    boiling: figure(
      boiling,
      '°C',
      () =>
        `saturation at ${airPressureKpa(place.altitudeM).toFixed(1)} kPa, the standard atmosphere at ${place.altitudeM} m`,
      'established',
      'ISO 2533:1975; IAPWS-IF97',
    ),
    centerHot: Number.isFinite(center)
      ? figure(
          center,
          'min',
          () =>
            `center of a ${plainNumber(set.bundleCm)} cm bundle from ${plainNumber(place.roomC)} °C to within ${NEAR_STEAM_C} °C of the steam, 1.4 × 10⁻⁷ m²/s`,
          'estimate',
          'conduction into a cylinder, Carslaw and Jaeger; diffusivity of wet wool from memory',
        )
      : null,
    expectedCool: Number.isFinite(cools)
      ? figure(
          cools,
          'min',
          () =>
            `ln((${plainNumber(set.temperatureC)} − ${plainNumber(place.roomC)}) ÷ (${HANDLING_C} − ${plainNumber(place.roomC)})) × ${capacity.toFixed(0)} J/K ÷ ${pot?.lossWPerK ?? 0} W/K`,
          'estimate',
          'Newton’s law of cooling; vessel data as entered',
        )
      : null,
  };
}
