import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  intoOtherVessel,
  SET_METHOD_NAMES,
  setMethodFacts,
  setOtherwise,
  usualSet,
  vesselChoices,
  vesselOptions,
  type SetMethod,
} from '@ythrion/core';
import { useInUse } from '../batch/useInUse';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import type { ChangeProps } from './changeProps';

/** Where it goes on: another vessel, and another way of setting. */
export function OtherVessel({ batch, state, shelf, change, onDone }: ChangeProps) {
  const choices = vesselChoices(shelf.pots, useInUse()).filter(
    ({ pot }) => pot.id !== batch.formulation.pot?.id,
  );
  const [potId, setPotId] = useState(choices.find(({ holds }) => holds === null)?.pot.id ?? '');
  const [method, setMethod] = useState<SetMethod>(batch.formulation.recipe.set.method);
  const choice = choices.find(({ pot }) => pot.id === potId);
  const move = async (): Promise<void> => {
    if (!choice) return;
    const { pot, holds } = choice;
    if (await change((id) => intoOtherVessel(batch, state.pass, pot, id, holds), `Into ${pot.name}.`))
      onDone();
  };
  const set = async (): Promise<void> => {
    const label = setMethodFacts(method).label;
    if (await change((id) => setOtherwise(batch, usualSet(method), id), `Set by ${label}.`)) onDone();
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {choices.length === 0 ? (
        <Typography>There is no other vessel on the shelf.</Typography>
      ) : (
        <Box>
          <Sentence>
            It goes on in{' '}
            <SaidChoice label="Vessel" value={potId} options={vesselOptions(choices)} onChange={setPotId} />
          </Sentence>
          <Button variant="contained" size="large" sx={{ mt: 1 }} onClick={() => void move()}>
            Move it there
          </Button>
        </Box>
      )}
      <Box>
        <Sentence>
          It is set by{' '}
          <SaidChoice
            label="Set by"
            value={method}
            options={SET_METHOD_NAMES.map((name) => ({ value: name, label: setMethodFacts(name).label }))}
            onChange={setMethod}
          />
        </Sentence>
        <Typography variant="body2">{setMethodFacts(method).confidence}</Typography>
        <Button
          variant="outlined"
          size="large"
          sx={{ mt: 1 }}
          disabled={method === batch.formulation.recipe.set.method}
          onClick={() => void set()}
        >
          Set it so
        </Button>
      </Box>
    </Box>
  );
}
