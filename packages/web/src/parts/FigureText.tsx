import { lazy, Suspense, useContext, useMemo, useState } from 'react';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { formatAmount, offWords, ownMeasure, type BySpoon, type Figure } from '@ythrion/core';
import { Amount } from './Amount';
import { Spoken } from './Spoken';
import { StudioMeasures } from './studioMeasures';

const Why = lazy(async () => ({ default: (await import('./Why')).Why }));

export interface FigureTextProps {
  figure: Figure;
  /** What the figure is, for the reader of the Why. */
  name: string;
  px?: number;
  /** Leaves the “about” of an estimate out, where the words around it say so already, such as ±. */
  bare?: boolean;
}

/** Figures as large as this stand at the pots, px. */
const BENCH_PX = 44;
/** Figures smaller than this have no room for another measure beside them, px. */
const ROOM_PX = 20;

/**
 * A figure on the screen, first in the measure it was said in. Pressed, it shows its arithmetic, how sure it is and where it
 * comes from; the other measure stands small beside it and changes places with it when pressed.
 */
export function FigureText({ figure, name, px = 15, bare = false }: FigureTextProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [turned, setTurned] = useState(false);
  const measures = useContext(StudioMeasures);
  const own = useMemo(() => ownMeasure(figure, measures), [figure, measures]);
  const metric = formatAmount(figure.value, figure.unit);
  const spoken = own !== null && own.first !== turned;
  return (
    <>
      <ButtonBase
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`${name}: ${spoken ? `${own.words}, ${metric}` : metric}. Why?`}
        sx={FIGURE}
      >
        {figure.sureness === 'estimate' && !bare && (
          <Typography component="span" variant="caption" color="text.secondary" sx={{ mr: 0.5 }}>
            about
          </Typography>
        )}
        {spoken ? (
          <Spoken words={own.words} px={px} />
        ) : (
          <Amount value={figure.value} unit={figure.unit} px={px} />
        )}
      </ButtonBase>
      {own && (spoken || px >= ROOM_PX) && (
        <Other
          own={own}
          metric={metric}
          spoken={spoken}
          name={name}
          bench={px >= BENCH_PX}
          onTurn={() => setTurned(!turned)}
        />
      )}
      {anchor !== null && (
        <Suspense>
          <Why figure={figure} name={name} anchor={anchor} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </>
  );
}

interface OtherProps {
  own: BySpoon;
  metric: string;
  /** Whether the own measure stands first, so that the metric one is the other. */
  spoken: boolean;
  name: string;
  /** At the pots. */
  bench: boolean;
  onTurn: () => void;
}

/** The other measure of a figure, with how far the spoons are off. */
function Other({ own, metric, spoken, name, bench, onTurn }: OtherProps) {
  const off = offWords(own.offPercent);
  const other = spoken ? metric : own.words;
  return (
    <>
      {' '}
      <ButtonBase
        onClick={onTurn}
        aria-label={`${name}: read ${other} first`}
        sx={{
          ...FIGURE,
          borderBottom: 0,
          fontSize: bench ? 19 : 13,
          fontWeight: 500,
          whiteSpace: 'nowrap',
          // As large as a wet thumb at the pots.
          ...(bench && { minHeight: 44, px: 1 }),
        }}
      >
        {other}
      </ButtonBase>
      {off !== '' && (
        <Typography component="span" variant="caption" color="text.secondary">
          {' '}
          {off}
        </Typography>
      )}
    </>
  );
}

const FIGURE = {
  verticalAlign: 'baseline',
  alignItems: 'baseline',
  textAlign: 'left',
  borderBottom: '1px dotted',
  borderColor: 'divider',
  position: 'relative',
  font: 'inherit',
  color: 'inherit',
  '&::after': { content: '""', position: 'absolute', inset: '-10px -4px' },
} as const;
