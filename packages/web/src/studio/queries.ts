import { useMemo, useSyncExternalStore } from 'react';
import {
  keepPreviousData,
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
} from '@tanstack/react-query';
import {
  API,
  asItStands,
  lastVerdict,
  type BatchResponse,
  type BeginBatch,
  type BookPage,
  type BookQuery,
  type CheckResponse,
  type Colorway,
  type ColorwayOnList,
  type CopiesResponse,
  type DyeAgainRequest,
  type Event,
  type Finding,
  type ImportReport,
  type OpenBatchRequest,
  type Order,
  type ShelfResource,
  type ShelfResponse,
  type Studio,
  type StudioDocument,
  type CupRecord,
  type WentInto,
} from '@ythrion/core';
import { ask, Refused } from '../api/client';
import { outbox } from '../outbox/thisDevice';
import { cupsWithHeard, withHeard } from '../outbox/withHeard';
import { shelfNow } from './shelfNow';

export const KEYS = {
  shelf: ['shelf'],
  colorways: ['colorways'],
  colors: ['colors'],
  batches: ['batches'],
  running: ['running'],
  cups: ['cups'],
  copies: ['copies'],
  comingIn: ['coming in'],
} as const;

/** A lost answer is asked again, under the same id; a refusal is not. */
const retryUnlessRefused = (failures: number, error: Error): boolean =>
  !(error instanceof Refused) && failures < 5;

/** The shelf, its jars less what this device knows was poured since. */
export function useShelf() {
  const query = useQuery({ queryKey: KEYS.shelf, queryFn: () => ask<ShelfResponse>(API.shelf) });
  const entries = useSyncExternalStore(outbox.subscribe, outbox.all);
  const running = useQueryClient().getQueryData<BatchResponse[]>(KEYS.running);
  const { data: shelf } = query;
  const data = useMemo(() => {
    const find = (id: string): Event | undefined =>
      outbox.find(id) ?? running?.flatMap(({ events }) => events).find((event) => event.id === id);
    return shelf && shelfNow(shelf, [...entries.values()].flat(), find);
  }, [shelf, entries, running]);
  return { data, error: query.error };
}
export const useColorways = (enabled = true) =>
  useQuery({ queryKey: KEYS.colorways, queryFn: () => ask<ColorwayOnList[]>(API.colorways), enabled });
export const useColorway = (id: string, enabled = true) =>
  useQuery({
    queryKey: [...KEYS.colorways, id],
    queryFn: () => ask<ColorwayOnList[]>(`${API.colorways}/${id}`),
    enabled,
  });
/** Batches that are wet, with what this device made or heard of since they were asked for. */
export function useRunning() {
  const query = useQuery({ queryKey: KEYS.running, queryFn: () => ask<BatchResponse[]>(API.running) });
  const entries = useSyncExternalStore(outbox.subscribe, outbox.all);
  const { data: running } = query;
  const data = useMemo(
    () =>
      running?.map((batch) => asHeard(batch, entries)).filter(({ events }) => lastVerdict(events) === null),
    [running, entries],
  );
  return { data, error: query.error };
}
/** Mixing cups at hand, with what this device made or heard of since they were asked for; those it alone has among them. */
export function useCups() {
  const query = useQuery({ queryKey: KEYS.cups, queryFn: () => ask<CupRecord[]>(API.cups) });
  const entries = useSyncExternalStore(outbox.subscribe, outbox.all);
  const { data: told } = query;
  const data = useMemo(() => cupsWithHeard(told ?? [], entries), [told, entries]);
  return { data: told === undefined && data.length === 0 ? undefined : data, error: query.error };
}
/** One batch, with what this device made or heard of since it was asked for. */
export function useBatch(id: string) {
  const queries = useQueryClient();
  const query = useQuery({
    queryKey: [...KEYS.batches, 'one', id],
    queryFn: () => ask<BatchResponse>(`${API.batches}/${id}`),
    // One that is wet was asked for with the others.
    initialData: () => queries.getQueryData<BatchResponse[]>(KEYS.running)?.find((batch) => batch.id === id),
    initialDataUpdatedAt: () => queries.getQueryState(KEYS.running)?.dataUpdatedAt,
  });
  const entries = useSyncExternalStore(outbox.subscribe, () => outbox.ofBatch(id));
  const { data: batch } = query;
  const data = useMemo(() => batch && asTheyStand(withHeard(batch, entries)), [batch, entries]);
  return { data, error: query.error };
}
/** The attempts at a color, in order, with what this device made or heard of since they were asked for. */
export function useAttempts(color: string) {
  const query = useQuery({
    queryKey: [...KEYS.batches, 'attempts', color],
    queryFn: () => ask<BatchResponse[]>(`${API.soughts}/${color}/attempts`),
  });
  const entries = useSyncExternalStore(outbox.subscribe, outbox.all);
  const { data: told } = query;
  const data = useMemo(() => told?.map((batch) => asHeard(batch, entries)), [told, entries]);
  return { data, error: query.error };
}
/** Orders of which pieces are still to be dyed. */
export const useOrders = () =>
  useQuery({ queryKey: [...KEYS.batches, 'orders'], queryFn: () => ask<Order[]>(API.orders) });
/** An order with all of its loads. */
export const useOrder = (id: string) =>
  useQuery({
    queryKey: [...KEYS.batches, 'orders', id],
    queryFn: () => ask<Order>(`${API.orders}/${id}`),
  });
/** What a batch gave to later ones. */
export const useWentInto = (id: string) =>
  useQuery({
    queryKey: [...KEYS.batches, 'went into', id],
    queryFn: () => ask<WentInto[]>(`${API.batches}/${id}/went-into`),
  });
/** One of several batches, with what this device made or heard of since they were asked for. */
const asHeard = (batch: BatchResponse, entries: ReturnType<typeof outbox.all>): BatchResponse =>
  asTheyStand(withHeard(batch, entries.get(batch.id) ?? []));
/** A batch with its card as it stands after what was changed at the pot. */
const asTheyStand = (batch: BatchResponse): BatchResponse => asItStands(batch, batch.events);
/** A page of the Book. What is asked for is given as the schema of the request reads it. */
export const useBook = (asked: Partial<BookQuery>) =>
  useQuery({
    queryKey: [...KEYS.batches, 'page', asked],
    queryFn: () => ask<BookPage>(`${API.batches}?${addressOf(asked)}`),
    placeholderData: keepPreviousData,
  });
const addressOf = (asked: object): URLSearchParams =>
  new URLSearchParams(
    Object.entries(asked).flatMap(([name, value]: [string, unknown]) =>
      value === undefined || value === '' ? [] : [[name, String(value)]],
    ),
  );
const finding = (q: string) => ({
  queryKey: ['find', q],
  queryFn: () => ask<Finding[]>(`${API.find}?${new URLSearchParams({ q })}`),
});
/** What is found by a text; while the answer is on its way the last one stands. */
export const useFind = (q: string) =>
  useQuery({ ...finding(q), enabled: q !== '', placeholderData: keepPreviousData });
/** Asks what is found by just this text. */
export function useFindNow(): (q: string) => Promise<Finding[]> {
  const queries = useQueryClient();
  return (q) => queries.fetchQuery({ ...finding(q), staleTime: 1000 });
}

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

/** Takes a document made here in. */
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
