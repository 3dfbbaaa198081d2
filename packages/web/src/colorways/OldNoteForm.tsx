import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  formatAmount,
  noted,
  notebookWords,
  readNotebook,
  type NotedDye,
  type NotedPass,
  type ShelfResponse,
} from '@ythrion/core';
import { FigureText } from '../parts/FigureText';
import { SaidLines } from '../sentence/SaidLines';

export interface OldNoteFormProps {
  shelf: ShelfResponse;
  /** Takes what the note comes to. */
  onUse: (note: NotedPass) => void;
}

/** An old note in free words over several lines: what each of them was read as, and what all of it comes to. */
export function OldNoteForm({ shelf, onUse }: OldNoteFormProps) {
  const [text, setText] = useState('');
  const pieces = useMemo(() => readNotebook(text, shelf), [text, shelf]);
  const note = useMemo(() => noted(pieces, shelf), [pieces, shelf]);
  const nameOf = (dyeId: string): string => shelf.dyes.find(({ id }) => id === dyeId)?.name ?? 'a dye';
  return (
    <Box
      component="section"
      aria-label="Old note"
      sx={{
        display: 'grid',
        columnGap: 3,
        rowGap: 1,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' },
      }}
    >
      <Box sx={{ display: 'grid', gap: 1, alignContent: 'start' }}>
        <SaidLines
          label="Old note, as it was written"
          value={text}
          maxLength={2000}
          placeholder={'1/8 tsp of Vault Blue in 1/2 cup on 4 oz\n2 tbsp citric\n2 quarts of water'}
          onChange={setText}
        />
        <Box component="ul" aria-label="As it was read" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {pieces.map((piece, i) => (
            <Typography component="li" variant="body2" key={`${i} ${piece.text}`}>
              “{piece.text}”:{' '}
              {piece.problem === null ? notebookWords(piece, shelf.dyes).join('; ') : `✕ ${piece.problem}`}
            </Typography>
          ))}
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gap: 0.5, alignContent: 'start', justifyItems: 'start' }}>
        {note.dyes.map((dye) => (
          <NotedDepth key={dye.dyeId} dye={dye} name={nameOf(dye.dyeId)} />
        ))}
        {note.unmeasured.length > 0 && (
          <Typography variant="body2">
            Nobody measured {note.unmeasured.join(' and ')}: the acid of this pass stays in its place.
          </Typography>
        )}
        {note.dyes.length > 0 && (
          <Button variant="outlined" onClick={() => onUse(note)}>
            Make the last pass of it
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** One dye of the note, with how far it may be off. */
function NotedDepth({ dye: { grams, dos, offPercent }, name }: { dye: NotedDye; name: string }) {
  return (
    <Typography component="div">
      {dos ? (
        <>
          <FigureText figure={dos.figure} name={`Depth of ${name} in the old note`} px={24} /> {name}, ±
          {offPercent} %, so {formatAmount(dos.low, '%')} to {formatAmount(dos.high, '%')}
        </>
      ) : (
        <>
          <FigureText figure={grams} name={`${name} in the old note`} px={24} /> {name}, ±{offPercent} %; say
          on what goods, and it is a depth
        </>
      )}
    </Typography>
  );
}
