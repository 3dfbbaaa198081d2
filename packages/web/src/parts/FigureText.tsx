import { useState } from 'react';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { formatAmount, type Figure, type Sureness } from '@ythrion/core';
import { Amount } from './Amount';

const SURENESS_WORDS: Record<Sureness, string> = {
  exact: 'Exact: arithmetic on what was entered.',
  established: 'Established: a published model with published constants.',
  estimate: 'Estimate: yields to your own measurement.',
};

export interface FigureTextProps {
  figure: Figure;
  /** What the figure is, for the reader of the Why. */
  name: string;
  px?: number;
}

/** A figure on the screen. Pressed, it shows its arithmetic, how sure it is and where it comes from. */
export function FigureText({ figure, name, px = 15 }: FigureTextProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`${name}: ${formatAmount(figure.value, figure.unit)}. Why?`}
        sx={{
          verticalAlign: 'baseline',
          borderBottom: '1px dotted',
          borderColor: 'divider',
          position: 'relative',
          font: 'inherit',
          color: 'inherit',
          '&::after': { content: '""', position: 'absolute', inset: '-10px -4px' },
        }}
      >
        {figure.sureness === 'estimate' && (
          <Typography component="span" variant="caption" color="text.secondary" sx={{ mr: 0.5 }}>
            about
          </Typography>
        )}
        <Amount value={figure.value} unit={figure.unit} px={px} />
      </ButtonBase>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Stack spacing={0.75}>
          <Typography variant="h3">{name}</Typography>
          <Typography variant="body2">{figure.because}</Typography>
          <Typography variant="caption" color="text.secondary">
            {SURENESS_WORDS[figure.sureness]}
            {figure.source !== undefined && ` Source: ${figure.source}.`}
          </Typography>
        </Stack>
      </Popover>
    </>
  );
}
