import { useEffect, useState } from 'react';
import type { Colorway } from '@ythrion/core';
import { draftKey } from './draftKey';

/**
 * The draft of a saved colorway as it was left in this browser. What reads it is loaded when there is one.
 * @returns undefined while it is being read, null where there is none
 */
export function useKeptDraft(saved: Colorway | undefined): Colorway | null | undefined {
  const [kept, setKept] = useState<{ id: string; draft: Colorway | null } | null>(null);
  const id = saved?.id;
  const there = id !== undefined && localStorage.getItem(draftKey(id)) !== null;
  const read = kept !== null && kept.id === id;
  useEffect(() => {
    if (!saved || read || !there) return;
    let wanted = true;
    void import('./keptDraft').then(({ keptDraft }) => {
      if (wanted) setKept({ id: saved.id, draft: keptDraft(saved) });
    });
    return () => {
      wanted = false;
    };
  }, [saved, read, there]);
  if (read) return kept.draft;
  return there ? undefined : null;
}
