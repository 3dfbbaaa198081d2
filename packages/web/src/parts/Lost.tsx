import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

export interface LostProps {
  /** What broke, when the screen was there and stopped. */
  broke?: string;
}

/** For an address that leads nowhere, and for a screen that broke: what was entered is safe either way. */
export function Lost({ broke }: LostProps) {
  return (
    <Box sx={{ display: 'grid', gap: 2, p: 3, justifyItems: 'start' }}>
      <Typography variant="h1">
        {broke === undefined ? 'Nothing is kept at this address' : 'This screen stopped working'}
      </Typography>
      <Typography>
        {broke === undefined
          ? 'It may have been a slip in the address.'
          : `Everything you ticked is saved. ${broke}`}
      </Typography>
      <Button component="a" href="/pour" variant="contained">
        Back to Pour
      </Button>
    </Box>
  );
}
