import { useEffect, useRef, useState } from 'react';
import Box from '@mui/material/Box';
import InputBase from '@mui/material/InputBase';
import MenuItem from '@mui/material/MenuItem';
import MenuList from '@mui/material/MenuList';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import type { Finding } from '@ythrion/core';
import { useFind } from '../api/queries';

const PLACE: Record<Finding['kind'], (id: string) => string> = {
  colorway: (id) => `/colorways/${id}`,
  batch: (id) => `/book/${id}`,
  dye: (id) => `/shelf/dyes/${id}`,
  stock: (id) => `/shelf/stocks/${id}`,
  base: (id) => `/shelf/bases/${id}`,
  pot: (id) => `/shelf/pots/${id}`,
  tool: (id) => `/shelf/tools/${id}`,
};

/** One field that finds anything by name or code; the slash key goes to it from anywhere. */
export function FindField() {
  const [q, setQ] = useState('');
  const [open, setOpen] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const found = useFind(q).data ?? [];
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
    void navigate(PLACE[finding.kind](finding.id));
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
          if (event.key === 'Enter') go(found[0]);
          if (event.key === 'Escape') setOpen(false);
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
      {open && q.trim() !== '' && (
        <Paper
          sx={{ position: 'absolute', top: 'calc(100% + 4px)', left: 0, zIndex: 30, border: 1, width: 300 }}
        >
          {found.length === 0 ? (
            <Typography variant="body2" sx={{ p: 1.5 }}>
              Nothing by that name or code.
            </Typography>
          ) : (
            <MenuList dense aria-label="Found">
              {found.map((finding) => (
                <MenuItem
                  key={`${finding.kind}-${finding.id}`}
                  onClick={() => go(finding)}
                  sx={{ minHeight: 44, gap: 1 }}
                >
                  <Typography variant="caption" color="text.secondary" sx={{ width: 64 }}>
                    {finding.kind === 'stock' ? 'jar' : finding.kind}
                  </Typography>
                  <Typography noWrap>
                    {finding.name} {finding.code}
                  </Typography>
                </MenuItem>
              ))}
            </MenuList>
          )}
        </Paper>
      )}
    </Box>
  );
}
