import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

export interface WordToggleProps<T extends string> {
  label: string;
  value: T | null;
  words: readonly T[];
  onChange: (word: T) => void;
}

/** One of a few words, each large enough for a wet thumb. */
export function WordToggle<T extends string>({ label, value, words, onChange }: WordToggleProps<T>) {
  return (
    <ToggleButtonGroup
      exclusive
      fullWidth
      value={value}
      onChange={(_, next: T | null) => next !== null && onChange(next)}
      aria-label={label}
    >
      {words.map((word) => (
        <ToggleButton
          key={word}
          value={word}
          sx={{ minHeight: 52, textTransform: 'none', color: 'text.primary' }}
        >
          {word}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
