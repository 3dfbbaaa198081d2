import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useNavigate, useSearchParams } from 'react-router';
import {
  isDyedIn,
  orWhy,
  splitIntoLoads,
  vesselChoices,
  type ColorwayOnList,
  type DueLine,
  type Order,
  type OrderLine,
  type PlannedLoad,
  type ShelfResponse,
  type SplitOrder,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { useInUse } from '../batch/useInUse';
import { everythingReads } from '../parts/everythingReads';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { Waiting } from '../parts/Waiting';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidText } from '../sentence/SaidText';
import { Sentence } from '../sentence/Sentence';
import { useBeginBatch, useColorways, useOrders, useShelf } from '../studio/queries';
import { Asked, useAnswers } from './Asked';
import { beginning } from './beginning';
import { OrderLines } from './OrderLines';
import { OrderNeeds } from './OrderNeeds';
import { OrderLoads, OrderVessels } from './OrderLoads';

/** An order that no vessel holds at once: as loads, with what each takes, begun together and the rest later. */
export function OrderScreen() {
  const colorways = useColorways();
  const shelf = useShelf();
  const orders = useOrders();
  const [asked] = useSearchParams();
  if (!colorways.data || !shelf.data || !orders.data)
    return <Waiting error={colorways.error ?? shelf.error ?? orders.error} />;
  const known = colorways.data.filter(({ retired }) => !retired);
  const order = orders.data.find(({ id }) => id === asked.get('order')) ?? null;
  const first = known.find(({ id }) => id === (order?.colorwayId ?? asked.get('colorway'))) ?? known[0];
  if (!first)
    return (
      <Typography sx={{ p: 2 }}>
        No colorway yet. <Link to="/colorways/new">Begin one</Link>; then an order of it can be split into
        loads.
      </Typography>
    );
  return (
    <Split
      key={order?.id ?? 'new'}
      colorways={known}
      first={first}
      order={order}
      open={orders.data.filter(({ id }) => id !== order?.id)}
      shelf={shelf.data}
    />
  );
}

interface SplitProps {
  colorways: readonly ColorwayOnList[];
  first: ColorwayOnList;
  /** The order that is gone on with; null for a new one. */
  order: Order | null;
  open: readonly Order[];
  shelf: ShelfResponse;
}

