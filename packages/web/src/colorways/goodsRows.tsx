import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { newGoodsLine, type GoodsLine, type Plan, type ShelfResponse } from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
import { newId } from '../parts/newId';
import { QuantityField } from '../parts/QuantityField';
import type { StageRow } from '../parts/YarnStage';
import type { Draft } from './useDraft';

/** Goods as count × base × put-up, and what they weigh. */
export function goodsRows({
  draft,
  plan,
  shelf,
}: {
  draft: Draft;
  plan: Plan;
  shelf: ShelfResponse;
}): StageRow[] {
  const { recipe, asWritten } = draft.colorway;
  const setLine = (index: number, changes: Partial<GoodsLine>, written: Record<string, string> = {}): void =>
    draft.changeRecipe(
      { goods: recipe.goods.map((line, i) => (i === index ? { ...line, ...changes } : line)) },
      written,
    );
  const options = shelf.bases
    .filter((base) => !base.retired || recipe.goods.some((line) => line.baseId === base.id))
    .map((base) => ({ value: base.id, label: base.name }));
  const setBase = (index: number, baseId: string): void => {
    const base = shelf.bases.find((candidate) => candidate.id === baseId);
    if (base) setLine(index, { baseId, gramsEach: base.putUpGrams });
  };
  const addLine = (): void => {
    const base = shelf.bases.find((candidate) => !candidate.retired);
    if (base) draft.changeRecipe({ goods: [...recipe.goods, newGoodsLine(newId(), base)] });
  };
  const lines = recipe.goods.map((line, i): StageRow => {
    const path = `goods.${line.id}.gramsEach`;
    return {
      key: line.id,
      left: (
        <Box
          sx={{
            display: 'grid',
            gap: 1,
            gridTemplateColumns: recipe.goods.length > 1 ? '84px 1.5fr 1fr 44px' : '84px 1.5fr 1fr',
            alignItems: 'start',
          }}
        >
          <QuantityField
            label="Count"
            kind="count"
            value={line.count}
            onChange={(count) => setLine(i, { count })}
          />
          <Choice
            label="Base"
            value={line.baseId}
            options={options}
            onChange={(baseId) => setBase(i, baseId)}
          />
          <QuantityField
            label="Each, dry"
            kind="fiberMass"
            value={line.gramsEach}
            written={asWritten[path]}
            onChange={(gramsEach, as) => setLine(i, { gramsEach }, { [path]: as })}
          />
          {recipe.goods.length > 1 && (
            <Button
              aria-label={`Leave out goods line ${i + 1}`}
              sx={{ minWidth: 44, px: 0 }}
              onClick={() => draft.changeRecipe({ goods: recipe.goods.filter((_, j) => j !== i) })}
            >
              ✕
            </Button>
          )}
        </Box>
      ),
      right:
        i === 0 ? (
          <GoodsResult plan={plan} />
        ) : plan.goods[i] ? (
          <FigureText figure={plan.goods[i].grams} name={`Mass of ${plan.goods[i].baseName}`} />
        ) : null,
    };
  });
  const wetting: StageRow = {
    key: 'wetting',
    left: (
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr', alignItems: 'start' }}>
        <QuantityField
          label="Wet out"
          kind="minutes"
          value={recipe.wettingMinutes}
          onChange={(wettingMinutes) => draft.changeRecipe({ wettingMinutes })}
        />
        <Button variant="outlined" onClick={addLine}>
          Add goods
        </Button>
      </Box>
    ),
    right: (
      <Typography variant="body2" color="text.secondary">
        {recipe.wettingMinutes === 0
          ? 'Goods go in dry, on purpose: expect tonal change.'
          : 'Wet out in plain water with a drop of wetting agent, so that the dye strikes evenly.'}
      </Typography>
    ),
  };
  return [...lines, wetting];
}

function GoodsResult({ plan }: { plan: Plan }) {
  return (
    <Typography variant="body2" component="div">
      <FigureText figure={plan.wog} name="Weight of goods" px={24} /> of goods ·{' '}
      <FigureText figure={plan.dyeablePercent} name="Share that takes acid dye" /> takes dye
    </Typography>
  );
}
