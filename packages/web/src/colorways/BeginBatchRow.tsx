import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { formulate, type Plan, type ShelfResponse } from '@ythrion/core';
import { everythingReads } from '../parts/everythingReads';
import { studioNow } from '../api/studioClock';
import { saidOf } from '../api/client';
import { useBeginBatch, useRunning } from '../studio/queries';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
import { newId } from '../parts/newId';
import { freePot } from '../batch/freePot';
import type { Draft } from './useDraft';
import { say } from '../parts/say';

export interface BeginBatchRowProps {
  draft: Draft;
  shelf: ShelfResponse;
  plan: Plan;
  isNew: boolean;
}

/** From the desk to the pots: choose a pot and begin. Only a saved version is dyed, so that the record can name it. */
export function BeginBatchRow({ draft, shelf, plan, isNew }: BeginBatchRowProps) {
  const { colorway } = draft;
  const running = useRunning().data ?? [];
  const pots = shelf.pots.filter((pot) => !pot.retired);
  const free = freePot(pots, running);
  const potId = colorway.recipe.potId ?? free?.id ?? '';
  const stops = plan.notices.some((notice) => notice.blocks);
  const begin = useBeginBatch();
  const navigate = useNavigate();
  const start = async (): Promise<void> => {
    if (!everythingReads()) return;
    try {
      const batch = await begin.mutateAsync({
        id: newId(),
        name: colorway.name,
        colorwayId: colorway.id,
        colorwayVersion: colorway.version,
        againOf: null,
        startedAt: studioNow(),
        formulation: formulate(
          colorway.name,
          colorway.recipe,
          shelf,
          pots.find((pot) => pot.id === potId) ?? null,
        ),
      });
      void navigate(`/pots/${batch.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box
      sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' }, alignItems: 'start' }}
    >
      <Choice
        label="Pot"
        value={colorway.recipe.potId ?? ''}
        options={[
          { value: '', label: free ? `first free: ${free.name}` : 'no pot named' },
          ...pots.map((pot) => ({ value: pot.id, label: pot.name })),
        ]}
        onChange={(id) => draft.changeRecipe({ potId: id === '' ? null : id })}
      />
      <Button
        variant={draft.changed ? 'outlined' : 'contained'}
        disabled={draft.changed || stops || begin.isPending}
        onClick={() => void start()}
      >
        {stops
          ? 'Something here cannot be done, see ✕'
          : draft.changed
            ? isNew
              ? 'Save it, then dye it'
              : 'Save the change, then dye it'
            : 'Begin this batch'}
      </Button>
      <Typography variant="body2" component="div" sx={{ gridColumn: '1 / -1' }}>
        <FigureText figure={plan.totals.elapsed} name="From wetting to drying rail" /> from wetting to the
        rail.
      </Typography>
    </Box>
  );
}
