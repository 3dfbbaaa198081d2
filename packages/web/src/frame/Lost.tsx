import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { isRouteErrorResponse, Link, useRouteError } from 'react-router';

/** For an address that leads nowhere, and for a screen that broke: what was entered is safe either way. */
export function Lost() {
  const error = useRouteError();
  const broke = error !== undefined && !isRouteErrorResponse(error);
  return (
    <Stack spacing={2} sx={{ p: 3, alignItems: 'flex-start' }}>
      <Typography variant="h1">
        {broke ? 'This screen stopped working' : 'Nothing is kept at this address'}
      </Typography>
      <Typography>
        {broke
          ? `Everything you ticked is saved. ${error instanceof Error ? error.message : ''}`
          : 'It may have been a slip in the address.'}
      </Typography>
      <Button component={Link} to="/pour" variant="contained" reloadDocument={broke}>
        Back to Pour
      </Button>
    </Stack>
  );
}
