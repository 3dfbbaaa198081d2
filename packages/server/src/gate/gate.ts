import type { RequestHandler } from 'express';

/** Lets requests through side by side, and now and then one piece of work alone. */
export interface Gate {
  /** Every request that touches the data passes through here. */
  pass: RequestHandler;
  /** The same for a look at the data that belongs to no such request. */
  through<T>(work: () => Promise<T>): Promise<T>;
  /** Called by a request that has passed: waits until no other is under way, holds new ones back, does the work. */
  alone<T>(work: () => Promise<T>): Promise<T>;
}

/** A gate that stands open. */
export function createGate(): Gate {
  let underWay = 0;
  let closed: Promise<void> | null = null;
  const waiting: (() => void)[] = [];
  const leave = (): void => {
    underWay -= 1;
    waiting.splice(0).forEach((look) => look());
  };
  return {
    async pass(_request, response, next) {
      while (closed) await closed;
      underWay += 1;
      let left = false;
      const leaveOnce = (): void => {
        if (!left) leave();
        left = true;
      };
      response.once('finish', leaveOnce);
      response.once('close', leaveOnce);
      next();
    },
    async through(work) {
      while (closed) await closed;
      underWay += 1;
      try {
        return await work();
      } finally {
        leave();
      }
    },
    async alone(work) {
      // The request that asks for this does not count as one to wait for.
      leave();
      while (closed) await closed;
      let open = (): void => undefined;
      closed = new Promise((resolve) => (open = resolve));
      try {
        while (underWay > 0) await new Promise<void>((look) => waiting.push(look));
        return await work();
      } finally {
        closed = null;
        underWay += 1;
        open();
      }
    },
  };
}
