import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  API,
  type BatchResponse,
  type BeginBatch,
  type BookPage,
  type Colorway,
  type ColorwayOnList,
  type Entry,
  type Finding,
  type ImportReport,
  type ShelfResource,
  type ShelfResponse,
  type Studio,
  type StudioDocument,
} from '@ythrion/core';
import { ask, Refused } from './client';

const KEYS = {
  shelf: ['shelf'],
  colorways: ['colorways'],
  batches: ['batches'],
  running: ['running'],
} as const;

/** A lost answer is asked again, under the same id; a refusal is not. */
const retryUnlessRefused = (failures: number, error: Error): boolean =>
  !(error instanceof Refused) && failures < 5;

export const useShelf = () =>
  useQuery({ queryKey: KEYS.shelf, queryFn: () => ask<ShelfResponse>(API.shelf) });
export const useColorways = () =>
  useQuery({ queryKey: KEYS.colorways, queryFn: () => ask<ColorwayOnList[]>(API.colorways) });
export const useColorway = (id: string, enabled = true) =>
  useQuery({
    queryKey: [...KEYS.colorways, id],
    queryFn: () => ask<ColorwayOnList[]>(`${API.colorways}/${id}`),
    enabled,
  });
export const useRunning = () =>
  useQuery({
    queryKey: KEYS.running,
    queryFn: () => ask<BatchResponse[]>(API.running),
    refetchInterval: 15_000,
  });
export const useBatch = (id: string) =>
  useQuery({
    queryKey: [...KEYS.batches, 'one', id],
    queryFn: () => ask<BatchResponse>(`${API.batches}/${id}`),
  });
export const useBook = (q: string, offset: number, limit: number) =>
  useQuery({
    queryKey: [...KEYS.batches, 'page', q, offset, limit],
    queryFn: () =>
      ask<BookPage>(
        `${API.batches}?${new URLSearchParams({ q, offset: String(offset), limit: String(limit) })}`,
      ),
    placeholderData: keepPreviousData,
  });
export const useFind = (q: string) =>
  useQuery({
    queryKey: ['find', q],
    queryFn: () => ask<Finding[]>(`${API.find}?${new URLSearchParams({ q })}`),
    enabled: q.trim() !== '',
    placeholderData: keepPreviousData,
  });

/** Puts one thing on the shelf, new or revised. */
export function usePutOnShelf(resource: ShelfResource) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (item: { id: string }) => ask<{ id: string }>(`/api/${resource}/${item.id}`, 'PUT', item),
    retry: retryUnlessRefused,
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.shelf }),
  });
}

export function usePutStudio() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (studio: Studio) => ask<Studio>(API.studio, 'PUT', studio),
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.shelf }),
  });
}

export function useSaveColorway() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (colorway: Colorway) => ask<ColorwayOnList>(API.colorways, 'POST', colorway),
    onSuccess: () => queries.invalidateQueries({ queryKey: KEYS.colorways }),
  });
}

export function useImportDocument() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (document: StudioDocument) => ask<ImportReport>(API.document, 'POST', document),
    onSuccess: () => queries.invalidateQueries(),
  });
}

export function useBeginBatch() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (begin: BeginBatch) => ask<BatchResponse>(API.batches, 'POST', begin),
    retry: retryUnlessRefused,
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: KEYS.batches }),
        queries.invalidateQueries({ queryKey: KEYS.running }),
      ]),
  });
}

/** Adds an entry to a batch; the answer is the batch as it is now kept. */
export function useAddEntry(batchId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (entry: Entry) => ask<BatchResponse>(`${API.batches}/${batchId}/entries`, 'POST', entry),
    retry: retryUnlessRefused,
    retryDelay: 1000,
    scope: { id: `batch-${batchId}` },
    onSuccess: (batch) => {
      queries.setQueryData([...KEYS.batches, 'one', batchId], batch);
      return Promise.all([
        queries.invalidateQueries({ queryKey: KEYS.running }),
        queries.invalidateQueries({ queryKey: [...KEYS.batches, 'page'] }),
        queries.invalidateQueries({ queryKey: KEYS.shelf }),
      ]);
    },
  });
}
