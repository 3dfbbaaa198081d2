import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

export interface TickProps {
  label: ReactNode;
  checked: boolean;
  onChange: (checked: boolean) => void;
  /** More about it, where there is room for that only on asking. */
  title?: string;
}

/** Something that is so or is not, with a target for a thumb. */
export function Tick({ label, checked, onChange, title }: TickProps) {
  return (
    <Box
      component="label"
      title={title}
      sx={{ display: 'inline-flex', alignItems: 'center', gap: 1, minHeight: 44, cursor: 'pointer' }}
    >
      <Box
        component="input"
        type="checkbox"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
        sx={{ width: 22, height: 22, m: 0, flex: 'none', accentColor: 'currentcolor' }}
      />
      <Typography component="span">{label}</Typography>
    </Box>
  );
}
