import Box from '@mui/material/Box';
import { evenHex, plainLook } from '@ythrion/core';
import { useYarnPainting } from './yarn/painting';

const DEPTHS = [0.1, 0.25, 0.5, 1, 2] as const;

export interface LadderStripProps {
  /** The dye on the shelf; left out for a color that belongs to none yet. */
  dyeId?: string;
  swatchHex: string;
  swatchDosPercent: number;
  /** Undyed color of the base it is shown on. */
  groundHex?: string;
  width?: number;
  height?: number;
}

/** A dye in five depths, pale to deep, as strands on the base. An estimate, for recognizing the dye. */
export function LadderStrip({
  dyeId,
  swatchHex,
  swatchDosPercent,
  groundHex = '#efe9dc',
  width = 90,
  height = 26,
}: LadderStripProps) {
  const { painting } = useYarnPainting();
  const dye = { ...(dyeId !== undefined && { dyeId }), swatchHex, swatchDosPercent };
  return (
    <Box aria-hidden sx={{ display: 'flex', width, height, flex: 'none', bgcolor: 'booth', p: '3px' }}>
      {DEPTHS.map((dosPercent) => {
        const hex = evenHex(plainLook(groundHex), [{ ...dye, dosPercent }], painting);
        return (
          <Box
            key={dosPercent}
            sx={{
              flex: 1,
              background: `repeating-linear-gradient(100deg, ${hex} 0 2px, color-mix(in srgb, ${hex} 86%, black) 2px 3px)`,
            }}
          />
        );
      })}
    </Box>
  );
}
