import { lazy, Suspense, useState } from 'react';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { formatAmount, type Figure } from '@ythrion/core';
import { Amount } from './Amount';

const Why = lazy(async () => ({ default: (await import('./Why')).Why }));

export interface FigureTextProps {
  figure: Figure;
  /** What the figure is, for the reader of the Why. */
  name: string;
  px?: number;
  /** Leaves the “about” of an estimate out, where the words around it say so already, such as ±. */
  bare?: boolean;
}

/** A figure on the screen. Pressed, it shows its arithmetic, how sure it is and where it comes from. */
export function FigureText({ figure, name, px = 15, bare = false }: FigureTextProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`${name}: ${formatAmount(figure.value, figure.unit)}. Why?`}
        sx={{
          verticalAlign: 'baseline',
          alignItems: 'baseline',
          borderBottom: '1px dotted',
          borderColor: 'divider',
          position: 'relative',
          font: 'inherit',
          color: 'inherit',
          '&::after': { content: '""', position: 'absolute', inset: '-10px -4px' },
        }}
      >
        {figure.sureness === 'estimate' && !bare && (
          <Typography component="span" variant="caption" color="text.secondary" sx={{ mr: 0.5 }}>
            about
          </Typography>
        )}
        <Amount value={figure.value} unit={figure.unit} px={px} />
      </ButtonBase>
      {anchor !== null && (
        <Suspense>
          <Why figure={figure} name={name} anchor={anchor} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </>
  );
}