function Split({ colorways, first, order, open, shelf }: SplitProps) {
  const [colorwayId, setColorwayId] = useState(first.id);
  const colorway = colorways.find(({ id }) => id === colorwayId) ?? first;
  const [goods] = colorway.recipe.goods;
  const own = goods?.baseId ?? '';
  const [name, setName] = useState<string | null>(order?.name ?? null);
  const [asked, setAsked] = useState<readonly OrderLine[] | null>(null);
  const lines = order
    ? order.lines.map(({ baseId, pieces }) => ({ baseId: baseId ?? own, pieces }))
    : (asked ?? [{ baseId: own, pieces: goods?.count ?? 1 }]);
  const pieces = lines.reduce((sum, line) => sum + line.pieces, 0);
  const inUse = useInUse();
  const choices = vesselChoices(shelf.pots, inUse).filter(({ pot }) => isDyedIn(pot));
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const pots = choices.filter(({ pot, holds }) => holds === null && !left.has(pot.id)).map(({ pot }) => pot);
  const chosen = pots.map(({ id }) => id).join();
  const due = JSON.stringify(
    order ? order.lines.map(({ baseId, left: pieces }) => ({ baseId, pieces })) : lines,
  );
  const { value: split, problem } = useMemo(
    () => orWhy(() => splitIntoLoads(colorway, JSON.parse(due) as DueLine[], pots, shelf)),
    // Vessels are the same ones as long as their ids are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [colorway, due, chosen, shelf],
  );
  const begin = useBegin({ order, colorway, lines, pieces, name: name ?? `${colorway.name}, ${pieces}` });
  const answers = useAnswers(split?.loads.map(({ plan }) => plan) ?? []);
  return (
    <Box sx={{ maxWidth: 1080, p: 2, display: 'grid', gap: 2 }}>
      <Typography variant="h1">{order ? `Go on with ${order.name}` : 'Split an order into loads'}</Typography>
      {order ? (
        <Typography>
          {order.pieces - order.left} of {order.pieces} are begun in {order.loads.length} loads;{' '}
          <strong>{order.left} to come</strong>
          {order.lines.length > 1 &&
            `: ${order.lines
              .filter((line) => line.left > 0)
              .map((line) => `${line.left} on ${baseName(line.baseId ?? own, shelf)}`)
              .join(', ')}`}
          .
        </Typography>
      ) : (
        <>
          <Sentence>
            <SaidChoice
              label="Colorway"
              value={colorwayId}
              options={colorways.map((one) => ({ value: one.id, label: one.name }))}
              onChange={(id) => {
                setColorwayId(id);
                setAsked(null);
              }}
            />
            , kept under{' '}
            <SaidText
              label="Name of the order"
              value={name ?? `${colorway.name}, ${pieces}`}
              maxLength={80}
              onChange={setName}
            />
          </Sentence>
          <OrderLines key={colorwayId} lines={lines} colorway={colorway} shelf={shelf} onChange={setAsked} />
        </>
      )}
      <OrderVessels
        choices={choices}
        split={split}
        isChosen={(id) => pots.some((pot) => pot.id === id)}
        onTick={(id) => {
          const next = new Set(left);
          if (!next.delete(id)) next.add(id);
          setLeft(next);
        }}
      />
      {problem !== null && <Typography role="alert">✕ {problem}</Typography>}
      {split && (
        <>
          <OrderLoads
            loads={split.loads}
            baseOf={lines.length > 1 ? (id) => baseName(id ?? own, shelf) : null}
          />
          <Typography>{leftWords(split)}</Typography>
          <OrderNeeds split={split} shelf={shelf} />
          <Asked {...answers} />
          <Button
            variant="contained"
            size="large"
            disabled={begin.pending || answers.asked.length > 0}
            onClick={() => void begin.start(split.loads)}
          >
            {answers.asked.length > 0
              ? 'Answer what is asked above first'
              : split.loads.length === 1
                ? `Begin this load of ${split.loads[0]?.count ?? 0}`
                : `Begin these ${split.loads.length} loads`}
          </Button>
        </>
      )}
      {open.length > 0 && (
        <Box component="section" aria-label="Orders not done yet">
          <Typography variant="h2">Orders not done yet</Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {open.map((one) => (
              <li key={one.id}>
                <Link to={`/colorways/order?order=${one.id}`}>{one.name}</Link>: {one.pieces - one.left} of{' '}
                {one.pieces} begun, {one.left} to come
              </li>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

const baseName = (id: string, { bases }: ShelfResponse): string =>
  bases.find((base) => base.id === id)?.name ?? id;

const leftWords = ({ left, rounds }: SplitOrder): string =>
  left === 0
    ? 'That is all of them.'
    : `${left} are left for ${rounds} more ${rounds === 1 ? 'round' : 'rounds'}: come back when these vessels are free.`;

/** Begins loads of an order, each a batch of its own. */
function useBegin({
  order,
  colorway,
  lines,
  pieces,
  name,
}: {
  order: Order | null;
  colorway: ColorwayOnList;
  lines: readonly OrderLine[];
  /** All of them. */
  pieces: number;
  name: string;
}): { start: (loads: readonly PlannedLoad[]) => Promise<void>; pending: boolean } {
  const begin = useBeginBatch();
  const navigate = useNavigate();
  const [id] = useState(() => order?.id ?? newId());
  const before = order?.loads.length ?? 0;
  return {
    pending: begin.isPending,
    start: async (loads) => {
      if (!everythingReads()) return;
      try {
        for (const [i, { count, baseId, formulation }] of loads.entries())
          await begin.mutateAsync({
            ...beginning(colorway, formulation),
            loadOf: {
              order: id,
              name,
              pieces,
              count,
              load: before + i + 1,
              // An order from before orders named a base goes on without.
              ...(baseId !== null && { bases: { here: baseId, lines: [...lines] } }),
            },
          });
        void navigate('/pots');
      } catch (error) {
        say(saidOf(error));
      }
    },
  };
}
