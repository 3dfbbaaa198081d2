import { bathPhNow } from '@ythrion/core';
import type { Storage } from '../storage/storage';
import { batchNow } from './read';

/** pH that the bath of a batch should show now, from the acid that has been poured into it. @throws NotFound */
export const expectedBathPh = async (storage: Storage, batchId: string): Promise<number> =>
  bathPhNow(await batchNow(storage, batchId));
