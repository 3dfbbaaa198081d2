import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  cellWords,
  mapOf,
  outcomesOf,
  OUTCOMES,
  type Batch,
  type Cell,
  type LineOutcome,
} from '@ythrion/core';
import { TextLine } from '../parts/TextLine';
import { WordToggle } from '../parts/WordToggle';
import { letterOf, MapGrid } from './PanMap';
import type { Recorder } from './useRecord';

/** What something is said of: a whole line of goods, or the piece on one place of the map. */
interface About {
  goods: string;
  cell: Cell | null;
}

/** How each line of goods came out, and each piece that lay somewhere; the places first, where a map was drawn. */
export function HowEachCameOut({ batch, recorder }: { batch: Batch; recorder: Recorder }) {
  const lines = outcomesOf(batch);
  const map = mapOf(batch);
  const [about, setAbout] = useState<About | null>(null);
  const said = (goods: string, cell: Cell): string | null =>
    lines
      .find((line) => line.goods === goods)
      ?.pieces.find((piece) => piece.cell.row === cell.row && piece.cell.column === cell.column)?.outcome ??
    null;
  const at = (cell: Cell): string | null =>
    map?.cells.find(({ row, column }) => row === cell.row && column === cell.column)?.goods ?? null;
  return (
    <Box component="section" aria-label="How each came out" sx={{ display: 'grid', gap: 1, mt: 1.5 }}>
      <Typography variant="h2">How each came out</Typography>
      {map && (
        <MapGrid
          map={map}
          batch={batch}
          chosen={about?.cell ?? null}
          label={(cell, name) =>
            `${cellWords(cell)}, ${name ?? 'empty'}${at(cell) === null ? '' : `, ${said(at(cell) ?? '', cell) ?? 'nothing said'}`}`
          }
          sign={(cell) => SIGNS[said(at(cell) ?? '', cell) ?? ''] ?? null}
          onTap={(cell) => {
            const goods = at(cell);
            setAbout(goods === null ? null : { goods, cell });
          }}
        />
      )}
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {lines.map((line, i) => (
          <Box component="li" key={line.goods} sx={{ py: 0.5 }}>
            <strong>
              {map && `${letterOf(i)} `}
              {line.count} × {line.name}
            </strong>
            : {lineWords(line)}{' '}
            <Button onClick={() => setAbout({ goods: line.goods, cell: null })} sx={{ minHeight: 44 }}>
              Say how {lines.length > 1 || map ? `the ${line.name}` : 'they'} came out
            </Button>
          </Box>
        ))}
      </Box>
      {about && (
        <Say
          key={`${about.goods}${about.cell?.column ?? ''}${about.cell?.row ?? ''}`}
          title={`${lines.find(({ goods }) => goods === about.goods)?.name ?? ''}${about.cell ? `, ${cellWords(about.cell)}` : ''}`}
          onKeep={async (outcome, note) => {
            if (await recorder.record({ kind: 'came out', ...about, outcome, note })) setAbout(null);
          }}
          onCancel={() => setAbout(null)}
        />
      )}
    </Box>
  );
}

type Outcome = (typeof OUTCOMES)[number];

/** An outcome in a small place. */
const SIGNS: Record<string, string> = { 'as wanted': '✓', usable: '~', 'not right': '✕' } satisfies Record<
  Outcome,
  string
>;

/** What was said of a line, and of those of its pieces that came out by themselves. */
function lineWords({ whole, pieces }: LineOutcome): string {
  const words = (outcome: string, note: string): string => `${outcome}${note === '' ? '' : `, ${note}`}`;
  const all = [
    ...(whole ? [words(whole.outcome, whole.note)] : []),
    ...pieces.map(({ cell, outcome, note }) => `${cellWords(cell)} ${words(outcome, note)}`),
  ];
  return all.length === 0 ? 'nothing said yet' : all.join('; ');
}

function Say({
  title,
  onKeep,
  onCancel,
}: {
  title: string;
  onKeep: (outcome: Outcome, note: string) => Promise<void>;
  onCancel: () => void;
}) {
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [note, setNote] = useState('');
  return (
    <Box sx={{ display: 'grid', gap: 1, borderTop: 2, borderColor: 'text.primary', pt: 1 }}>
      <Typography sx={{ fontWeight: 600 }}>{title}</Typography>
      <WordToggle label={`How ${title} came out`} value={outcome} words={OUTCOMES} onChange={setOutcome} />
      <TextLine
        label="In words"
        value={note}
        onChange={setNote}
        maxLength={4000}
        placeholder="paler on the side of the wall"
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant="contained"
          size="large"
          disabled={outcome === null}
          onClick={() => void (outcome && onKeep(outcome, note))}
        >
          Keep it
        </Button>
        <Button size="large" onClick={onCancel}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}
