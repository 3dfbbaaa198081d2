import Box from '@mui/material/Box';

export interface VesselProps {
  /** How full, 0 to 1. */
  level: number;
  /** Color of the bath. */
  hex: string;
  size?: number;
}

/** A pot in section, with its water level and the color of its bath. */
export function Vessel({ level, hex, size = 52 }: VesselProps) {
  const top = 33 - 24 * Math.max(0, Math.min(1, level));
  return (
    <Box
      component="svg"
      viewBox="0 0 52 40"
      aria-hidden
      sx={{ width: size, height: (size * 40) / 52, flex: 'none' }}
    >
      {level > 0 && <path d={`M8 ${top} H44 V31 Q44 34 41 34 H11 Q8 34 8 31 Z`} fill={hex} />}
      <path
        d="M8 6 V31 Q8 34 11 34 H41 Q44 34 44 31 V6 M3 12 H8 M44 12 H49"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.8"
      />
    </Box>
  );
}
