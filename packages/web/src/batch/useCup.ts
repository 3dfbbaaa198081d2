import { useCallback, useLayoutEffect, useMemo, useRef } from 'react';
import {
  admitCup,
  cupNow,
  strikeOut,
  takenBack,
  type Cup,
  type CupRecord,
  type NewEvent,
  type ShelfResponse,
} from '@ythrion/core';
import { saidOfEntry } from '../api/client';
import { studioNow } from '../api/studioClock';
import { askToKeep, outbox } from '../outbox/thisDevice';
import { restKeys } from '../parts/restKeys';
import { say } from '../parts/say';
import { useCups } from '../studio/queries';

/** A cup with its record; null where there is none by that id, undefined while nobody knows. */
export function useCup(id: string): { record: CupRecord; cup: Cup } | null | undefined {
  const { data, error } = useCups();
  return useMemo(() => {
    const record = data?.find((one) => one.id === id);
    if (record) return { record, cup: cupNow(record) };
    return data === undefined && error === null ? undefined : null;
  }, [data, error, id]);
}

/** Cups that hold anything, or were begun and not yet used. */
export function useFullCups(): Cup[] {
  const { data } = useCups();
  return useMemo(
    () =>
      (data ?? [])
        .map(cupNow)
        .filter((cup) => cup.parts.length > 0 || cup.unmeasured.length > 0 || cup.left.length === 0),
    [data],
  );
}

/**
 * Enters things into the record of a cup, kept on this device before they show. False where they were refused, which is said.
 * @param make given the cup as it stands
 */
export async function enterAtCup(
  record: CupRecord,
  shelf: Pick<ShelfResponse, 'dyes' | 'stocks'>,
  make: (cup: Cup) => readonly NewEvent[],
  undoWord?: string,
): Promise<boolean> {
  restKeys();
  const of = { kind: 'vessel', id: record.id } as const;
  const at = studioNow();
  try {
    const events = make(cupNow(record));
    let known = record;
    for (const event of events) {
      const aside = outbox.aside(of, event, at);
      admitCup(aside, known, shelf);
      known = { ...known, events: [...known.events, aside] };
    }
    const entered = await outbox.enter(
      of,
      events.map((event) => ({ event, at })),
    );
    askToKeep();
    if (undoWord !== undefined)
      say(undoWord, {
        word: 'Take back',
        work: () =>
          void outbox.enter(
            of,
            entered.map((event) => ({ event: strikeOut(event), at: studioNow() })),
          ),
      });
    return true;
  } catch (error) {
    say(saidOfEntry(error));
    return false;
  }
}

/** Enters things into the record of a cup as it stands by then. */
export type EnterAtCup = (make: (cup: Cup) => readonly NewEvent[], undoWord?: string) => Promise<boolean>;

/** What enters things at a cup; it stays the same one, whatever comes into the cup. */
export function useEnterAtCup(record: CupRecord, shelf: Pick<ShelfResponse, 'dyes' | 'stocks'>): EnterAtCup {
  const latest = useRef({ record, shelf });
  useLayoutEffect(() => {
    latest.current = { record, shelf };
  });
  return useCallback(
    (make, undoWord) => enterAtCup(latest.current.record, latest.current.shelf, make, undoWord),
    [],
  );
}

/** Takes back something that happened at a cup; a pour in the batch it went into as well. */
export async function takeBackAtCup(enter: EnterAtCup, cup: Cup, eventId: string): Promise<void> {
  const { cup: atCup, batch } = takenBack(cup, eventId);
  if (!(await enter(() => atCup)) || !batch) return;
  const at = studioNow();
  await outbox.enter(
    batch.id,
    batch.events.map((event) => ({ event, at })),
  );
}
