import Box from '@mui/material/Box';

/** A cup in section: how full, 0 to 1, and the color in it; null while there is none. */
export function Glass({ level, hex }: { level: number; hex: string | null }) {
  const height = Math.max(0, Math.min(1, level)) * 100;
  return (
    <Box
      aria-hidden
      sx={{
        height: 132,
        border: 4,
        borderTop: 0,
        borderColor: 'text.primary',
        position: 'relative',
        alignSelf: 'start',
      }}
    >
      <Box
        sx={{
          position: 'absolute',
          left: 0,
          right: 0,
          bottom: 0,
          height: `${height}%`,
          minHeight: level > 0 ? 3 : 0,
          bgcolor: hex ?? 'action.selected',
        }}
      />
    </Box>
  );
}
