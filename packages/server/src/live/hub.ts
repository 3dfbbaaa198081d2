import type { RequestHandler } from 'express';

/** Tells whoever listens that the studio was changed, after it was. */
export interface Hub {
  /** Every request passes through here; one that changed something is told of once it has been answered. */
  watch: RequestHandler;
  /** @param listener called with the address that was changed at. Returns what ends the listening. */
  listen(listener: (path: string) => void): () => void;
}

export function createHub(): Hub {
  const listeners = new Set<(path: string) => void>();
  return {
    watch(request, response, next) {
      const { method, originalUrl } = request;
      if (method !== 'GET' && method !== 'HEAD')
        response.once('finish', () => {
          if (response.statusCode < 400) for (const listener of [...listeners]) listener(originalUrl);
        });
      next();
    },
    listen(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}
