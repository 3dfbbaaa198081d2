import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import {
  cellWords,
  goodsOf,
  laidOn,
  mapOf,
  shownOf,
  admitMap,
  orWhy,
  type Batch,
  type Cell,
  type PanMap as Drawn,
} from '@ythrion/core';
import { say } from '../parts/say';
import { SaidAmount } from '../sentence/SaidAmount';
import { Sentence } from '../sentence/Sentence';
import type { Recorder } from './useRecord';

/** Who lies where in the pan: goods are chosen, then tapped onto their places. */
export function PanMap({
  batch,
  recorder,
  onDone,
}: {
  batch: Batch;
  recorder: Recorder;
  onDone: () => void;
}) {
  const lines = goodsOf(batch.card);
  const [map, setMap] = useState<Drawn>(() => mapOf(batch) ?? { columns: 5, rows: 3, cells: [] });
  const [chosen, setChosen] = useState(lines[0]?.line ?? '');
  const tap = (cell: Cell): void => {
    const there = map.cells.find(({ column, row }) => column === cell.column && row === cell.row);
    const next = laidOn(map, cell, there?.goods === chosen ? null : chosen);
    const { problem } = orWhy(() => {
      admitMap(next, batch.card);
      return true;
    });
    if (problem !== null) return say(problem);
    setMap(next);
  };
  const size = (changes: Partial<Pick<Drawn, 'columns' | 'rows'>>): void => {
    const next = { ...map, ...changes };
    setMap({
      ...next,
      cells: next.cells.filter(({ column, row }) => column <= next.columns && row <= next.rows),
    });
  };
  const keep = async (): Promise<void> => {
    if (await recorder.record({ kind: 'mapped', ...map, cells: [...map.cells] }, 'Who lies where: kept.'))
      onDone();
  };
  return (
    <Box component="section" aria-label="Who lies where" sx={{ display: 'grid', gap: 1.5 }}>
      <Sentence>
        <SaidAmount
          label="Places from left to right"
          kind="steps"
          value={map.columns}
          onChange={(columns) => size({ columns: Math.min(12, columns) })}
        />{' '}
        places from left to right,{' '}
        <SaidAmount
          label="Rows from the back"
          kind="steps"
          value={map.rows}
          onChange={(rows) => size({ rows: Math.min(12, rows) })}
        />{' '}
        rows
      </Sentence>
      <Box role="group" aria-label="Goods to lay" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {lines.map(({ line, name, count }, i) => (
          <Button
            key={line}
            variant={line === chosen ? 'contained' : 'outlined'}
            aria-pressed={line === chosen}
            size="large"
            onClick={() => setChosen(line)}
          >
            {letterOf(i)} {name}, {shownOf(map, line)} of {count}
          </Button>
        ))}
      </Box>
      <MapGrid
        map={map}
        batch={batch}
        label={(cell, name) => `${cellWords(cell)}, ${name ?? 'empty'}`}
        onTap={tap}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant="contained"
          size="large"
          disabled={map.cells.length === 0}
          onClick={() => void keep()}
        >
          Keep the map
        </Button>
        <Button size="large" onClick={onDone}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}

/** Goods by a letter: lines have no color of their own to be told by. */
export const letterOf = (nth: number): string => String.fromCharCode(65 + nth);

interface MapGridProps {
  map: Drawn;
  batch: Batch;
  /** What is said of a place. @param name of the goods there */
  label: (cell: Cell, name: string | null) => string;
  onTap: (cell: Cell) => void;
  /** A second sign in a place, such as how it came out. */
  sign?: (cell: Cell) => string | null;
  chosen?: Cell | null;
}

/** The floor of a pan from above, its back at the top. */
export function MapGrid({ map, batch, label, onTap, sign, chosen = null }: MapGridProps) {
  const lines = goodsOf(batch.card);
  return (
    <Box
      role="group"
      aria-label="The pan from above, its back at the top"
      sx={{
        display: 'grid',
        gap: '4px',
        gridTemplateColumns: `repeat(${map.columns}, minmax(44px, 72px))`,
        overflowX: 'auto',
        p: '4px',
        border: 2,
        borderColor: 'text.primary',
        width: 'fit-content',
        maxWidth: '100%',
      }}
    >
      {Array.from({ length: map.rows * map.columns }, (_, i) => {
        const cell = { row: 1 + Math.floor(i / map.columns), column: 1 + (i % map.columns) };
        const there = map.cells.find(({ column, row }) => column === cell.column && row === cell.row);
        const nth = lines.findIndex(({ line }) => line === there?.goods);
        const is = chosen !== null && chosen.row === cell.row && chosen.column === cell.column;
        return (
          <ButtonBase
            key={i}
            aria-label={label(cell, lines[nth]?.name ?? null)}
            aria-pressed={is || undefined}
            onClick={() => onTap(cell)}
            sx={{
              minHeight: 48,
              border: 1,
              borderColor: 'divider',
              bgcolor: nth < 0 ? 'transparent' : 'booth',
              color: 'text.primary',
              fontWeight: 700,
              outline: is ? 2 : 0,
              flexDirection: 'column',
            }}
          >
            <span>{nth < 0 ? '·' : letterOf(nth)}</span>
            {sign?.(cell) && <Typography variant="caption">{sign(cell)}</Typography>}
          </ButtonBase>
        );
      })}
    </Box>
  );
}
