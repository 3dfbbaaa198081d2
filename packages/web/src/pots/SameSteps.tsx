import { useLayoutEffect, useMemo, useRef } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import {
  CAUTIONS,
  doneTogether,
  measureWords,
  sameSteps,
  strikeOut,
  type Batch,
  type BatchResponse,
  type StepKey,
  type Event,
  type SameStep,
} from '@ythrion/core';
import { studioNowMs } from '../api/studioClock';
import { enterInto } from '../batch/enterInto';
import { potView } from '../batch/potView';
import { FigureText } from '../parts/FigureText';
import { SaidHere } from '../parts/SaidHere';
import { say } from '../parts/say';
import { useShelf } from '../studio/queries';

/** Steps that several pots stand at: one tap does them all, each with its own amount. */
export function SameSteps({ batches }: { batches: readonly BatchResponse[] }) {
  const { dyes, studio } = useShelf().data ?? {};
  const steps = useMemo(
    () => sameSteps(batches.map((batch) => ({ batch, ...potView(batch, dyes ?? [], studio) }))),
    [batches, dyes, studio],
  );
  const queries = useQueryClient();
  // What is taken back is held against the batches as they stand then.
  const latest = useRef(batches);
  useLayoutEffect(() => {
    latest.current = batches;
  });
  const takeBack = ({ batch, events }: Done): void => {
    const now = latest.current.find(({ id }) => id === batch.id) ?? batch;
    void enterInto(
      queries,
      now,
      events.map((event) => strikeOut(event)),
    );
  };
  const enter = async (step: SameStep): Promise<void> => {
    const done: Done[] = [];
    for (const { batch, event } of doneTogether(step, studioNowMs())) {
      const events = await enterInto(queries, batch, [event]);
      if (events) done.push({ batch, events });
    }
    if (done.length > 0)
      say(`${step.title}: in ${done.length} pots.`, {
        word: 'Take back',
        work: () => done.forEach(takeBack),
      });
  };
  return (
    <>
      {steps.map((step) => (
        <Step key={`${step.title} ${step.doing}`} step={step} onDone={() => void enter(step)} />
      ))}
      <Box sx={{ px: 2 }}>
        <SaidHere />
      </Box>
    </>
  );
}

/** What was entered into a batch. */
interface Done {
  batch: Batch;
  events: readonly Event[];
}

const WORDS: Record<StepKey, string> = {
  pour: 'Poured in all',
  begin: 'Begin in all',
  end: 'Over in all',
  do: 'Done in all',
};

function Step({ step, onDone }: { step: SameStep; onDone: () => void }) {
  const cautions = [...new Set(step.pots.flatMap(({ line }) => line.line.cautions))];
  return (
    <Box
      component="section"
      aria-label={step.title}
      sx={{ borderTop: 1, borderColor: 'divider', p: 2, display: 'grid', gap: 1 }}
    >
      <Typography variant="h2">{step.title}</Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.5 }}>
        {step.pots.map(({ batch, line, reading }) => {
          const measure = measureWords(line.line, reading);
          return (
            <Box
              component="li"
              key={batch.id}
              sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'baseline' }}
            >
              {measure && (
                <FigureText figure={measure.amount} name={`${step.title}, ${batch.code}`} px={28} bare />
              )}
              <Typography component="span">
                {batch.name} · {batch.code}
                {measure?.tool && `, ${measure.tool}`}
              </Typography>
            </Box>
          );
        })}
      </Box>
      {cautions.map((name) => (
        <Typography key={name} variant="body2" sx={{ borderLeft: 3, pl: 1 }}>
          {CAUTIONS[name]}
        </Typography>
      ))}
      <Button variant="contained" size="large" onClick={onDone}>
        {WORDS[step.doing]} {step.pots.length}
      </Button>
    </Box>
  );
}
