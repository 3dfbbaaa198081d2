import { styled } from '@mui/material/styles';

const Swatch = styled('input')({
  width: 34,
  height: 26,
  padding: 0,
  border: 0,
  background: 'none',
  verticalAlign: '-7px',
  marginRight: 6,
  cursor: 'pointer',
});

/** A color as a word of a sentence: shown as itself. */
export function SaidColor({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (hex: string) => void;
}) {
  return (
    <Swatch
      type="color"
      aria-label={label}
      title={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
