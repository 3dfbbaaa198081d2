import { bathPhNow, planFormulation } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { readBatch } from './store';

/** pH that the bath of a batch should show now, from the acid that has been poured into it. @throws NotFound */
export async function expectedBathPh(storage: Storage, batchId: string): Promise<number> {
  const batch = await readBatch(storage, batchId);
  return bathPhNow(batch.formulation, planFormulation(batch.formulation), batch.entries);
}
