import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';

/** Stands where there is nothing yet that could be dyed. @param what that needs goods, as `A pot` */
export function NeedsBase({ what }: { what: string }) {
  return (
    <Box sx={{ p: 3, display: 'grid', gap: 2, justifyItems: 'start' }}>
      <Typography>{what} needs goods, and there is no yarn base on the shelf yet.</Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" component={Link} to="/shelf/bases/new">
          Put a base on the shelf
        </Button>
        <Button variant="outlined" component={Link} to="/shelf/start">
          Set up the studio
        </Button>
      </Box>
    </Box>
  );
}
