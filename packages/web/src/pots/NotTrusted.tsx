import { useSyncExternalStore } from 'react';
import { SaidOnce } from '../parts/SaidOnce';
import { useAccess } from '../studio/access';
import { trust } from '../studio/trust';

/** On a device that does not trust the studio: what does not work there. */
export function NotTrusted() {
  const trusted = useSyncExternalStore(trust.subscribe, trust.now);
  const access = useAccess();
  if (trusted !== false || !access?.lan || access.open) return null;
  return (
    <SaidOnce name="not-trusted-read">
      This device does not trust the studio yet. What you enter is kept and sent all the same, but it cannot
      open the studio without the network, ring, or stay awake.{' '}
      <a href={access.lan.trustUrl}>How to trust it</a>
    </SaidOnce>
  );
}
