import { useEffect, useState } from 'react';

/** The time, renewed every so many seconds while the screen is up. */
export function useNow(everySeconds: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), everySeconds * 1000);
    return () => clearInterval(timer);
  }, [everySeconds]);
  return now;
}
