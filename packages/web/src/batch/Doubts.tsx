import { lazy } from 'react';
import { doubtsOf, type Batch, type Reading } from '@ythrion/core';
import type { Recorder } from './useRecord';
import { AskedFor } from '../parts/AskedFor';

const DoubtList = lazy(async () => ({ default: (await import('./DoubtList')).DoubtList }));

export interface DoubtsProps {
  batch: Batch;
  reading: Reading;
  recorder: Recorder;
}

/** Entries of which only the dyer knows whether they are to count; nothing where there are none. */
export function Doubts(props: DoubtsProps) {
  return doubtsOf(props.batch).length === 0 ? null : (
    <AskedFor>
      <DoubtList {...props} />
    </AskedFor>
  );
}
