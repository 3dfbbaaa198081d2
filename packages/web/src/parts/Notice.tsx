import { useSyncExternalStore, type ReactNode } from 'react';
import { createPortal } from 'react-dom';

let place: HTMLElement | null = null;
const listeners = new Set<() => void>();

/** Where notices stand from now on; null: where they are. */
export function showNoticesIn(element: HTMLElement | null): void {
  place = element;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Something that comes up along the lower edge by itself: above the keys where a screen has some, so that it moves none. */
export function Notice({ children }: { children: ReactNode }) {
  const there = useSyncExternalStore(subscribe, () => place);
  return there ? createPortal(children, there) : children;
}
