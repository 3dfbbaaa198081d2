import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import {
  bundlesIn,
  canShareSet,
  goodsWords,
  holdToCome,
  orWhy,
  shareSet,
  strikeOut,
  type Batch,
} from '@ythrion/core';
import { enterInto } from '../batch/enterInto';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { useRunning } from '../studio/queries';
import type { ChangeProps } from './changeProps';

/** Other batches whose goods are set together with these: one wait, kept here. */
export function ShareSet({ batch, shelf, onDone }: ChangeProps) {
  const queries = useQueryClient();
  const others = (useRunning().data ?? []).filter(
    (other) => other.id !== batch.id && holdToCome(other) !== null,
  );
  const steamer = shelf.pots.find(({ kind, retired }) => kind === 'steamer' && !retired);
  const share = async (guest: Batch): Promise<void> => {
    const { value: entries, problem } = orWhy(() => shareSet(batch, guest, steamer?.places ?? null, newId()));
    if (!entries) return say(problem);
    const there = await enterInto(queries, guest, entries.guest);
    const here = there && (await enterInto(queries, batch, entries.host));
    if (!there || !here) return;
    say(`${guest.name} is set with ${batch.name}.`, {
      word: 'Take back',
      work: () => {
        void enterInto(
          queries,
          guest,
          there.map((event) => strikeOut(event)),
        );
        void enterInto(
          queries,
          batch,
          here.map((event) => strikeOut(event)),
        );
      },
    });
    onDone();
  };
  if (!canShareSet(batch))
    return (
      <Typography>
        This is set in its own bath: goods laid in there would be dyed. With <em>Other vessel or set</em> it
        goes into the steamer or the oven; then others can lie beside it.
      </Typography>
    );
  const places = steamer?.places ?? null;
  return (
    <Box component="section" aria-label="Share the set">
      <Typography sx={{ mb: 1 }}>
        {bundlesIn(batch)} {bundlesIn(batch) === 1 ? 'bundle lies' : 'bundles lie'} in it
        {places === null ? '' : ` of ${places} that it has room for`}. Which is set along with them? It is
        waited for here, once; its own record says so.
      </Typography>
      {others.length === 0 && <Typography>No other batch waits to be set.</Typography>}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {others.map((guest) => (
          <Button key={guest.id} variant="outlined" size="large" onClick={() => void share(guest)}>
            {guest.code} {guest.name}, {goodsWords(guest.card)}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
