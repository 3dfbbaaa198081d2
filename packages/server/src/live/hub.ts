import type { RequestHandler } from 'express';
import type { LiveMessages } from '@ythrion/core';

/** What the hub passes on: that something was changed, and how far a taking in is. */
type Listener = <K extends 'changed' | 'comingIn'>(name: K, told: LiveMessages[K]) => void;

/** Tells whoever listens what happens to the studio. */
export interface Hub {
  /** Every request passes through here; one that changed something is told of once it has been answered. */
  watch: RequestHandler;
  tell: Listener;
  /** Returns what ends the listening. */
  listen(listener: Listener): () => void;
}

export function createHub(): Hub {
  const listeners = new Set<Listener>();
  const tell: Listener = (name, told) => {
    for (const listener of [...listeners]) listener(name, told);
  };
  return {
    watch(request, response, next) {
      const { method, originalUrl } = request;
      if (method !== 'GET' && method !== 'HEAD')
        response.once('finish', () => {
          if (response.statusCode < 400) tell('changed', { path: originalUrl });
        });
      next();
    },
    tell,
    listen(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
