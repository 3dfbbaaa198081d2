import { useEffect, useState } from 'react';

/** A value once it has rested, so that not every key of a fast typist asks the server. @param ms how long it must rest */
export function useRested<T>(value: T, ms = 150): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
