import { useRef } from 'react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { API, type ImportReport, type LiveMessages } from '@ythrion/core';
import { hand } from '../api/client';
import { KEYS } from './queries';

/** The taking in was stopped here. */
export class Stopped extends Error {
  override readonly name = 'Stopped';
}

/** Takes a file of a whole studio in, an archive or one JSON document; `stop` ends it, and then nothing comes in. @throws Stopped */
export function useTakeIn() {
  const queries = useQueryClient();
  const stopping = useRef<AbortController>(null);
  const { mutateAsync, isPending } = useMutation({
    mutationFn: (file: File) => {
      const stop = new AbortController();
      stopping.current = stop;
      return file.name.toLowerCase().endsWith('.zip')
        ? hand<ImportReport>(API.archive, file, 'application/zip', stop.signal)
        : hand<ImportReport>(API.document, file, 'application/json', stop.signal);
    },
    onSuccess: () => queries.invalidateQueries(),
  });
  return { take: mutateAsync, isPending, stop: () => stopping.current?.abort(new Stopped()) };
}

/** How many batches of a file that some device hands in have been read; null while none comes in. */
export const useComingIn = (): number | null =>
  useQuery<LiveMessages['comingIn']>({
    queryKey: KEYS.comingIn,
    initialData: { batches: null },
    enabled: false,
  }).data.batches;
