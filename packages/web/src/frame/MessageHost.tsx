import { lazy, Suspense, useEffect, useState, useSyncExternalStore } from 'react';
import { messagesWanted, showMessagesWith, type Message } from '../parts/say';

const Messages = lazy(async () => {
  try {
    return { default: (await import('./Messages')).Messages };
  } catch {
    // The server went away before the first message was due: then it is said plainly.
    return { default: PlainMessage };
  }
});

/** The place of messages: empty and unloaded until the first one. */
export function MessageHost() {
  const wanted = useSyncExternalStore(messagesWanted.subscribe, messagesWanted.now);
  return wanted ? (
    <Suspense>
      <Messages />
    </Suspense>
  ) : null;
}

/** The last message, without any dress. */
function PlainMessage() {
  const [message, setMessage] = useState<Message | null>(null);
  useEffect(() => showMessagesWith(setMessage), []);
  useEffect(() => {
    const timer = setTimeout(() => setMessage(null), 6000);
    return () => clearTimeout(timer);
  }, [message]);
  if (!message) return null;
  const { words, action } = message;
  return (
    <p
      role="alert"
      style={{
        position: 'fixed',
        inset: '0 auto auto 0',
        margin: 8,
        padding: 8,
        background: 'Canvas',
        color: 'CanvasText',
        zIndex: 1400,
      }}
    >
      {words}{' '}
      {action && (
        <button type="button" onClick={action.work}>
          {action.word}
        </button>
      )}
    </p>
  );
}
