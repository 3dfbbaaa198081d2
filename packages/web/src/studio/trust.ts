/** Whether the browser trusts the studio enough to keep its screens; null while that is not known. */
let trusted: boolean | null = null;
const watchers = new Set<() => void>();

export function setTrusted(to: boolean): void {
  trusted = to;
  for (const watcher of watchers) watcher();
}

/** For `useSyncExternalStore`. */
export const trust = {
  subscribe(watcher: () => void): () => void {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
  now: (): boolean | null => trusted,
};
