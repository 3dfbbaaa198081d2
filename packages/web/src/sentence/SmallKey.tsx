import ButtonBase from '@mui/material/ButtonBase';

export interface SmallKeyProps {
  /** What it does. */
  label: string;
  /** What stands on it. */
  word?: string;
  off?: boolean;
  onPress: () => void;
}

/** A small key at the end of a sentence: what it is about is left out, or changes its place. */
export function SmallKey({ label, word = '✕', off = false, onPress }: SmallKeyProps) {
  return (
    <ButtonBase
      aria-label={label}
      title={label}
      disabled={off}
      onClick={onPress}
      sx={{
        font: 'inherit',
        fontSize: 14,
        minWidth: { xs: 40, md: 30 },
        minHeight: { xs: 36, md: 28 },
        ml: 0.5,
        verticalAlign: 'baseline',
        '&.Mui-disabled': { opacity: 0.35 },
      }}
    >
      {word}
    </ButtonBase>
  );
}
