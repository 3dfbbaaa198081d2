import { useState, type ReactNode } from 'react';
import ButtonBase from '@mui/material/ButtonBase';

export interface FurtherProps {
  /** What it is about, for whoever does not see where it stands. */
  label: string;
  /** True where it is as usual: only then can it be out of sight. */
  usual: boolean;
  children: ReactNode;
}

/** The rest of a sentence, which a usual dyer never changes: behind *more*, and shown once it is not usual. */
export function Further({ label, usual, children }: FurtherProps) {
  const [open, setOpen] = useState(false);
  if (!usual || open) return children;
  return (
    <ButtonBase
      aria-label={label}
      aria-expanded={false}
      onClick={() => setOpen(true)}
      sx={{
        font: 'inherit',
        fontSize: 13.5,
        color: 'text.secondary',
        px: 0.75,
        minHeight: 28,
        verticalAlign: 'baseline',
      }}
    >
      more
    </ButtonBase>
  );
}
