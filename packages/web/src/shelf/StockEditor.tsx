import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useWatch } from 'react-hook-form';
import {
  CAUTIONS,
  formatAmount,
  gramsInStock,
  stockSchema,
  type ShelfResponse,
  type Stock,
} from '@ythrion/core';
import { EditorFrame } from './EditorFrame';
import { AmountField, ChoiceField, WordField } from './fields';
import { useShelfForm } from './useShelfForm';

/** A jar of stock: its dye is fixed once it is made. */
export function StockEditor({
  id,
  stock,
  shelf,
}: {
  id: string;
  stock: Stock | undefined;
  shelf: ShelfResponse;
}) {
  const dyes = shelf.dyes.filter((dye) => !dye.retired || dye.id === stock?.dyeId);
  const first = dyes[0];
  const today = new Date().toISOString().slice(0, 10);
  const { control, read } = useShelfForm<Stock>(
    stockSchema,
    stock ?? {
      id,
      code: '',
      dyeId: first?.id ?? '',
      strengthPercent: 1,
      volumeMl: 500,
      madeOn: today,
      lot: '',
      weighedGrams: null,
      note: '',
      retired: false,
    },
  );
  const [strengthPercent, volumeMl] = useWatch({ control, name: ['strengthPercent', 'volumeMl'] });
  if (!first)
    return (
      <Box>
        <Typography sx={{ mb: 1.5 }}>A jar needs a dye first.</Typography>
        <Button component={Link} to="/shelf/dyes/new" variant="contained">
          New dye
        </Button>
      </Box>
    );
  const options = (stock ? dyes.filter((dye) => dye.id === stock.dyeId) : dyes).map((dye) => ({
    value: dye.id,
    label: `${dye.name} ${dye.code}`.trim(),
  }));
  return (
    <EditorFrame
      resource="stocks"
      title={stock ? 'Jar of stock' : 'New jar of stock'}
      kept={stock}
      read={read}
    >
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr' } }}>
        <ChoiceField control={control} name="dyeId" label="Dye" options={options} />
        <WordField control={control} name="code" label="Label" />
        <AmountField control={control} name="strengthPercent" label="Strength, w/v" kind="stockStrength" />
        <AmountField
          control={control}
          name="volumeMl"
          label="Made"
          kind="volume"
          context={{ spoons: shelf.studio.spoons }}
        />
        <WordField control={control} name="madeOn" label="Made on" type="date" nullable />
      </Box>
      <Typography>
        That is <strong>{formatAmount(gramsInStock(volumeMl, strengthPercent), 'g')}</strong> of powder made
        up to {formatAmount(volumeMl, 'mL')}.
        {stock && (
          <>
            {' '}
            Left in the jar: <strong>{formatAmount(shelf.stockLeft[stock.id] ?? 0, 'mL')}</strong>.
          </>
        )}
      </Typography>
      <WordField control={control} name="note" label="Note" multiline />
      {!stock && (
        <Typography variant="body2" color="text.secondary">
          {CAUTIONS.powder}
        </Typography>
      )}
    </EditorFrame>
  );
}
