import {
  keepPreviousData,
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import {
  API,
  type BatchResponse,
  type BeginBatch,
  type BookPage,
  type CheckResponse,
  type Colorway,
  type ColorwayOnList,
  type CopiesResponse,
  type DyeAgainRequest,
  type Event,
  type Finding,
  type ImportReport,
  type OpenBatchRequest,
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
  copies: ['copies'],
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
    onSuccess: () => begun(queries),
  });
}

/** Begins a batch that dyes the record of another again. */
export function useBeginAgain(ofId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (begin: DyeAgainRequest) => ask<BatchResponse>(`${API.batches}/${ofId}/again`, 'POST', begin),
    retry: retryUnlessRefused,
    onSuccess: () => begun(queries),
  });
}

/** Begins a batch without a plan. */
export function useOpenBatch() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (begin: OpenBatchRequest) => ask<BatchResponse>(`${API.batches}/open`, 'POST', begin),
    retry: retryUnlessRefused,
    onSuccess: () => begun(queries),
  });
}

/** Another batch is wet: the lists are asked for anew. */
const begun = (queries: QueryClient): Promise<unknown> =>
  Promise.all([
    queries.invalidateQueries({ queryKey: KEYS.batches }),
    queries.invalidateQueries({ queryKey: KEYS.running }),
  ]);

/**
 * Adds an event to a batch's record; once it is acknowledged it stands in what this device shows of it. The batch is
 * asked for anew as well: an answer still under way, from before the event, must not take its place.
 */
export function useAddEvent(batchId: string) {
  const queries = useQueryClient();
  const thisBatch = [...KEYS.batches, 'one', batchId];
  return useMutation({
    mutationFn: (event: Event) => ask<Event>(`${API.batches}/${batchId}/events`, 'POST', event),
    retry: retryUnlessRefused,
    retryDelay: 1000,
    scope: { id: `batch-${batchId}` },
    onSuccess: (event) => {
      const withEvent = (batch: BatchResponse): BatchResponse =>
        batch.id !== batchId || batch.events.some(({ id }) => id === event.id)
          ? batch
          : { ...batch, events: [...batch.events, event] };
      queries.setQueryData<BatchResponse>(thisBatch, (batch) => batch && withEvent(batch));
      return Promise.all([
        queries.invalidateQueries({ queryKey: thisBatch }),
        queries.invalidateQueries({ queryKey: KEYS.running }),
        queries.invalidateQueries({ queryKey: [...KEYS.batches, 'page'] }),
        queries.invalidateQueries({ queryKey: KEYS.shelf }),
      ]);
    },
  });
}

/** Adds several events to the record of a batch, one after the other. */
export function useKeepEvents() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({ id, events }: { id: string; events: readonly Event[] }) => {
      for (const event of events) await ask<Event>(`${API.batches}/${id}/events`, 'POST', event);
    },
    retry: retryUnlessRefused,
    onSuccess: () => begun(queries),
  });
}

export const useCopies = () =>
  useQuery({ queryKey: KEYS.copies, queryFn: () => ask<CopiesResponse>(API.copies) });

/** Copies the studio as it stands. */
export function useMakeCopy() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => ask<CopiesResponse>(API.copies, 'POST', {}),
    onSuccess: (copies) => queries.setQueryData(KEYS.copies, copies),
  });
}

/** Puts a copy in the studio's place; everything shown is asked for anew. */
export function useGoBackTo() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (name: string) => ask<CopiesResponse>(`${API.copies}/${name}/restore`, 'POST', {}),
    onSuccess: () => queries.invalidateQueries(),
  });
}

/** Looks the whole studio over. */
export const useCheckStudio = () => useMutation({ mutationFn: () => ask<CheckResponse>(API.check) });
