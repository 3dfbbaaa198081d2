import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { alsoDoneAct, ASKS_FOR, lastCelsius, stepNext, vesselOfPass, type Doing } from '@ythrion/core';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import type { ChangeProps } from './changeProps';

const STEPS: readonly { value: Doing; label: string }[] = [
  { value: 'heat', label: 'heat it' },
  { value: 'hold', label: 'hold it hot' },
  { value: 'stand', label: 'let it stand' },
  { value: 'turn', label: 'turn the goods' },
  { value: 're-tie', label: 'tie them anew' },
  { value: 'lift', label: 'lift them out' },
  { value: 'goods in', label: 'lay them in again' },
  { value: 'pour away', label: 'pour the bath away' },
  { value: 'rinse', label: 'rinse' },
];

/** A single step that nobody had planned, to be done next. */
export function AddStep({ batch, state, change, onDone }: ChangeProps) {
  const [doing, setDoing] = useState<Doing>('stand');
  const [celsius, setCelsius] = useState(lastCelsius(batch) ?? 85);
  const [minutes, setMinutes] = useState({ value: 10, written: '' });
  const asks = ASKS_FOR[doing] ?? {};
  const put = async (): Promise<void> => {
    const pass = state.current?.line.act.pass ?? state.pass;
    const act = alsoDoneAct(vesselOfPass(batch, pass), pass, doing, {
      ...(asks.celsius && { celsius }),
      ...(asks.minutes && { minutes: minutes.value }),
    });
    if (await change((id) => stepNext(batch, act, id), 'Step put in.')) onDone();
  };
  return (
    <Box>
      <Sentence>
        Next, <SaidChoice label="Step" value={doing} options={STEPS} onChange={setDoing} />
        {asks.celsius && (
          <>
            {' '}
            at <SaidAmount label="At" kind="temperature" value={celsius} onChange={setCelsius} />
          </>
        )}
        {asks.minutes && (
          <>
            {' '}
            for{' '}
            <SaidAmount
              label="For"
              kind="minutes"
              value={minutes.value}
              written={minutes.written}
              onChange={(value, written) => setMinutes({ value, written })}
            />
          </>
        )}
      </Sentence>
      <Button variant="contained" size="large" sx={{ mt: 1 }} onClick={() => void put()}>
        Put it next
      </Button>
    </Box>
  );
}
