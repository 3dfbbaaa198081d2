import { lazy, Suspense, useState } from 'react';
import Button from '@mui/material/Button';
import type { MenuWord } from './WordMenu';

const WordMenu = lazy(async () => ({ default: (await import('./WordMenu')).WordMenu }));

export interface MoreButtonProps {
  /** What stands on it. */
  word?: string;
  /** What it says to whoever does not see what it stands at. */
  label?: string;
  items: readonly MenuWord[];
}

/** What is done rarely, behind one word. */
export function MoreButton({ word = 'More', label, items }: MoreButtonProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        {...(label !== undefined && { 'aria-label': label })}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {word}
      </Button>
      {anchor && (
        <Suspense>
          <WordMenu anchor={anchor} items={items} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </>
  );
}
