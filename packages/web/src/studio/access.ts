import { useEffect } from 'react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ACCESS, type AccessResponse, type CodeResponse, type PairedDevice } from '@ythrion/core';
import { ask } from '../api/client';
import { outbox, sender } from '../outbox/thisDevice';

/** Whether this device is in: asked anew when it is turned away. */
export const ACCESS_KEY = ['access'] as const;
const DEVICES = ['devices'] as const;

/** Whether this device is in, and under whose name it enters things; undefined while the studio cannot say. */
export function useAccess(): AccessResponse | undefined {
  const { data } = useQuery({
    queryKey: ACCESS_KEY,
    queryFn: () => ask<AccessResponse>(ACCESS.self),
    staleTime: 60_000,
  });
  const person = data?.device?.person ?? null;
  const known = data !== undefined;
  useEffect(() => {
    if (known) void outbox.enterAs(person);
  }, [known, person]);
  return data;
}

/** Once a device is in, everything that it was refused is asked for again. */
function useLetIn<Request>(path: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (request: Request) => ask<PairedDevice>(path, 'POST', request),
    onSuccess: async () => {
      sender.wake();
      await queries.resetQueries();
    },
  });
}

export const useSignIn = () => useLetIn<{ passphrase: string; person: string; label: string }>(ACCESS.signIn);
export const usePair = () => useLetIn<{ code: string; label: string }>(ACCESS.pair);

export const useDevices = () =>
  useQuery({ queryKey: DEVICES, queryFn: () => ask<PairedDevice[]>(ACCESS.devices) });

/** A code that lets one more device in. */
export const useMakeCode = () =>
  useMutation({ mutationFn: (person: string) => ask<CodeResponse>(ACCESS.codes, 'POST', { person }) });

/** Sends a device away. */
export function useRevoke() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<PairedDevice[]>(`${ACCESS.devices}/${id}/revoke`, 'POST'),
    onSuccess: (devices) => queries.setQueryData(DEVICES, devices),
  });
}

/** What this device is, in a word, for the list of devices. */
export const deviceLabel = (): string =>
  /iPhone|iPad|Android|Windows|Mac|Linux/.exec(navigator.userAgent)?.[0] ?? '';
