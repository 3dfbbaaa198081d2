import { lazy, Suspense } from 'react';
import Typography from '@mui/material/Typography';
import type { ShelfResponse, YarnLook } from '@ythrion/core';
import { useShelfColors } from './colors';

const RestingWords = lazy(async () => ({ default: (await import('./measured')).RestingWords }));

export interface ColorsRestOnProps {
  /** The goods that are shown. */
  looks: readonly YarnLook[];
  shelf: Pick<ShelfResponse, 'dyes'>;
}

/** What the colors that are shown rest on: samples that were measured, or picked colors. Who shows this, paints by them. */
export function ColorsRestOn({ looks, shelf }: ColorsRestOnProps) {
  const colors = useShelfColors();
  if (colors === undefined) return null;
  return (
    <Typography variant="caption" component="p" color="text.secondary" sx={{ m: 0 }}>
      <Suspense>
        <RestingWords looks={looks} shelf={shelf} colors={colors} />
      </Suspense>
    </Typography>
  );
}
