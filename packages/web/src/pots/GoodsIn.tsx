import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { goodsIn, goodsOf, newGoodsLine, type Base, type GoodsLine } from '@ythrion/core';
import { newId } from '../parts/newId';
import { NeedsBase } from '../parts/NeedsBase';
import { useRunning } from '../studio/queries';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import type { ChangeProps } from './changeProps';

const FOR = [
  { value: 'along', label: 'to be dyed with the others' },
  { value: 'catch', label: 'to catch what is left in the bath' },
] as const;

/** Goods that nobody had planned go in: a spare skein, a mini, a mop, or the yarn of another batch. */
export function GoodsIn({ batch, state, shelf, change, onDone }: ChangeProps) {
  const bases = shelf.bases.filter((base) => !base.retired);
  const own = goodsOf(batch.card)[0]?.baseId;
  const first = bases.find(({ id }) => id === own) ?? bases[0];
  const [line, setLine] = useState<GoodsLine | null>(() => (first ? newGoodsLine(newId(), first) : null));
  const [purpose, setPurpose] = useState<(typeof FOR)[number]['value']>('catch');
  const [from, setFrom] = useState('');
  const others = (useRunning().data ?? []).filter(({ id }) => id !== batch.id);
  if (!line) return <NeedsBase what="More goods" />;
  const known: readonly Base[] = [...bases, ...others.flatMap(({ formulation }) => formulation.bases)];
  const base = known.find(({ id }) => id === line.baseId);
  const take = (id: string): void => {
    setFrom(id);
    const goods = others.find((other) => other.id === id);
    const theirs = goods && goodsOf(goods.card)[0];
    if (theirs)
      setLine({
        ...line,
        baseId: theirs.baseId,
        count: theirs.count,
        gramsEach: theirs.grams / theirs.count,
      });
  };
  const put = async (): Promise<void> => {
    if (!base) return;
    const coming = { line: { ...line, catchUp: purpose === 'catch' }, base, from: from === '' ? null : from };
    if (await change(() => goodsIn(batch, state.pass, coming), `${line.count} × ${base.name}: in.`)) onDone();
  };
  return (
    <Box
      component="section"
      aria-label="Goods in"
      sx={{ px: { xs: 1.5, sm: 2 }, py: 1.5, borderTop: 2, borderColor: 'text.primary' }}
    >
      <Typography variant="h1" component="h2" sx={{ fontSize: 22, mb: 1 }}>
        Goods in
      </Typography>
      <Sentence>
        <SaidAmount
          label="Count"
          kind="count"
          value={line.count}
          onChange={(count) => setLine({ ...line, count })}
        />{' '}
        ×{' '}
        <SaidAmount
          label="Each, dry"
          kind="fiberMass"
          value={line.gramsEach}
          onChange={(gramsEach) => setLine({ ...line, gramsEach })}
        />{' '}
        <SaidChoice
          label="Base"
          value={line.baseId}
          options={known
            .filter(({ id }, i) => known.findIndex((one) => one.id === id) === i)
            .map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(baseId) =>
            setLine({
              ...line,
              baseId,
              gramsEach: known.find(({ id }) => id === baseId)?.putUpGrams ?? line.gramsEach,
            })
          }
        />
        {others.length > 0 && (
          <>
            ,{' '}
            <SaidChoice
              label="They come from"
              value={from}
              options={[
                { value: '', label: 'off the shelf' },
                ...others.map((other) => ({
                  value: other.id,
                  label: `from batch ${other.code}, ${other.name}`,
                })),
              ]}
              onChange={take}
            />
          </>
        )}
        , <SaidChoice label="They go in" value={purpose} options={FOR} onChange={setPurpose} />
      </Sentence>
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button variant="contained" size="large" onClick={() => void put()}>
          They are in
        </Button>
        <Button size="large" onClick={onDone}>
          Not now
        </Button>
      </Box>
    </Box>
  );
}
