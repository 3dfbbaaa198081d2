import { useEffect, useState } from 'react';
import { live } from '../api/live';

/** The latest reading of an instrument while it is listened to; null before the first, and when it went away. */
export function useReadings<Reading>(instrument: string | null): Reading | null {
  const [reading, setReading] = useState<Reading | null>(null);
  useEffect(() => {
    if (instrument === null) return;
    const stop = live.listen(instrument, (shown) => setReading(shown as Reading | null));
    return () => {
      stop();
      setReading(null);
    };
  }, [instrument]);
  return reading;
}
