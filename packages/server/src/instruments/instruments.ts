import { INSTRUMENTS } from '@ythrion/core';
import { expectedBathPh } from '../batches/bathPh';
import { NotFound } from '../refusals/refusals';
import type { Storage } from '../storage/storage';
import type { Instrument } from './instrument';
import { SimulatedPhMeter } from './simulatedPhMeter';
import { SimulatedScale } from './simulatedScale';

/** What stands on the bench and can be listened to. */
export interface Instruments {
  readonly scale: SimulatedScale;
  /** The instrument of a name, as the API has it; null when there is none. */
  named(name: string): Promise<Instrument<unknown> | null>;
}

const PH = INSTRUMENTS.phMeter('');

export function createInstruments(storage: Storage): Instruments {
  const scale = new SimulatedScale();
  return {
    scale,
    async named(name) {
      if (name === INSTRUMENTS.scale) return scale;
      if (!name.startsWith(PH)) return null;
      const batchId = name.slice(PH.length);
      try {
        return new SimulatedPhMeter(await expectedBathPh(storage, batchId), batchId);
      } catch (error) {
        if (error instanceof NotFound) return null;
        throw error;
      }
    },
  };
}
