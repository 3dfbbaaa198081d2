import Popover from '@mui/material/Popover';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { explained, type Figure, type Sureness } from '@ythrion/core';

const SURENESS_WORDS: Record<Sureness, string> = {
  exact: 'Exact: arithmetic on what was entered.',
  established: 'Established: a published model with published constants.',
  estimate: 'Estimate: yields to your own measurement.',
};

export interface WhyProps {
  figure: Figure;
  name: string;
  anchor: HTMLElement;
  onClose: () => void;
}

/** What a figure is, its arithmetic with this recipe's numbers in it, how sure it is and where it comes from. */
export function Why({ figure, name, anchor, onClose }: WhyProps) {
  const about = explained(name);
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
    >
      <Box sx={{ display: 'grid', gap: 0.75 }}>
        <Typography variant="h3">{name}</Typography>
        {about !== null && <Typography variant="body2">{about}</Typography>}
        <Typography variant="body2">{figure.because}</Typography>
        <Typography variant="caption" color="text.secondary">
          {SURENESS_WORDS[figure.sureness]}
          {figure.source !== undefined && ` Source: ${figure.source}.`}
        </Typography>
      </Box>
    </Popover>
  );
}
