import { startTransition } from 'react';

/** A message to the dyer, with what can be done about it. */
export interface Message {
  words: string;
  /** One thing to do: its word, and the work. */
  action?: { word: string; work: () => void };
}

let show: ((message: Message) => void) | null = null;
const waiting: Message[] = [];
const watchers = new Set<() => void>();
let wanted = false;

/** Says something at the top of the screen. The part that shows it is loaded with the first message. */
export function say(words: string, action?: Message['action']): void {
  const message = action ? { words, action } : { words };
  // What it is about shows first.
  if (show) return startTransition(() => show?.(message));
  waiting.push(message);
  wanted = true;
  for (const watcher of watchers) watcher();
}

/** Takes over showing messages, those that waited first. */
export function showMessagesWith(shower: (message: Message) => void): void {
  show = shower;
  for (const message of waiting.splice(0)) shower(message);
}

/** Whether anything has been said yet, for `useSyncExternalStore`. */
export const messagesWanted = {
  subscribe(watcher: () => void): () => void {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
  now: (): boolean => wanted,
};
