import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  alsoDone,
  ASKS_FOR,
  DOING_WORDS,
  DOINGS,
  lastCelsius,
  type Batch,
  type Doing,
  type RecordState,
} from '@ythrion/core';
import { QuantityField } from '../parts/QuantityField';
import { Tick } from '../parts/Tick';
import type { Recorder } from '../batch/useRecord';

/** What is done to goods and bath besides the card: a key each; where there is more to say, its fields. */
export function AlsoDone({
  batch,
  state,
  recorder,
  open,
}: {
  batch: Batch;
  state: RecordState;
  recorder: Recorder;
  /** True where nothing is planned: the keys stand open. */
  open: boolean;
}) {
  const [asked, setAsked] = useState(false);
  const [doing, setDoing] = useState<Doing | null>(null);
  const keep = async (what: Doing, said: Parameters<typeof alsoDone>[3], written = ''): Promise<void> => {
    const event = alsoDone(batch, state.pass, what, said, written);
    if (await recorder.record(event, open ? undefined : `${DOING_WORDS[what]}.`)) setDoing(null);
  };
  if (!open && !asked)
    return (
      <Box sx={{ px: { xs: 1.5, sm: 2 }, pt: 2 }}>
        <Button fullWidth variant="outlined" size="large" onClick={() => setAsked(true)}>
          Also done …
        </Button>
      </Box>
    );
  return (
    <Box
      component="section"
      aria-label={open ? 'Do' : 'Also done'}
      sx={{ px: { xs: 1.5, sm: 2 }, pt: 2, display: 'grid', gap: 1.5 }}
    >
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {DOINGS.map((what) => (
          <Button
            key={what}
            variant={what === doing ? 'contained' : 'outlined'}
            size="large"
            aria-expanded={ASKS_FOR[what] ? what === doing : undefined}
            onClick={() => (ASKS_FOR[what] ? setDoing(what === doing ? null : what) : void keep(what, {}))}
          >
            {DOING_WORDS[what]}
          </Button>
        ))}
      </Box>
      {doing !== null && (
        <DoingFields
          key={doing}
          doing={doing}
          celsius={lastCelsius(batch)}
          onKeep={(said, written) => void keep(doing, said, written)}
        />
      )}
    </Box>
  );
}

function DoingFields({
  doing,
  celsius: before,
  onKeep,
}: {
  doing: Doing;
  celsius: number | null;
  onKeep: (said: { celsius?: number; minutes?: number; clear: boolean }, written: string) => void;
}) {
  const asks = ASKS_FOR[doing] ?? {};
  const [celsius, setCelsius] = useState(before ?? undefined);
  const [minutes, setMinutes] = useState<{ value: number; written: string }>();
  const [clear, setClear] = useState(false);
  const ready = (!asks.celsius || celsius !== undefined) && (!asks.minutes || minutes !== undefined);
  const keep = (): void => {
    if (!ready) return;
    onKeep(
      {
        ...(asks.celsius && celsius !== undefined && { celsius }),
        ...(asks.minutes && minutes && { minutes: minutes.value }),
        clear: asks.minutes === true && clear,
      },
      minutes?.written ?? '',
    );
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr auto auto' },
        alignItems: 'start',
      }}
    >
      {asks.celsius && (
        <QuantityField
          autoFocus
          size="bench"
          label="At"
          kind="temperature"
          value={celsius}
          onChange={setCelsius}
          onEnter={keep}
        />
      )}
      {asks.minutes && (
        <QuantityField
          autoFocus={!asks.celsius}
          size="bench"
          label="For"
          kind="minutes"
          value={minutes?.value}
          onChange={(value, written) => setMinutes({ value, written })}
          onUnreadable={() => setMinutes(undefined)}
          onEnter={keep}
        />
      )}
      {asks.minutes && <Tick label="The bath was clear" checked={clear} onChange={(on) => setClear(on)} />}
      <Button variant="contained" size="large" disabled={!ready} onClick={keep}>
        Keep
      </Button>
    </Box>
  );
}
