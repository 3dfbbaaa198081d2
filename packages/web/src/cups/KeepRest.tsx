import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { cupTotals, keepCup, pourAway, type Cup, type ShelfResponse } from '@ythrion/core';
import type { EnterAtCup } from '../batch/useCup';
import { studioNow } from '../api/studioClock';
import { FigureText } from '../parts/FigureText';
import { newId } from '../parts/newId';
import { SaidText } from '../sentence/SaidText';
import { Sentence } from '../sentence/Sentence';

/** What is left of a cup: kept as a jar with its true strength, or poured away. */
export function KeepRest({
  cup,
  shelf,
  enter,
  onDone,
}: {
  cup: Cup;
  shelf: ShelfResponse;
  enter: EnterAtCup;
  onDone: () => void;
}) {
  const [name, setName] = useState(`${cup.name} mix`);
  const totals = cupTotals(cup, shelf.dyes);
  const keep = async (): Promise<void> => {
    const as = { name, dyeId: newId(), stockId: newId(), today: studioNow().slice(0, 10) };
    if (await enter(() => [keepCup(cup, 1, as, shelf.dyes)], `${name}: a jar on the shelf.`)) onDone();
  };
  return (
    <Box component="section" aria-label="Keep the rest" sx={{ py: 1 }}>
      <Sentence>
        {'The rest, '}
        <FigureText figure={totals.ml} name="Left in the cup" />
        {totals.strength && (
          <>
            {' of '}
            <FigureText figure={totals.strength} name="Strength of the rest" />
          </>
        )}
        {', is kept as '}
        <SaidText label="Name of the jar" value={name} maxLength={80} onChange={setName} />
      </Sentence>
      <Typography variant="body2" sx={{ my: 1 }}>
        Label the jar with its name, strength and today’s date. Dye never goes back into food ware.
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" size="large" onClick={() => void keep()}>
          Keep as a jar
        </Button>
        <Button
          variant="outlined"
          size="large"
          onClick={() =>
            void enter(() => [pourAway(cup)], 'Poured away.').then((away) => {
              if (away) onDone();
            })
          }
        >
          Pour it away
        </Button>
        <Button size="large" onClick={onDone}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}
