import Box from '@mui/material/Box';
import { showAmount } from '@ythrion/core';

export interface AmountProps {
  value: number;
  unit: string;
  /** Font size of the number, px; the unit stands at half of it, never under 12. */
  px?: number;
}

/** A number with its unit beside it at half its size, never parted from it by a line break. */
export function Amount({ value, unit, px = 15 }: AmountProps) {
  const shown = showAmount(value, unit);
  const unitPx = px < 24 ? px * 0.85 : px / 2;
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap', fontSize: px, fontWeight: 600, lineHeight: 1.1 }}>
      {shown.number}
      {shown.unit !== '' && (
        <Box component="span" sx={{ fontSize: Math.max(12, unitPx), fontWeight: 500, ml: '0.25em' }}>
          {shown.unit}
        </Box>
      )}
    </Box>
  );
}
