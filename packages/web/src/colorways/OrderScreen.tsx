import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useNavigate, useSearchParams } from 'react-router';
import {
  formatAmount,
  isDyedIn,
  orWhy,
  splitIntoLoads,
  vesselChoices,
  type ColorwayOnList,
  type Order,
  type PlannedLoad,
  type ShelfResponse,
  type SplitOrder,
  type VesselChoice,
} from '@ythrion/core';
import { saidOf } from '../api/client';
import { useInUse } from '../batch/useInUse';
import { everythingReads } from '../parts/everythingReads';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { Tick } from '../parts/Tick';
import { Waiting } from '../parts/Waiting';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidText } from '../sentence/SaidText';
import { Sentence } from '../sentence/Sentence';
import { useBeginBatch, useColorways, useOrders, useShelf } from '../studio/queries';
import { Asked, useAnswers } from './Asked';
import { beginning } from './beginning';

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
  const [name, setName] = useState<string | null>(order?.name ?? null);
  const [asked, setAsked] = useState<number | null>(order?.pieces ?? null);
  const pieces = asked ?? colorway.recipe.goods[0]?.count ?? 1;
  const inUse = useInUse();
  const choices = vesselChoices(shelf.pots, inUse).filter(({ pot }) => isDyedIn(pot));
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const pots = choices.filter(({ pot, holds }) => holds === null && !left.has(pot.id)).map(({ pot }) => pot);
  const chosen = pots.map(({ id }) => id).join();
  const due = order?.left ?? pieces;
  const { value: split, problem } = useMemo(
    () => orWhy(() => splitIntoLoads(colorway, due, pots, shelf)),
    // Vessels are the same ones as long as their ids are.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [colorway, due, chosen, shelf],
  );
  const begin = useBegin({ order, colorway, pieces, name: name ?? `${colorway.name}, ${pieces}` });
  const answers = useAnswers(split?.loads.map(({ plan }) => plan) ?? []);
  const each = formatAmount(colorway.recipe.goods[0]?.gramsEach ?? 0, 'g');
  return (
    <Box sx={{ maxWidth: 1080, p: 2, display: 'grid', gap: 2 }}>
      <Typography variant="h1">{order ? `Go on with ${order.name}` : 'Split an order into loads'}</Typography>
      {order ? (
        <Typography>
          {order.pieces - order.left} of {order.pieces} × {each} are begun in {order.loads.length} loads;{' '}
          <strong>{order.left} to come</strong>.
        </Typography>
      ) : (
        <Sentence>
          <SaidAmount label="Pieces" kind="count" value={pieces} onChange={setAsked} /> × {each} in{' '}
          <SaidChoice
            label="Colorway"
            value={colorwayId}
            options={colorways.map((one) => ({ value: one.id, label: one.name }))}
            onChange={setColorwayId}
          />
          , kept under{' '}
          <SaidText
            label="Name of the order"
            value={name ?? `${colorway.name}, ${pieces}`}
            maxLength={80}
            onChange={setName}
          />
        </Sentence>
      )}
      <Vessels
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
          <Loads loads={split.loads} />
          <Typography>{leftWords(split)}</Typography>
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

const leftWords = ({ left, rounds }: SplitOrder): string =>
  left === 0
    ? 'That is all of them.'
    : `${left} are left for ${rounds} more ${rounds === 1 ? 'round' : 'rounds'}: come back when these vessels are free.`;

interface VesselsProps {
  choices: readonly VesselChoice[];
  split: SplitOrder | null;
  isChosen: (id: string) => boolean;
  onTick: (id: string) => void;
}

/** The vessels to dye in, each with what it holds of this. */
function Vessels({ choices, split, isChosen, onTick }: VesselsProps) {
  return (
    <Box component="fieldset" sx={{ border: 0, m: 0, p: 0 }}>
      <Typography component="legend" variant="h2">
        In these vessels at once
      </Typography>
      {choices.map(({ pot, holds }) => {
        const most = split?.most.get(pot.id);
        return (
          <Box key={pot.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
            {holds === null ? (
              <Tick
                label={`${pot.name}, ${formatAmount(pot.capacityMl, 'mL')}`}
                checked={isChosen(pot.id)}
                onChange={() => onTick(pot.id)}
              />
            ) : (
              <Typography color="text.secondary" sx={{ py: 1 }}>
                {pot.name}: {holds} is in it
              </Typography>
            )}
            {holds === null && most !== undefined && (
              <Typography variant="body2" component="span">
                {most === 0 ? 'holds not one piece of this' : `holds ${most} at most`}
              </Typography>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

/** What each load takes. */
function Loads({ loads }: { loads: readonly PlannedLoad[] }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        aria-label="Loads"
        sx={{
          borderCollapse: 'collapse',
          '& th, & td': { textAlign: 'left', py: 0.5, pr: 2, borderBottom: 1 },
        }}
      >
        <thead>
          <tr>
            <th scope="col">Vessel</th>
            <th scope="col">Pieces</th>
            <th scope="col">Pour</th>
            <th scope="col">Water</th>
            <th scope="col">Acid</th>
          </tr>
        </thead>
        <tbody>
          {loads.map(({ pot, count, plan }) => (
            <tr key={pot.id}>
              <th scope="row">{pot.name}</th>
              <td>{count}</td>
              <td>
                {plan.passes
                  .flatMap(({ pours }) => pours)
                  .map(({ volume, grams, dyeName }) => {
                    const { value, unit } = volume ?? grams;
                    return `${formatAmount(value, unit)} ${dyeName}`;
                  })
                  .join(', ')}
              </td>
              <td>{formatAmount(plan.totals.water.value, 'mL')}</td>
              <td>
                {plan.passes
                  .flatMap(({ acids }) => acids)
                  .map(({ amount, label }) => `${formatAmount(amount.value, amount.unit)} ${label}`)
                  .join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

/** Begins loads of an order, each a batch of its own. */
function useBegin({
  order,
  colorway,
  pieces,
  name,
}: {
  order: Order | null;
  colorway: ColorwayOnList;
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
        for (const [i, { count, formulation }] of loads.entries())
          await begin.mutateAsync({
            ...beginning(colorway, formulation),
            loadOf: { order: id, name, pieces, count, load: before + i + 1 },
          });
        void navigate('/pots');
      } catch (error) {
        say(saidOf(error));
      }
    },
  };
}
