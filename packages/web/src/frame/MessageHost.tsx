import { lazy, Suspense, useSyncExternalStore } from 'react';
import { messagesWanted } from '../parts/say';

const Messages = lazy(async () => ({ default: (await import('./Messages')).Messages }));

/** The place of messages: empty and unloaded until the first one. */
export function MessageHost() {
  const wanted = useSyncExternalStore(messagesWanted.subscribe, messagesWanted.now);
  return wanted ? (
    <Suspense>
      <Messages />
    </Suspense>
  ) : null;
}
