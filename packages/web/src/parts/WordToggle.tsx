import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

export interface WordToggleProps<T extends string> {
  label: string;
  value: T | null;
  words: readonly T[];
  onChange: (word: T) => void;
}

/** One of a few words, each large enough for a wet thumb. */
export function WordToggle<T extends string>({ label, value, words, onChange }: WordToggleProps<T>) {
  return (
    <Box role="group" aria-label={label} sx={{ display: 'flex' }}>
      {words.map((word, i) => (
        <Button
          key={word}
          variant={word === value ? 'contained' : 'outlined'}
          aria-pressed={word === value}
          onClick={() => onChange(word)}
          sx={{
            flex: '1 1 0',
            minHeight: 52,
            ml: i === 0 ? 0 : '-1px',
            borderRadius: 0,
            '&:first-of-type': { borderTopLeftRadius: 4, borderBottomLeftRadius: 4 },
            '&:last-of-type': { borderTopRightRadius: 4, borderBottomRightRadius: 4 },
          }}
        >
          {word}
        </Button>
      ))}
    </Box>
  );
}
