import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import {
  dayOf,
  newGoodsLine,
  notebookEvents,
  notebookWords,
  OUTCOMES,
  readNotebook,
  KEPT_STANDINGS,
  type NotebookPiece,
  type ShelfResponse,
} from '@ythrion/core';
import { everythingReads } from '../parts/everythingReads';
import { saidOf } from '../api/client';
import { useOpenBatch, useShelf } from '../studio/queries';
import { outbox } from '../outbox/thisDevice';
import { Choice } from '../parts/Choice';
import { newId } from '../parts/newId';
import { QuantityField } from '../parts/QuantityField';
import { say } from '../parts/say';
import { TextLine } from '../parts/TextLine';
import { Waiting } from '../parts/Waiting';
import { WordToggle } from '../parts/WordToggle';
import { NeedsBase } from '../parts/NeedsBase';

/** A batch out of the paper notebook: back-dated, typed as it was said, marked as remembered. */
export function RememberScreen() {
  const shelf = useShelf();
  if (!shelf.data) return <Waiting error={shelf.error} />;
  return <Remember shelf={shelf.data} />;
}

function Remember({ shelf }: { shelf: ShelfResponse }) {
  const bases = shelf.bases.filter((base) => !base.retired);
  const [first] = bases;
  const [name, setName] = useState('');
  const [day, setDay] = useState(() => new Date().toISOString().slice(0, 10));
  const [note, setNote] = useState('');
  const [baseId, setBaseId] = useState(first?.id ?? '');
  const [count, setCount] = useState(1);
  const [weighed, setWeighed] = useState<number>();
  const [outcome, setOutcome] = useState<(typeof OUTCOMES)[number] | null>(null);
  const [standing, setStanding] = useState<(typeof KEPT_STANDINGS)[number]>('trial');
  const begin = useOpenBatch();
  const navigate = useNavigate();
  const pieces = useMemo(
    () => readNotebook(note, { dyes: shelf.dyes, stocks: shelf.stocks, studio: shelf.studio }),
    [note, shelf],
  );
  const said = pieces.findLast(({ goodsGrams }) => goodsGrams !== null)?.goodsGrams ?? null;
  const base = bases.find(({ id }) => id === baseId);
  const grams = weighed ?? said ?? (base?.putUpGrams ?? 100) * count;
  const today = new Date().toISOString().slice(0, 10);
  const problem =
    day === '' || day > today
      ? 'The day lies ahead: choose today or an earlier one.'
      : pieces.every(({ acts }) => acts.length === 0)
        ? 'Write what went in and what was done, and it is read here.'
        : null;
  const keep = async (): Promise<void> => {
    if (!everythingReads()) return;
    const startedAt = new Date(`${day}T12:00:00`).toISOString();
    const id = newId();
    try {
      const batch = await begin.mutateAsync({
        id,
        name: name.trim() === '' ? `From the notebook, ${dayOf(startedAt)}` : name.trim(),
        startedAt,
        goods: [
          {
            ...newGoodsLine(newId(), { id: baseId, putUpGrams: grams / count }),
            count,
            weighedGrams: grams,
          },
        ],
        potId: null,
        remembered: true,
        from: {},
        liquidFrom: null,
      });
      const events = notebookEvents(batch, note, pieces, outcome && { outcome, standing });
      await outbox.enter(id, events);
      void navigate(outcome === null ? `/pots/${id}` : `/book/${id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  if (!first) return <NeedsBase what="A batch" />;
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
      <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
        <Typography variant="h1">From the notebook</Typography>
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 170px' } }}>
          <TextLine label="Name" value={name} onChange={setName} maxLength={120} />
          <TextLine label="Dyed on" type="date" value={day} onChange={setDay} />
        </Box>
        <TextLine
          label="As it was written"
          value={note}
          onChange={setNote}
          multiline
          maxLength={4000}
          placeholder="1/8 tsp of Vault Blue in 1/2 cup on 4 oz, vinegar, simmered 30 min"
        />
        <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr 1fr', sm: '2fr 1fr 1fr' } }}>
          <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
            <Choice
              label="Base"
              value={baseId}
              options={bases.map(({ id, name: label }) => ({ value: id, label }))}
              onChange={setBaseId}
            />
          </Box>
          <QuantityField label="Count" kind="count" value={count} onChange={setCount} />
          <QuantityField label="All of it, dry" kind="fiberMass" value={grams} onChange={setWeighed} />
        </Box>
        <WordToggle label="How it came out" value={outcome} words={OUTCOMES} onChange={setOutcome} />
        {outcome !== null && (
          <WordToggle
            label="What becomes of it"
            value={standing}
            words={KEPT_STANDINGS}
            onChange={setStanding}
          />
        )}
        {problem !== null && note !== '' && (
          <Typography variant="body2" role="status">
            {problem}
          </Typography>
        )}
        <Button
          variant="contained"
          disabled={problem !== null || begin.isPending || false}
          onClick={() => void keep()}
        >
          {outcome === null ? 'Go on at the pot' : 'Keep it in the Book'}
        </Button>
      </Box>
      <ReadAs pieces={pieces} shelf={shelf} />
    </Box>
  );
}

/** How each piece of the note was read. */
function ReadAs({ pieces, shelf }: { pieces: readonly NotebookPiece[]; shelf: ShelfResponse }) {
  return (
    <Box component="section" aria-label="Read as" aria-live="polite">
      <Typography variant="h2">Read as</Typography>
      {pieces.length === 0 && (
        <Typography variant="body2">
          Put commas between the pieces. What cannot be read stays in the record as it was written.
        </Typography>
      )}
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {pieces.map((piece, i) => (
          <Box component="li" key={i} sx={{ py: 0.75, borderBottom: 1, borderColor: 'divider' }}>
            <Typography variant="body2" color="text.secondary">
              “{piece.text}”
            </Typography>
            {piece.said !== piece.text && (
              <Typography variant="caption" color="text.secondary">
                taken as “{piece.said}”
              </Typography>
            )}
            {notebookWords(piece, shelf.dyes).map((line) => (
              <Typography key={line}>{line}</Typography>
            ))}
            {piece.problem !== null && <Typography variant="body2">▲ {piece.problem}</Typography>}
          </Box>
        ))}
      </Box>
    </Box>
  );
}
