import { useState } from 'react';

/** State that survives a reload: kept in this browser until it is saved or thrown away. */
export function useStoredState<T>(key: string, initial: T): [T, (value: T) => void, () => void] {
  const name = `ythrion.${key}`;
  const [value, setValue] = useState<T>(() => {
    const kept = localStorage.getItem(name);
    if (kept === null) return initial;
    try {
      return JSON.parse(kept) as T;
    } catch {
      return initial;
    }
  });
  const put = (next: T): void => {
    setValue(next);
    localStorage.setItem(name, JSON.stringify(next));
  };
  const clear = (): void => localStorage.removeItem(name);
  return [value, put, clear];
}
