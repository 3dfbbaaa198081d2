import Box from '@mui/material/Box';
import { drawnBathColor } from '@ythrion/core';

export interface JarProps {
  swatchHex: string;
  strengthPercent: number;
  /** Left in the jar, 0 to 1. */
  share: number;
}

/** What is left in a stock, as a level in a jar. */
export function Jar({ swatchHex, strengthPercent, share }: JarProps) {
  const hex = drawnBathColor([{ swatchHex, swatchDosPercent: 1, gramsPerLiter: strengthPercent / 2 }]);
  const level = Math.max(0, Math.min(1, share));
  return (
    <Box component="svg" viewBox="0 0 28 36" aria-hidden sx={{ width: 28, height: 36, flex: 'none' }}>
      <path d={`M4 ${33 - 24 * level} H24 V33 H4 Z`} fill={hex} />
      <path d="M8 2 H20 V6 L24 10 V34 H4 V10 L8 6 Z" fill="none" stroke="currentColor" strokeWidth="1.5" />
    </Box>
  );
}
