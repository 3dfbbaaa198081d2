import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import {
  bookFilterSchema,
  bookQuerySchema,
  type BookFilter,
  type BookOrder,
  type BookQuery,
} from '@ythrion/core';
import { useRested } from '../parts/useRested';

export type Narrowing = keyof Omit<BookFilter, 'q'>;

/** What the Book is asked for, as its address says it, so that it can be gone back to and handed on. */
export interface AskedOfBook {
  filter: BookFilter;
  order: BookOrder;
  way: 'up' | 'down';
  /** What stands in the search field; the address follows once the typing rests. */
  typed: string;
  type: (q: string) => void;
  /** Narrows by one more, or no longer by it. */
  narrow: (by: Narrowing, value: string | undefined) => void;
  inOrder: (order: BookOrder, way: 'up' | 'down') => void;
  clear: () => void;
}

export function useBookQuery(): AskedOfBook {
  const [params, setParams] = useSearchParams();
  const [typed, type] = useState(() => params.get('q') ?? '');
  const rested = useRested(typed);
  // One change can follow on another before the address has taken up the first.
  const latest = useRef(params);
  useEffect(() => {
    latest.current = params;
  }, [params]);
  const set = (changes: Record<string, string | undefined>): void => {
    const next = new URLSearchParams(latest.current);
    for (const [name, value] of Object.entries(changes))
      if (value === undefined || value === '') next.delete(name);
      else next.set(name, value);
    latest.current = next;
    setParams(next, { replace: true });
  };
  useEffect(() => {
    if ((latest.current.get('q') ?? '') !== rested) set({ q: rested });
    // Only what was typed moves the address; the address moves nothing that is being typed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [rested]);
  const query = readable(params);
  return {
    filter: bookFilterSchema.parse(query),
    order: query.order,
    way: query.way,
    typed,
    type,
    narrow: (by, value) => set({ [by]: value }),
    inOrder: (order, way) => set({ order, way }),
    clear: () => {
      type('');
      setParams({}, { replace: true });
    },
  };
}

/** What an address asks for; what of it cannot be read is left out. */
function readable(params: URLSearchParams): BookQuery {
  const asked = new URLSearchParams(params);
  const read = bookQuerySchema.safeParse(Object.fromEntries(asked));
  if (read.success) return read.data;
  for (const { path } of read.error.issues) asked.delete(String(path[0]));
  return bookQuerySchema.parse(Object.fromEntries(asked));
}
