import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { clockTime } from '@ythrion/core';
import { Later } from '../parts/Later';

export interface PastLineProps {
  mark: string;
  /** What the mark says. */
  markName: string;
  children: ReactNode;
  /** When it was, ISO 8601; null where nobody knows. */
  at: string | null;
  /** What it is called, for the key that takes it back. */
  title: string;
  /** Null where it can no longer be taken back. */
  onTakeBack: (() => void) | null;
}

/** A small line of what was done or changed at a pot, with the key that takes it back. */
export function PastLine({ mark, markName, children, at, title, onTakeBack }: PastLineProps) {
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        px: 2,
        borderTop: 1,
        borderColor: 'divider',
        minHeight: 44,
      }}
    >
      <Typography component="span" aria-label={markName} role="img" sx={{ width: 22, fontWeight: 700 }}>
        {mark}
      </Typography>
      <Typography variant="body2" sx={{ flex: 1 }}>
        {children}
        {at && (
          <Typography component="span" variant="caption" color="text.secondary">
            {' '}
            {clockTime(at)}
          </Typography>
        )}
      </Typography>
      {onTakeBack && (
        <Later>
          <Button size="small" aria-label={`Take back: ${title}`} onClick={onTakeBack}>
            Take back
          </Button>
        </Later>
      )}
    </Box>
  );
}
