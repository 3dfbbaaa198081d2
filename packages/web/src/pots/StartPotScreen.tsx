import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import {
  firstFree,
  newGoodsLine,
  momentOf,
  takenOverBy,
  vesselChoices,
  vesselOptions,
  type BatchResponse,
  type BatchSummary,
  type GoodsLine,
  type ShelfResponse,
} from '@ythrion/core';
import { everythingReads } from '../parts/everythingReads';
import { studioNow } from '../api/studioClock';
import { saidOf } from '../api/client';
import { useBook, useOpenBatch, useRunning, useShelf } from '../studio/queries';
import { outbox } from '../outbox/thisDevice';
import { newId } from '../parts/newId';
import { say } from '../parts/say';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { SmallKey } from '../sentence/SmallKey';
import { Waiting } from '../parts/Waiting';
import { NeedsBase } from '../parts/NeedsBase';
import { useInUse } from '../batch/useInUse';

/** A pot without a plan: pick goods and a vessel, then tap what goes in. */
export function StartPotScreen() {
  const shelf = useShelf();
  const running = useRunning();
  if (!shelf.data || !running.data) return <Waiting error={shelf.error ?? running.error} />;
  return <StartPot shelf={shelf.data} running={running.data} />;
}

function StartPot({ shelf, running }: { shelf: ShelfResponse; running: readonly BatchResponse[] }) {
  const bases = shelf.bases.filter((base) => !base.retired);
  const vessels = vesselChoices(shelf.pots, useInUse());
  const [first] = bases;
  const [goods, setGoods] = useState<GoodsLine[]>(() => (first ? [newGoodsLine(newId(), first)] : []));
  const [potId, setPotId] = useState(() => firstFree(vessels)?.id ?? '');
  const [from, setFrom] = useState('');
  const [earlier, setEarlier] = useState<Readonly<Record<string, string>>>({});
  const book = useBook({ limit: 40 }).data?.rows ?? [];
  const begin = useOpenBatch();
  const navigate = useNavigate();
  const set = (id: string, changes: Partial<GoodsLine>): void =>
    setGoods(goods.map((line) => (line.id === id ? { ...line, ...changes } : line)));
  const source = running.find(({ id }) => id === from);
  const beside = source ? null : (vessels.find(({ pot }) => pot.id === potId)?.holds ?? null);
  const start = async (): Promise<void> => {
    if (!everythingReads()) return;
    try {
      const batch = await begin.mutateAsync({
        id: newId(),
        name: 'Not named yet',
        startedAt: studioNow(),
        goods,
        potId: source ? (source.formulation.pot?.id ?? null) : potId === '' ? null : potId,
        from: Object.fromEntries(
          Object.entries(earlier).filter(([line]) => goods.some(({ id }) => id === line)),
        ),
        remembered: false,
        liquidFrom: source
          ? {
              batch: source.id,
              event: outbox.aside(source.id, takenOverBy(source), momentOf(source, studioNow())),
            }
          : null,
      });
      void navigate(`/pots/${batch.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  if (!first) return <NeedsBase what="A pot" />;
  return (
    <Box sx={{ maxWidth: 620, p: 2, display: 'grid', gap: 2 }}>
      <Typography variant="h1">Start without a plan</Typography>
      {goods.map((line, i) => (
        <GoodsSentence
          key={line.id}
          line={line}
          which={goods.length === 1 ? '' : ` ${i + 1}`}
          bases={bases}
          dyedIn={earlier[line.id] ?? ''}
          book={book}
          onDyedIn={(row) => {
            const { [line.id]: _, ...rest } = earlier;
            setEarlier(row ? { ...rest, [line.id]: row.id } : rest);
            set(line.id, { dyedOverHex: row?.hex ?? null });
          }}
          onChange={(changes) => set(line.id, changes)}
          onLeaveOut={goods.length > 1 ? () => setGoods(goods.filter(({ id }) => id !== line.id)) : null}
        />
      ))}
      <Button
        sx={{ justifySelf: 'start' }}
        disabled={goods.length >= 24}
        onClick={() => setGoods([...goods, newGoodsLine(newId(), first)])}
      >
        More goods
      </Button>
      <Sentence>
        In the vessel is{' '}
        <SaidChoice
          label="What is in the vessel"
          value={from}
          options={[
            { value: '', label: 'nothing yet' },
            ...running.map((batch) => ({
              value: batch.id,
              label: `the bath of ${batch.name}, ${batch.code}`,
            })),
          ]}
          onChange={setFrom}
        />
      </Sentence>
      {source ? (
        <Typography variant="body2">
          In {source.formulation.pot?.name ?? 'its vessel'}. The bath leaves batch {source.code} with all that
          is in it now; what it had left of dye counts in no depth here.
        </Typography>
      ) : (
        <Sentence>
          It is{' '}
          <SaidChoice
            label="Vessel"
            value={potId}
            options={[{ value: '', label: 'no vessel named' }, ...vesselOptions(vessels)]}
            onChange={setPotId}
          />
        </Sentence>
      )}
      <Button variant="contained" size="large" disabled={begin.isPending} onClick={() => void start()}>
        {beside === null ? 'Begin' : `Begin beside ${beside}, both in one vessel`}
      </Button>
    </Box>
  );
}

function GoodsSentence({
  line,
  which,
  bases,
  dyedIn,
  book,
  onDyedIn,
  onChange,
  onLeaveOut,
}: {
  line: GoodsLine;
  which: string;
  bases: ShelfResponse['bases'];
  /** The earlier batch these goods come from; empty for undyed ones. */
  dyedIn: string;
  book: readonly BatchSummary[];
  onDyedIn: (row: BatchSummary | null) => void;
  onChange: (changes: Partial<GoodsLine>) => void;
  onLeaveOut: (() => void) | null;
}) {
  return (
    <Sentence>
      <SaidAmount
        label={`Count${which}`}
        kind="count"
        value={line.count}
        onChange={(count) => onChange({ count })}
      />{' '}
      ×{' '}
      <SaidAmount
        label={`Each, dry${which}`}
        kind="fiberMass"
        value={line.gramsEach}
        onChange={(gramsEach) => onChange({ gramsEach })}
      />{' '}
      <SaidChoice
        label={`Base${which}`}
        value={line.baseId}
        options={bases.map((base) => ({ value: base.id, label: base.name }))}
        onChange={(baseId) => {
          const base = bases.find(({ id }) => id === baseId);
          if (base) onChange({ baseId, gramsEach: base.putUpGrams });
        }}
      />
      ,{' '}
      <SaidChoice
        label={`These goods are${which}`}
        value={dyedIn}
        options={[
          { value: '', label: 'undyed' },
          ...book.map((row) => ({ value: row.id, label: `from batch ${row.code}, ${row.name}` })),
        ]}
        onChange={(id) => onDyedIn(book.find((row) => row.id === id) ?? null)}
      />
      {onLeaveOut && <SmallKey label={`Leave out the goods${which}`} onPress={onLeaveOut} />}
    </Sentence>
  );
}
