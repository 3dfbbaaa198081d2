import { useEffect, useState } from 'react';

/** The latest reading of an instrument while it is listened to; null before the first, and when it went away. */
export function useReadings<Reading>(path: string | null): Reading | null {
  const [reading, setReading] = useState<Reading | null>(null);
  useEffect(() => {
    if (path === null) return;
    const source = new EventSource(path);
    source.onmessage = (event: MessageEvent<string>) => setReading(JSON.parse(event.data) as Reading);
    source.onerror = () => setReading(null);
    return () => {
      source.close();
      setReading(null);
    };
  }, [path]);
  return reading;
}
