import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { diluteJar, planDilution, type Dilution, type ShelfResponse, type Stock } from '@ythrion/core';
import { studioNow } from '../api/studioClock';
import { saidOf } from '../api/client';
import { everythingReads } from '../parts/everythingReads';
import { FigureText } from '../parts/FigureText';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { usePutOnShelf } from '../studio/queries';

/** A jar made thinner: another cup of water into it, or some of it made up to more. What that gives, and the jar it makes. */
export function DiluteJar({ stock, shelf }: { stock: Stock; shelf: ShelfResponse }) {
  const leftMl = Math.max(0, shelf.stockLeft[stock.id] ?? 0);
  const [kind, setKind] = useState<Dilution['kind']>('water');
  const [addedMl, setAdded] = useState(250);
  const [takenMl, setTaken] = useState(30);
  const [wholeMl, setWhole] = useState(240);
  const put = usePutOnShelf('stocks');
  const navigate = useNavigate();
  const dilution: Dilution = kind === 'water' ? { kind, addedMl } : { kind, takenMl, wholeMl };
  const planned = planDilution(stock, leftMl, dilution, shelf.studio.spoons);
  const thinner = typeof planned === 'string' ? null : planned;
  const keep = async (): Promise<void> => {
    if (!thinner || !everythingReads()) return;
    const { before, made } = diluteJar(stock, leftMl, dilution, thinner.strength.value, {
      id: newId(),
      today: studioNow().slice(0, 10),
    });
    try {
      await put.mutateAsync(made);
      await put.mutateAsync(before);
      say('The thinner jar is on the shelf.');
      void navigate(`/shelf/stocks/${made.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box
      component="section"
      aria-label="Dilute"
      sx={{ borderTop: 1, borderColor: 'divider', pt: 1, display: 'grid', gap: 0.75 }}
    >
      <Sentence>
        <SaidChoice
          label="Diluted how"
          value={kind}
          options={[
            { value: 'water', label: 'More water into this jar', said: 'Into this jar' },
            { value: 'made up', label: 'Some of it made up with water', said: 'Of this jar' },
          ]}
          onChange={setKind}
        />{' '}
        {kind === 'water' ? (
          <>
            <SaidAmount label="Water into the jar" kind="volume" value={addedMl} onChange={setAdded} /> of
            water more
          </>
        ) : (
          <>
            <SaidAmount label="Taken of the jar" kind="volume" value={takenMl} onChange={setTaken} /> made up
            to <SaidAmount label="Made up to" kind="volume" value={wholeMl} onChange={setWhole} />
          </>
        )}
      </Sentence>
      {typeof planned === 'string' && <Typography variant="body2">✕ {planned}</Typography>}
      {thinner && (
        <Typography variant="body2" component="div">
          gives <FigureText figure={thinner.volume} name="The thinner stock" px={20} /> of{' '}
          <FigureText figure={thinner.strength} name="Its strength" px={20} />; a level tablespoon of it holds{' '}
          <FigureText figure={thinner.perTablespoon} name="Dye in a tablespoon" />
        </Typography>
      )}
      <Box>
        <Button variant="outlined" disabled={!thinner || put.isPending} onClick={() => void keep()}>
          {kind === 'water' ? 'The water is in' : 'It is made up'}
        </Button>
      </Box>
    </Box>
  );
}
