import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import Box from '@mui/material/Box';
import InputBase from '@mui/material/InputBase';
import { useNavigate } from 'react-router';
import type { Finding } from '@ythrion/core';
import { useRested } from '../parts/useRested';
import { useFind, useFindNow, useRunning } from '../studio/queries';

const FoundList = lazy(async () => ({ default: (await import('./FoundList')).FoundList }));

const PLACE: Record<Finding['kind'], (id: string) => string> = {
  colorway: (id) => `/colorways/${id}`,
  batch: (id) => `/book/${id}`,
  dye: (id) => `/shelf/dyes/${id}`,
  stock: (id) => `/shelf/stocks/${id}`,
  base: (id) => `/shelf/bases/${id}`,
  pot: (id) => `/shelf/pots/${id}`,
  tool: (id) => `/shelf/tools/${id}`,
  sought: (id) => `/colorways/sought/${id}`,
};

/** One field that finds anything by name or code; the slash key goes to it from anywhere. */
export function FindField() {
  const [q, setQ] = useState('');
  const [open, setOpen] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const { data: found } = useFind(useRested(q.trim()));
  const findNow = useFindNow();
  const running = useRunning().data;
  useEffect(() => {
    const slash = (event: KeyboardEvent): void => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key !== '/' || typing) return;
      event.preventDefault();
      input.current?.focus();
    };
    window.addEventListener('keydown', slash);
    return () => window.removeEventListener('keydown', slash);
  }, []);
  const go = (finding: Finding | undefined): void => {
    if (!finding) return;
    setQ('');
    setOpen(false);
    // What is wet opens at the pots; its record is a tap from there.
    const isWet = finding.kind === 'batch' && (running ?? []).some(({ id }) => id === finding.id);
    void navigate(isWet ? `/pots/${finding.id}` : PLACE[finding.kind](finding.id));
  };
  return (
    <Box
      sx={{ position: 'relative' }}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) setOpen(false);
      }}
    >
      <InputBase
        inputRef={input}
        value={q}
        placeholder="Find  /"
        onChange={(event) => {
          setQ(event.target.value);
          setOpen(true);
        }}
        onKeyDown={(event) => {
          // Typing can be ahead of what is listed: Enter goes to what is found by all of it.
          if (event.key === 'Enter' && q.trim() !== '')
            void findNow(q.trim()).then(
              ([first]) => go(first),
              () => undefined,
            );
          if (event.key === 'Escape') setOpen(false);
          if (event.key === 'ArrowDown')
            list.current?.querySelector<HTMLElement>('[role="menuitem"]')?.focus();
        }}
        inputProps={{ 'aria-label': 'Find anything by name or code' }}
        sx={{
          border: 1,
          borderColor: 'divider',
          px: 1,
          minHeight: 44,
          fontSize: 14,
          '& input::placeholder': { color: 'text.secondary', opacity: 1 },
        }}
      />
      {open && q.trim() !== '' && found && (
        <Box
          ref={list}
          sx={{
            position: 'absolute',
            top: 'calc(100% + 4px)',
            left: 0,
            zIndex: 30,
            border: 1,
            width: 300,
            bgcolor: 'background.paper',
          }}
        >
          <Suspense>
            <FoundList found={found} onGo={go} />
          </Suspense>
        </Box>
      )}
    </Box>
  );
}
