import { useEffect, useState } from 'react';
import { studioNowMs } from '../api/studioClock';

/** The time by the studio's clock, renewed every so many seconds while the screen is up. */
export function useNow(everySeconds: number): number {
  const [now, setNow] = useState(() => studioNowMs());
  useEffect(() => {
    const timer = setInterval(() => setNow(studioNowMs()), everySeconds * 1000);
    return () => clearInterval(timer);
  }, [everySeconds]);
  return now;
}
