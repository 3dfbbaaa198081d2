import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import type { Batch, ShelfResponse } from '@ythrion/core';
import { useBatch, useShelf } from '../studio/queries';
import { Waiting } from '../parts/Waiting';

/** The batch the address names, with the shelf its entries refer to, once both are at hand. */
export function OpenedBatch({ children }: { children: (batch: Batch, shelf: ShelfResponse) => ReactNode }) {
  const { id = '' } = useParams();
  const batch = useBatch(id);
  const shelf = useShelf();
  if (!batch.data || !shelf.data) return <Waiting error={batch.error ?? shelf.error} />;
  return children(batch.data, shelf.data);
}
