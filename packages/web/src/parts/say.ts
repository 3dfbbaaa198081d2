import { startTransition } from 'react';

/** A message to the dyer, with what can be done about it. */
export interface Message {
  words: string;
  /** One thing to do: its word, and the work. */
  action?: { word: string; work: () => void };
}

type Shower = (message: Message) => void;

/** Who shows messages: the last who took over. */
let showers: Shower[] = [];
const waiting: Message[] = [];
const watchers = new Set<() => void>();
let wanted = false;

/** Says something at the top of the screen. The part that shows it is loaded with the first message. */
export function say(words: string, action?: Message['action']): void {
  const message = action ? { words, action } : { words };
  // What it is about shows first.
  const show = showers.at(-1);
  if (show) return startTransition(() => show(message));
  waiting.push(message);
  wanted = true;
  for (const watcher of watchers) watcher();
}

/** Takes over showing messages, those that waited first. Returns what gives it back to whoever showed them before. */
export function showMessagesWith(shower: Shower): () => void {
  showers.push(shower);
  for (const message of waiting.splice(0)) shower(message);
  return () => {
    showers = showers.filter((one) => one !== shower);
  };
}

/** Whether anything has been said yet, for `useSyncExternalStore`. */
export const messagesWanted = {
  subscribe(watcher: () => void): () => void {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
  now: (): boolean => wanted,
};
