import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type GoodsLine, type Plan, type ShelfResponse } from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
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
  const lines = recipe.goods.map((line, i): StageRow => {
    const path = `goods.${line.id}.gramsEach`;
    return {
      key: line.id,
      left: (
        <Box
          sx={{
            display: 'grid',
            gap: 1,
            gridTemplateColumns: { xs: '72px 1fr', lg: '76px 1.7fr 1fr 1fr' },
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
          {i === 0 && (
            <QuantityField
              label="Wet out"
              kind="minutes"
              value={recipe.wettingMinutes}
              onChange={(wettingMinutes) => draft.changeRecipe({ wettingMinutes })}
            />
          )}
          {i > 0 && (
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
          <GoodsResult plan={plan} dry={recipe.wettingMinutes === 0} />
        ) : plan.goods[i] ? (
          <FigureText figure={plan.goods[i].grams} name={`Mass of ${plan.goods[i].baseName}`} />
        ) : null,
    };
  });
  return lines;
}

function GoodsResult({ plan, dry }: { plan: Plan; dry: boolean }) {
  return (
    <Typography variant="body2" component="div">
      <FigureText figure={plan.wog} name="Weight of goods" px={24} /> of goods ·{' '}
      <FigureText figure={plan.dyeablePercent} name="Share that takes acid dye" /> takes dye
      {dry && ' · goes in dry: expect tonal change'}
    </Typography>
  );
}
