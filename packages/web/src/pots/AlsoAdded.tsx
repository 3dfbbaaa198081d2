import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  additionChoices,
  alsoAdded,
  amountOf,
  CAUTIONS,
  formatAmount,
  isLargePour,
  materialName,
  moreOfThis,
  moreWords,
  putCautions,
  quantityFor,
  readingOf,
  type Batch,
  strikeOut,
  type RecordState,
  type ShelfResponse,
  unmeasuredAct,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { PourButton } from '../parts/HeldButton';
import { QuantityField } from '../parts/QuantityField';
import type { Recorder } from '../batch/useRecord';

export interface AlsoAddedProps {
  batch: Batch;
  shelf: ShelfResponse;
  state: RecordState;
  recorder: Recorder;
  /** True where nothing is planned: the fields stand open, and what went in is told with the rest. */
  open?: boolean;
}

/** At the foot of the card: anything that went in and was not planned. */
export function AlsoAdded({ batch, shelf, state, recorder, open: always = false }: AlsoAddedProps) {
  const choices = additionChoices(shelf, batch.formulation);
  const [key, setKey] = useState('');
  const [amount, setAmount] = useState<{ value: number; written: string }>();
  const choice = choices.find((candidate) => candidate.key === key) ?? choices[0];
  const [asked, setOpen] = useState(false);
  const open = asked || always;
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
    setOpen(false);
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
      setOpen(false);
    }
  };
  return (
    <Box
      component="section"
      aria-label={always ? 'Put in' : 'Also added'}
      sx={{ px: { xs: 1.5, sm: 2 }, pt: 2 }}
    >
      {(always ? [] : state.added).map((event) => {
        const measured = amountOf(event.act);
        return (
          measured && (
            <Box key={event.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 44 }}>
              <Typography sx={{ flex: 1 }}>
                ✓ Also added <strong>{event.written || formatAmount(measured.amount, measured.unit)}</strong>
                {event.written !== '' && ` (${formatAmount(measured.amount, measured.unit)})`} of{' '}
                {materialName(measured.material, [...shelf.dyes, ...batch.formulation.dyes])}
              </Typography>
              <Button size="small" onClick={() => void recorder.record(strikeOut(event))}>
                Take back
              </Button>
            </Box>
          )
        );
      })}
      {!open && (
        <Button fullWidth variant="outlined" size="large" onClick={() => setOpen(true)}>
          Also added …
        </Button>
      )}
      {open && choice && (
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
      {open && choice && (
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
      {open &&
        cautions.map((name) => (
          <Typography key={name} variant="body2" sx={{ mt: 1, borderLeft: 3, pl: 1 }}>
            {CAUTIONS[name]}
          </Typography>
        ))}
    </Box>
  );
}
