import Typography from '@mui/material/Typography';
import { goodsThen, type Base, type GoodsAgain } from '@ythrion/core';
import { SaidAmount } from '../../sentence/SaidAmount';
import { SaidChoice } from '../../sentence/SaidChoice';
import { Sentence } from '../../sentence/Sentence';
import { SmallKey } from '../../sentence/SmallKey';
import type { AgainDraft } from './useAgain';

/** Every line of goods of then, with what it is now. */
export function GoodsNow({ draft, bases }: { draft: AgainDraft; bases: readonly Base[] }) {
  const { to, change, folded } = draft;
  const lines = goodsThen(folded);
  const set = (line: string, changes: Partial<GoodsAgain>): void =>
    change({ goods: to.goods.map((other) => (other.line === line ? { ...other, ...changes } : other)) });
  return lines.map((then, i) => {
    const now = to.goods.find(({ line }) => line === then.line);
    const which = lines.length === 1 ? '' : ` ${i + 1}`;
    if (!now)
      return (
        <Typography key={then.line} variant="body2">
          {then.name} is left out.
        </Typography>
      );
    return (
      <Sentence key={then.line}>
        <SaidAmount
          autoFocus={i === 0}
          label={`Count${which}`}
          kind="count"
          value={now.count}
          onChange={(count) => set(then.line, { count, weighedGrams: null })}
        />{' '}
        ×{' '}
        <SaidAmount
          label={`Each, dry${which}`}
          kind="fiberMass"
          value={now.weighedGrams === null ? now.gramsEach : now.weighedGrams / now.count}
          onChange={(gramsEach) => set(then.line, { gramsEach, weighedGrams: null })}
        />{' '}
        of{' '}
        <SaidChoice
          label={`Base${which}`}
          value={now.baseId}
          options={bases
            .filter((base) => !base.retired || base.id === now.baseId)
            .map((base) => ({ value: base.id, label: base.name }))}
          onChange={(baseId) => {
            const base = bases.find(({ id }) => id === baseId);
            if (base) set(then.line, { baseId, gramsEach: base.putUpGrams, weighedGrams: null });
          }}
        />
        {to.goods.length > 1 && (
          <SmallKey
            label={`Leave ${then.name} out`}
            onPress={() => change({ goods: to.goods.filter(({ line }) => line !== then.line) })}
          />
        )}
      </Sentence>
    );
  });
}
