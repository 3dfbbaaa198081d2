import { say } from '../parts/say';
import { setTrusted } from '../studio/trust';

/**
 * Has the browser keep the screens, so that they open though the server is away: once there is nothing else to do, and
 * only where the page is trusted, for a browser keeps nothing of others.
 */
export function keepShell(): void {
  if (!import.meta.env.PROD) return;
  if (!isSecureContext || !('serviceWorker' in navigator)) return setTrusted(false);
  const whenIdle =
    'requestIdleCallback' in window ? requestIdleCallback : (work: () => void) => setTimeout(work, 2000);
  addEventListener('load', () => whenIdle(() => void register()));
}

async function register(): Promise<void> {
  const registration = await navigator.serviceWorker.register('/sw.js').catch(() => null);
  setTrusted(Boolean(registration));
  registration?.addEventListener('updatefound', () => {
    const newer = registration.installing;
    newer?.addEventListener('statechange', () => {
      if (newer.state === 'installed' && navigator.serviceWorker.controller) offer(newer);
    });
  });
}

/** A newer version waits until every tab of the old one is closed, or until somebody takes it. */
function offer(newer: ServiceWorker): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  say('A newer Ythrion is here.', {
    word: 'Use it',
    work: () => newer.postMessage({ type: 'SKIP_WAITING' }),
  });
}
