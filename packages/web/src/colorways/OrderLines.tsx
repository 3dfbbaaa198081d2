import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  formatAmount,
  gramsEachOn,
  MOST_BASES,
  type ColorwayOnList,
  type OrderLine,
  type ShelfResponse,
} from '@ythrion/core';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { SmallKey } from '../sentence/SmallKey';
import { basesFor } from './basesFor';

interface OrderLinesProps {
  lines: readonly OrderLine[];
  colorway: ColorwayOnList;
  shelf: ShelfResponse;
  onChange: (lines: OrderLine[]) => void;
}

/** How many pieces on which base; a base stands there once. */
export function OrderLines({ lines, colorway, shelf, onChange }: OrderLinesProps) {
  const [goods] = colorway.recipe.goods;
  const taken = lines.map(({ baseId }) => baseId);
  const free = basesFor(goods?.baseId, shelf).filter(({ value }) => !taken.includes(value));
  const set = (i: number, changes: Partial<OrderLine>): void =>
    onChange(lines.map((line, at) => (at === i ? { ...line, ...changes } : line)));
  return (
    <>
      <Box component="ol" aria-label="Pieces by their bases" sx={{ m: 0, pl: 3, display: 'grid', gap: 1 }}>
        {lines.map(({ baseId, pieces }, i) => (
          <li key={baseId}>
            <Sentence>
              <SaidAmount
                label={i === 0 ? 'Pieces' : `Pieces ${i + 1}`}
                kind="count"
                value={pieces}
                onChange={(count) => set(i, { pieces: count })}
              />{' '}
              × {formatAmount(goods ? gramsEachOn(goods, baseId, shelf.bases) : 0, 'g')} of{' '}
              <SaidChoice
                label={i === 0 ? 'Base' : `Base ${i + 1}`}
                value={baseId}
                options={basesFor(baseId, shelf).filter(
                  ({ value }) => value === baseId || !taken.includes(value),
                )}
                onChange={(next) => set(i, { baseId: next })}
              />
              {lines.length > 1 && (
                <SmallKey
                  label={`Leave out base ${i + 1}`}
                  onPress={() => onChange(lines.filter((_, at) => at !== i))}
                />
              )}
            </Sentence>
          </li>
        ))}
      </Box>
      <Button
        sx={{ justifySelf: 'start' }}
        variant="outlined"
        disabled={lines.length >= MOST_BASES || free.length === 0}
        onClick={() =>
          onChange([
            ...lines,
            ...free.slice(0, 1).map(({ value }) => ({ baseId: value, pieces: lines.at(-1)?.pieces ?? 1 })),
          ])
        }
      >
        One more base
      </Button>
    </>
  );
}
