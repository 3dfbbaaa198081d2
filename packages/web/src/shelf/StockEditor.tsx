import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useWatch } from 'react-hook-form';
import {
  formatAmount,
  gramsInStock,
  leftWords,
  stockSchema,
  type ShelfResponse,
  type Stock,
} from '@ythrion/core';
import { DiluteJar } from './DiluteJar';
import { EditorFrame } from './EditorFrame';
import { AmountField, ChoiceField, WordField } from './fields';
import { useShelfForm } from './useShelfForm';

/** A jar of stock: its dye is fixed once it is made. */
export function StockEditor({ stock, shelf }: { stock: Stock; shelf: ShelfResponse }) {
  const { control, read } = useShelfForm<Stock>(stockSchema, stock);
  const [strengthPercent, volumeMl] = useWatch({ control, name: ['strengthPercent', 'volumeMl'] });
  const dye = shelf.dyes.find((candidate) => candidate.id === stock.dyeId);
  const left = shelf.stockLeft[stock.id] ?? 0;
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 620 }}>
      <EditorFrame resource="stocks" title="Jar of stock" kept={stock} read={read}>
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr' } }}>
          <ChoiceField
            control={control}
            name="dyeId"
            label="Dye"
            options={[{ value: stock.dyeId, label: `${dye?.name ?? ''} ${dye?.code ?? ''}`.trim() }]}
          />
          <WordField control={control} name="code" label="Label" />
          <AmountField control={control} name="strengthPercent" label="Strength, w/v" kind="stockStrength" />
          <AmountField control={control} name="volumeMl" label="Made" kind="volume" />
          <WordField control={control} name="madeOn" label="Made on" type="date" nullable />
          <WordField control={control} name="lot" label="Lot of the powder" />
        </Box>
        <Typography>
          That is <strong>{formatAmount(gramsInStock(volumeMl, strengthPercent), 'g')}</strong> of powder made
          up to {formatAmount(volumeMl, 'mL')}. In the jar: <strong>{leftWords(left)}</strong>.
          {stock.weighedGrams !== null && ` The scale showed ${formatAmount(stock.weighedGrams, 'g')}.`}
        </Typography>
        <Box>
          <Button component={Link} to={`/shelf/stocks/new?like=${stock.id}`} variant="outlined">
            Make another like it
          </Button>
        </Box>
        <WordField control={control} name="note" label="Note" multiline />
      </EditorFrame>
      {!stock.retired && <DiluteJar stock={stock} shelf={shelf} />}
    </Box>
  );
}
