import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useNavigate } from 'react-router';
import {
  firstFree,
  notOwn,
  formulateColorway,
  potNeedsMl,
  vesselChoices,
  vesselOptions,
  type Plan,
  type ShelfResponse,
} from '@ythrion/core';
import { everythingReads } from '../parts/everythingReads';
import { saidOf } from '../api/client';
import { useBeginBatch } from '../studio/queries';
import { FigureText } from '../parts/FigureText';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { useInUse } from '../batch/useInUse';
import { Asked, useAnswers } from './Asked';
import { beginning } from './beginning';
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
  const choices = vesselChoices(shelf.pots, useInUse(), potNeedsMl(colorway.recipe, plan));
  const free = firstFree(notOwn(choices, colorway.recipe));
  const chosen = choices.find(({ pot }) => pot.id === colorway.recipe.potId);
  const beside = chosen?.holds ?? null;
  const stops = plan.notices.some((notice) => notice.blocks);
  const answers = useAnswers([plan]);
  const { asked } = answers;
  const begin = useBeginBatch();
  const navigate = useNavigate();
  const start = async (): Promise<void> => {
    if (!everythingReads()) return;
    try {
      const batch = await begin.mutateAsync(
        beginning(colorway, formulateColorway(colorway, shelf, chosen?.pot ?? free)),
      );
      void navigate(`/pots/${batch.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      <Sentence>
        In{' '}
        <SaidChoice
          label="Pot"
          value={colorway.recipe.potId ?? ''}
          options={[
            { value: '', label: free ? `first free: ${free.name}` : 'none is free and large enough' },
            ...vesselOptions(choices),
          ]}
          onChange={(id) => draft.changeRecipe({ potId: id === '' ? null : id })}
        />
        , <FigureText figure={plan.totals.elapsed} name="From wetting to drying rail" /> from wetting to the
        rail
      </Sentence>
      <Asked {...answers} />
      <Button
        variant={draft.changed ? 'outlined' : 'contained'}
        disabled={draft.changed || stops || asked.length > 0 || begin.isPending}
        onClick={() => void start()}
      >
        {stops
          ? 'Something here cannot be done, see ✕'
          : asked.length > 0
            ? 'Answer what is asked above first'
            : draft.changed
              ? isNew
                ? 'Save it, then dye it'
                : 'Save the change, then dye it'
              : beside === null
                ? 'Begin this batch'
                : `Begin beside ${beside}, both in one pot`}
      </Button>
      {!isNew && !draft.changed && (
        <Button component={Link} to={`/colorways/order?colorway=${colorway.id}`} size="small">
          Split it into loads
        </Button>
      )}
    </Box>
  );
}
