import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { tagCodes, type Batch } from '@ythrion/core';

/** What to write on a tag before the goods are wet: found again by it, typed or scanned. */
export function TagCodes({ batch }: { batch: Batch }) {
  const codes = tagCodes(batch);
  return (
    <Box
      component="section"
      aria-label="Tag"
      sx={{ px: { xs: 1.5, sm: 2 }, py: 1, borderTop: 1, borderColor: 'divider' }}
    >
      <Typography variant="body2">Write on the tags before it is wet:</Typography>
      {codes.map(({ code, goods, pieces }) => (
        <Typography key={code}>
          <Box component="strong" sx={{ fontSize: 28 }}>
            {code}
          </Box>{' '}
          {goods}
          {pieces.length > 0 && (
            <Typography component="span" variant="body2" color="text.secondary">
              {' '}
              {pieces[0]} to {pieces.at(-1)}, where each piece matters
            </Typography>
          )}
        </Typography>
      ))}
    </Box>
  );
}
