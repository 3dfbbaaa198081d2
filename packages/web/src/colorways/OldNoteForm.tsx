import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  formatAmount,
  noteAmounts,
  readOldNote,
  splitNote,
  type NoteText,
  type ShelfResponse,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
import { TextLine } from '../parts/TextLine';

export interface OldNoteFormProps {
  shelf: ShelfResponse;
  /** Takes the depth the note comes to, with its dye. */
  onUse: (dyeId: string, dosPercent: number) => void;
}

const EMPTY: NoteText = { powder: '', dyeName: '', water: '', poured: '', goods: '' };

/** An old note in spoons and cups, typed as it was written, as % depth with how far it may be off. */
export function OldNoteForm({ shelf, onUse }: OldNoteFormProps) {
  const [whole, setWhole] = useState('');
  const [note, setNote] = useState(EMPTY);
  const dyes = shelf.dyes.filter((dye) => !dye.retired);
  const [dyeId, setDyeId] = useState(dyes[0]?.id ?? '');
  const dye = dyes.find((candidate) => candidate.id === dyeId);
  const amounts = noteAmounts(note, shelf.studio.spoons);
  const empty = note.powder === '' && note.water === '' && note.goods === '';
  const read = typeof amounts === 'string' || !dye ? null : readOldNote(amounts, dye);
  const takeWhole = (text: string): void => {
    setWhole(text);
    const split = splitNote(text);
    if (!split) return;
    setNote(split);
    const named = dyes.find((candidate) => candidate.name.toLowerCase() === split.dyeName.toLowerCase());
    if (named) setDyeId(named.id);
  };
  const field = (label: string, key: keyof NoteText, placeholder: string) => (
    <TextLine
      label={label}
      value={note[key]}
      placeholder={placeholder}
      onChange={(text) => setNote({ ...note, [key]: text })}
    />
  );
  return (
    <Box
      component="section"
      aria-label="Old note"
      sx={{ border: 1, borderColor: 'divider', p: 1.5, display: 'grid', gap: 1 }}
    >
      <TextLine
        label="Old note, as it was written"
        value={whole}
        placeholder="1/8 tsp of Vault Blue in 1/2 cup on 4 oz"
        onChange={takeWhole}
      />
      <Box
        sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr 1fr', lg: '1fr 1.4fr 1fr 1fr 1fr' } }}
      >
        {field('Powder', 'powder', '1/8 tsp')}
        <Choice
          label="Of the dye"
          value={dyeId}
          options={dyes.map((candidate) => ({ value: candidate.id, label: candidate.name }))}
          onChange={setDyeId}
        />
        {field('In water', 'water', '1/2 cup')}
        {field('Poured of it', 'poured', 'all of it')}
        {field('On goods', 'goods', '4 oz')}
      </Box>
      {!empty && typeof amounts === 'string' && (
        <Typography variant="body2" role="status">
          {amounts}
        </Typography>
      )}
      {read && (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
          <Typography component="div">
            <FigureText figure={read.dos} name="Depth of the old note" px={24} /> ±
            <FigureText figure={read.uncertainty} name="How far the note may be off" />, so{' '}
            {formatAmount(read.low, '%')} to {formatAmount(read.high, '%')} ·{' '}
            <FigureText figure={read.grams} name="Dye of the old note" /> from a stock of{' '}
            <FigureText figure={read.strength} name="Stock of the old note" />
          </Typography>
          <Button variant="outlined" onClick={() => onUse(dyeId, Number(read.dos.value.toPrecision(3)))}>
            Put it into the last pass
          </Button>
        </Box>
      )}
    </Box>
  );
}
