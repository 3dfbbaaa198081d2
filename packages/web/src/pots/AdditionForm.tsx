import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  additionChoices,
  alsoAdded,
  CAUTIONS,
  formatAmount,
  isLargePour,
  moreOfThis,
  moreWords,
  putCautions,
  quantityFor,
  readingOf,
  unmeasuredAct,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { PourButton } from '../parts/HeldButton';
import { QuantityField } from '../parts/QuantityField';
import type { AlsoAddedProps } from './AlsoAdded';

/** What went in and how much of it: measured, once more, or a splash that nobody measured. */
export function AdditionForm({
  batch,
  shelf,
  state,
  recorder,
  open: always = false,
  onDone,
}: AlsoAddedProps & { onDone: () => void }) {
  const choices = additionChoices(shelf, batch.formulation);
  const [key, setKey] = useState('');
  const [amount, setAmount] = useState<{ value: number; written: string }>();
  const choice = choices.find((candidate) => candidate.key === key) ?? choices[0];
  const cautions = (choice ? putCautions(choice.material, choice.unit, false) : []).filter(
    (name) => !state.acknowledged.includes(name),
  );
  const more = moreOfThis(batch, state.pass);
  const moreSaid =
    more &&
    moreWords(more, { batch, dyes: [...batch.formulation.dyes, ...shelf.dyes], studio: shelf.studio });
  const splash = (): void => {
    if (!choice) return;
    void recorder.record(
      {
        kind: 'act',
        planned: null,
        act: unmeasuredAct(batch, state.pass, choice),
        written: 'a splash',
        note: '',
      },
      `A splash of ${choice.label}: not measured.`,
    );
    onDone();
  };
  const keep = async (): Promise<void> => {
    if (!choice || !amount) return;
    const kept = await recorder.record(
      alsoAdded(
        batch,
        state.pass,
        { material: choice.material, amount: amount.value, unit: choice.unit },
        amount.written,
      ),
      // Where nothing is planned it stands in the list at once, with a key to take it back.
      always ? undefined : `Also added: ${formatAmount(amount.value, choice.unit)} of ${choice.label}.`,
    );
    if (kept) {
      setAmount(undefined);
      onDone();
    }
  };
  return (
    <>
      {choice && (
        <Box
          sx={{
            display: 'grid',
            gap: 1.5,
            gridTemplateColumns: { xs: '1fr', sm: '1.4fr 1fr auto' },
            alignItems: 'start',
          }}
        >
          <Choice
            label="What"
            value={choice.key}
            options={choices.map((candidate) => ({ value: candidate.key, label: candidate.label }))}
            onChange={(next) => {
              setKey(next);
              setAmount(undefined);
            }}
          />
          <QuantityField
            key={choice.key}
            autoFocus
            size="bench"
            label="How much"
            kind={quantityFor(choice.material, choice.unit)}
            value={amount?.value}
            context={readingOf(choice.material, shelf)}
            onChange={(value, written) => setAmount({ value, written })}
            onUnreadable={() => setAmount(undefined)}
            onEnter={() => void keep()}
          />
          <Button variant="contained" size="large" disabled={!amount} onClick={() => void keep()}>
            Keep
          </Button>
        </Box>
      )}
      {choice && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
          {more && (
            <PourButton
              large={isLargePour({ ...more.what, written: more.written })}
              variant="outlined"
              onPour={() => void recorder.record(more.event, `Once more ${moreSaid}.`)}
            >
              Once more {moreSaid}
            </PourButton>
          )}
          <Button onClick={splash}>A splash, not measured</Button>
        </Box>
      )}
      {cautions.map((name) => (
        <Typography key={name} variant="body2" sx={{ mt: 1, borderLeft: 3, pl: 1 }}>
          {CAUTIONS[name]}
        </Typography>
      ))}
    </>
  );
}
