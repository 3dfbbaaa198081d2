import { styled } from '@mui/material/styles';

const Lines = styled('textarea')(({ theme }) => ({
  display: 'block',
  width: '100%',
  minHeight: 96,
  // Grows with what is written, where the browser can do that by itself.
  fieldSizing: 'content',
  maxHeight: '60vh',
  resize: 'vertical',
  font: 'inherit',
  fontSize: 16,
  lineHeight: 1.5,
  color: 'inherit',
  border: 0,
  borderRadius: 3,
  padding: '6px 9px',
  backgroundColor: theme.vars.palette.word,
  '&:focus': {
    backgroundColor: theme.vars.palette.background.default,
    outline: `2px solid ${theme.vars.palette.text.primary}`,
  },
  '&::placeholder': { color: theme.vars.palette.text.secondary, opacity: 1 },
}));

export interface SaidLinesProps {
  label: string;
  value: string;
  onChange: (text: string) => void;
  placeholder?: string;
  maxLength?: number;
  rows?: number;
}

/** Free words over several lines, on the ground of what can be changed. */
export function SaidLines({ label, value, onChange, placeholder, maxLength, rows = 4 }: SaidLinesProps) {
  return (
    <Lines
      aria-label={label}
      value={value}
      rows={rows}
      placeholder={placeholder}
      maxLength={maxLength}
      spellCheck={false}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
