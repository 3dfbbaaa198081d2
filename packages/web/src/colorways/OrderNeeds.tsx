import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { needsOf, needTotal, type ShelfResponse, type SplitOrder } from '@ythrion/core';
import { NeedItems } from './NeedItems';

/** What must be there before these loads begin, and what dye all that is still to come takes. */
export function OrderNeeds({ split, shelf }: { split: SplitOrder; shelf: ShelfResponse }) {
  const dyes = needsOf(split.whole).flatMap((need) => needTotal(need, shelf.dyes, shelf.stocks) ?? []);
  return (
    <Box component="section" aria-label="What is needed">
      <Typography variant="h2">What must be there first</Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        <NeedItems needs={needsOf(split.loads, shelf.stockLeft)} shelf={shelf} />
      </Box>
      {split.left > 0 && dyes.length > 0 && (
        <Typography sx={{ mt: 1 }}>All rounds together take {dyes.join(', ')}.</Typography>
      )}
    </Box>
  );
}
