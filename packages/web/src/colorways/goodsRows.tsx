import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  fiberWords,
  formatAmount,
  FORMS,
  setWindow,
  type Base,
  type GoodsLine,
  type Plan,
  type PlannedGoods,
  type ShelfResponse,
} from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
import { QuantityField } from '../parts/QuantityField';
import { TextLine } from '../parts/TextLine';
import type { StageRow } from '../parts/YarnStage';
import { Tick } from '../parts/Tick';
import { DraftAmount } from './DraftAmount';
import type { Draft } from './useDraft';

/** Goods as count × base × put-up or as weighed, and what they weigh. */
export function goodsRows({
  draft,
  plan,
  shelf,
}: {
  draft: Draft;
  plan: Plan;
  shelf: ShelfResponse;
}): StageRow[] {
  const { recipe } = draft.colorway;
  return recipe.goods.map((line, i): StageRow => ({
    key: line.id,
    left: <GoodsFields draft={draft} shelf={shelf} index={i} />,
    right:
      i === 0 ? (
        <GoodsResult
          plan={plan}
          dry={recipe.wettingMinutes === 0}
          base={shelf.bases.find((base) => base.id === line.baseId)}
        />
      ) : (
        <LineResult
          goods={plan.goods.find((goods) => goods.lineId === line.id)}
          base={shelf.bases.find((base) => base.id === line.baseId)}
        />
      ),
  }));
}

function GoodsFields({ draft, shelf, index }: { draft: Draft; shelf: ShelfResponse; index: number }) {
  const { recipe, asWritten } = draft.colorway;
  const line = recipe.goods[index];
  const [more, setMore] = useState(
    line
      ? line.weighedGrams !== null || line.form !== null || line.dyedOverHex !== null || line.catchUp
      : false,
  );
  if (!line) return null;
  const set = (changes: Partial<GoodsLine>, written: Record<string, string> = {}): void =>
    draft.changeRecipe(
      ({ goods }) => ({
        goods: goods.map((other) => (other.id === line.id ? { ...other, ...changes } : other)),
      }),
      written,
    );
  const base = shelf.bases.find((candidate) => candidate.id === line.baseId);
  const path = `goods.${line.id}.gramsEach`;
  const options = shelf.bases
    .filter((candidate) => !candidate.retired || candidate.id === line.baseId)
    .map((candidate) => ({ value: candidate.id, label: candidate.name }));
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box
        sx={{
          display: 'grid',
          gap: 1,
          gridTemplateColumns: { xs: '72px 1fr', lg: '70px 1.6fr 0.9fr 0.9fr 76px' },
          alignItems: 'start',
        }}
      >
        <DraftAmount
          draft={draft}
          path={`goods.${line.id}.count`}
          label="Count"
          kind="count"
          value={line.count}
          onChange={(count, written) => set({ count, weighedGrams: null }, written)}
        />
        <Choice
          label="Base"
          value={line.baseId}
          options={options}
          onChange={(baseId) => {
            const next = shelf.bases.find((candidate) => candidate.id === baseId);
            if (next) set({ baseId, gramsEach: next.putUpGrams, weighedGrams: null });
          }}
        />
        <QuantityField
          label="Each, dry"
          kind="fiberMass"
          value={line.gramsEach}
          written={asWritten[path]}
          onChange={(gramsEach, as) => set({ gramsEach }, { [path]: as })}
        />
        {index === 0 ? (
          <DraftAmount
            draft={draft}
            path="wettingMinutes"
            label="Wet out"
            kind="minutes"
            value={recipe.wettingMinutes}
            onChange={(wettingMinutes, written) => draft.changeRecipe({ wettingMinutes }, written)}
          />
        ) : (
          <Button
            aria-label={`Leave out goods line ${index + 1}`}
            onClick={() =>
              draft.changeRecipe(({ goods }) => ({ goods: goods.filter((other) => other.id !== line.id) }))
            }
          >
            Leave out
          </Button>
        )}
        <Button
          aria-expanded={more}
          aria-label={`More about goods line ${index + 1}`}
          onClick={() => setMore(!more)}
          sx={{ px: 0.5, minWidth: 0 }}
        >
          {more ? 'Less' : 'More'}
        </Button>
      </Box>
      {more && (
        <Box
          sx={{
            display: 'grid',
            gap: 1,
            gridTemplateColumns: { xs: '1fr 1fr', lg: '1fr 1fr 1.3fr auto' },
            alignItems: 'start',
          }}
        >
          <DraftAmount
            draft={draft}
            path={`goods.${line.id}.weighedGrams`}
            label="Weighed, whole line"
            kind="fiberMass"
            value={line.weighedGrams ?? undefined}
            onChange={(weighedGrams, written) => set({ weighedGrams }, written)}
          />
          <Choice
            label="Form"
            value={line.form ?? ''}
            options={[
              { value: '', label: base ? `${base.form}, as the base` : 'as the base' },
              ...FORMS.filter((form) => form !== base?.form || form === line.form).map((form) => ({
                value: form,
                label: form,
              })),
            ]}
            onChange={(form) => set({ form: form === '' ? null : form })}
          />
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: line.dyedOverHex === null ? '1fr' : '1fr 60px',
              gap: 1,
            }}
          >
            <Choice
              label="Ground"
              value={line.dyedOverHex === null ? 'undyed' : 'dyed'}
              options={[
                { value: 'undyed', label: 'undyed' },
                { value: 'dyed', label: 'dyed already, overdye' },
              ]}
              onChange={(ground) => set({ dyedOverHex: ground === 'undyed' ? null : '#9a8f6a' })}
            />
            {line.dyedOverHex !== null && (
              <TextLine
                label="Its color"
                type="color"
                value={line.dyedOverHex}
                onChange={(dyedOverHex) => set({ dyedOverHex })}
              />
            )}
          </Box>
          {recipe.goods.length > 1 && (
            <Tick
              label="Catch-up"
              checked={line.catchUp}
              onChange={(catchUp) => set({ catchUp })}
              title="Goes in last to catch what is left; not counted in the depth"
            />
          )}
        </Box>
      )}
    </Box>
  );
}

function GoodsResult({ plan, dry, base }: { plan: Plan; dry: boolean; base: Base | undefined }) {
  return (
    <Typography variant="body2" component="div">
      <FigureText figure={plan.wog} name="Weight of goods" px={24} /> of goods ·{' '}
      <FigureText figure={plan.dyeablePercent} name="Share that takes acid dye" /> takes dye
      {dry && ' · goes in dry: expect tonal change'}
      {base && <Handling base={base} />}
    </Typography>
  );
}

function LineResult({ goods, base }: { goods: PlannedGoods | undefined; base: Base | undefined }) {
  if (!goods) return null;
  return (
    <Typography variant="body2" component="div">
      <FigureText figure={goods.grams} name={`Mass of ${goods.baseName}`} />
      {goods.catchUp && ' goes in last, to catch what is left'}
      {base && <Handling base={base} />}
    </Typography>
  );
}

/** What the fibers of a base ask for. */
function Handling({ base }: { base: Base }) {
  const window = setWindow(base.fibers);
  return (
    <Typography variant="caption" component="div" color="text.secondary">
      {fiberWords(base)}
      {window && ` · sets at ${formatAmount(window.low, '°C').replace(' °C', '')} to ${window.high} °C`}
    </Typography>
  );
}
