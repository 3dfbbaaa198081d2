import { useDeferredValue, type ReactNode } from 'react';

/** What is not waited for: it is drawn right after all that stands around it. */
export function Later({ children }: { children: ReactNode }) {
  return useDeferredValue(true, false) ? children : null;
}
