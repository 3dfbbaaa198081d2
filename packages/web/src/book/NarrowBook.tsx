import Box from '@mui/material/Box';
import { dayAfter, dayOfMoment, OUTCOMES, STANDINGS, startOfDay, type BookFilter } from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { QuantityField } from '../parts/QuantityField';
import { TextLine } from '../parts/TextLine';
import { useColorways, useShelf } from '../studio/queries';
import { ORDER_WORDS } from './bookOrders';
import type { AskedOfBook, Narrowing } from './useBookQuery';

const any = { value: '', label: 'any' };
const named = (things: readonly { id: string; name: string; code: string }[] = []) =>
  things.map(({ id, name, code }) => ({ value: id, label: code === '' ? name : `${name} · ${code}` }));

/** What the Book is narrowed to, field by field; rail and table follow at once. */
export function NarrowBook({ asked }: { asked: AskedOfBook }) {
  const { filter, narrow } = asked;
  const shelf = useShelf().data;
  const colorways = useColorways().data;
  const choice = (by: Narrowing, label: string, options: readonly { value: string; label: string }[]) => (
    <Choice
      label={label}
      value={String(filter[by] ?? '')}
      options={[any, ...options]}
      onChange={(value) => narrow(by, value)}
    />
  );
  const amount = (by: 'massFrom' | 'massTo' | 'depthFrom' | 'depthTo', label: string) => (
    <QuantityField
      label={label}
      kind={by.startsWith('mass') ? 'fiberMass' : 'dos'}
      value={filter[by]}
      onChange={(value) => narrow(by, String(value))}
      onUnreadable={() => narrow(by, undefined)}
    />
  );
  return (
    <Box
      role="group"
      aria-label="Narrow the book"
      sx={{
        px: 2,
        pb: 1.5,
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(6, 1fr)' },
        alignItems: 'start',
      }}
    >
      {choice('colorway', 'Colorway', named(colorways))}
      {choice('base', 'Base', named(shelf?.bases))}
      {choice('dye', 'Dye that went in', named(shelf?.dyes))}
      {choice('verdict', 'Verdict', [
        ...OUTCOMES.map((word) => ({ value: word, label: word })),
        { value: 'wet', label: 'still wet' },
      ])}
      {choice(
        'standing',
        'Standing',
        STANDINGS.map((word) => ({ value: word, label: word })),
      )}
      <OrderChoice asked={asked} />
      <TextLine
        label="Begun from"
        type="date"
        value={dayOfMoment(filter.from)}
        onChange={(day) => narrow('from', startOfDay(day))}
      />
      <TextLine
        label="Begun until"
        type="date"
        value={dayOfMoment(lastMoment(filter))}
        onChange={(day) => narrow('before', startOfDay(dayAfter(day)))}
      />
      {amount('massFrom', 'Goods from')}
      {amount('massTo', 'Goods to')}
      {amount('depthFrom', 'Depth from')}
      {amount('depthTo', 'Depth to')}
    </Box>
  );
}

/** A moment of the last day that is counted in. */
const lastMoment = ({ before }: BookFilter): string | undefined =>
  before === undefined ? undefined : new Date(Date.parse(before) - 1).toISOString();

function OrderChoice({ asked: { order, way, inOrder } }: { asked: AskedOfBook }) {
  return (
    <Choice
      label="Order"
      value={`${order} ${way}`}
      options={ORDER_WORDS.map((one) => ({ value: `${one.order} ${one.way}`, label: one.words }))}
      onChange={(value) => {
        const chosen = ORDER_WORDS.find((one) => `${one.order} ${one.way}` === value);
        if (chosen) inOrder(chosen.order, chosen.way);
      }}
    />
  );
}
