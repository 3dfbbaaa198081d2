import { beginCup, cupFor, newGoodsLine, type Cup, type ShelfResponse } from '@ythrion/core';
import type { EnterAtCup } from '../batch/useCup';
import { newId } from '../parts/newId';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';

interface CupForProps {
  cup: Cup;
  shelf: ShelfResponse;
  enter: EnterAtCup;
}

/** What a cup is for, and how large it is: as a sentence. */
export function CupFor({ cup, shelf, enter }: CupForProps) {
  const { goods } = cup;
  const bases = shelf.bases.filter(({ retired, id }) => !retired || id === goods?.baseId);
  const choose = (baseId: string, count: number, gramsEach: number): void => {
    const base = bases.find(({ id }) => id === baseId);
    if (!base) return;
    const line = { ...newGoodsLine(newId(), base), count, gramsEach };
    void enter(() => [cupFor(line, base, shelf.studio.water)]);
  };
  return (
    <Sentence>
      {'For '}
      {goods && (
        <>
          <SaidAmount
            label="Count"
            kind="count"
            value={goods.count}
            onChange={(count) => choose(goods.baseId, count, goods.grams / goods.count)}
          />
          {' × '}
          <SaidAmount
            label="Each, dry"
            kind="fiberMass"
            value={goods.grams / goods.count}
            onChange={(gramsEach) => choose(goods.baseId, goods.count, gramsEach)}
          />{' '}
        </>
      )}
      <SaidChoice
        label="Base"
        value={goods?.baseId ?? ''}
        options={[
          ...(goods ? [] : [{ value: '', label: 'goods not chosen yet' }]),
          ...bases.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(baseId) => {
          const base = bases.find(({ id }) => id === baseId);
          if (base) choose(baseId, goods?.count ?? 1, base.putUpGrams);
        }}
      />
      {', in a cup of '}
      <SaidAmount
        label="The cup holds"
        kind="volume"
        value={cup.capacityMl ?? undefined}
        onChange={(capacityMl) => void enter(() => [beginCup(cup.name, capacityMl)])}
      />
    </Sentence>
  );
}
