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
import { FigureText } from '../parts/FigureText';
import type { StageRow } from '../parts/YarnStage';
import { Further } from '../sentence/Further';
import { SmallKey } from '../sentence/SmallKey';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidColor } from '../sentence/SaidColor';
import { Sentence } from '../sentence/Sentence';
import { DraftAmount } from './DraftAmount';
import type { Draft } from './useDraft';

/** Goods as count × base × put-up or as weighed, and what they weigh. */
export function goodsRows({
  draft,
  plan,
  shelf,
  added,
}: {
  draft: Draft;
  plan: Plan;
  shelf: ShelfResponse;
  /** The line that was added a moment ago. */
  added: string | null;
}): StageRow[] {
  const { recipe } = draft.colorway;
  return recipe.goods.map((line, i): StageRow => ({
    key: line.id,
    left: <GoodsSentence draft={draft} shelf={shelf} index={i} justAdded={line.id === added} />,
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

interface GoodsSentenceProps {
  draft: Draft;
  shelf: ShelfResponse;
  index: number;
  justAdded: boolean;
}

function GoodsSentence({ draft, shelf, index, justAdded }: GoodsSentenceProps) {
  const { recipe } = draft.colorway;
  const line = recipe.goods[index];
  if (!line) return null;
  const set = (changes: Partial<GoodsLine>, written: Record<string, string> = {}): void =>
    draft.changeRecipe(
      ({ goods }) => ({
        goods: goods.map((other) => (other.id === line.id ? { ...other, ...changes } : other)),
      }),
      written,
    );
  const base = shelf.bases.find((candidate) => candidate.id === line.baseId);
  const usual =
    line.weighedGrams === null && line.form === null && line.dyedOverHex === null && !line.catchUp;
  return (
    <Sentence>
      <DraftAmount
        draft={draft}
        path={`goods.${line.id}.count`}
        label="Count"
        kind="count"
        value={line.count}
        autoFocus={justAdded}
        onChange={(count, written) => set({ count, weighedGrams: null }, written)}
      />{' '}
      ×{' '}
      <DraftAmount
        draft={draft}
        path={`goods.${line.id}.gramsEach`}
        label="Each, dry"
        kind="fiberMass"
        value={line.gramsEach}
        onChange={(gramsEach, written) => set({ gramsEach }, written)}
      />{' '}
      <SaidChoice
        label="Base"
        value={line.baseId}
        options={shelf.bases
          .filter((candidate) => !candidate.retired || candidate.id === line.baseId)
          .map((candidate) => ({ value: candidate.id, label: candidate.name }))}
        onChange={(baseId) => {
          const next = shelf.bases.find((candidate) => candidate.id === baseId);
          if (next) set({ baseId, gramsEach: next.putUpGrams, weighedGrams: null });
        }}
      />
      {index === 0 && (
        <>
          , wetted{' '}
          <DraftAmount
            draft={draft}
            path="wettingMinutes"
            label="Wet out"
            kind="minutes"
            value={recipe.wettingMinutes}
            onChange={(wettingMinutes, written) => draft.changeRecipe({ wettingMinutes }, written)}
          />
        </>
      )}{' '}
      <Further label={`More about goods line ${index + 1}`} usual={usual}>
        , weighed in all{' '}
        <DraftAmount
          draft={draft}
          path={`goods.${line.id}.weighedGrams`}
          label="Weighed, whole line"
          kind="fiberMass"
          value={line.weighedGrams ?? undefined}
          onChange={(weighedGrams, written) => set({ weighedGrams }, written)}
        />
        , as{' '}
        <SaidChoice
          label="Form"
          value={line.form ?? ''}
          options={[
            {
              value: '',
              label: base ? `${base.form}, as the base` : 'as the base',
              said: base?.form ?? 'the base is',
            },
            ...FORMS.filter((form) => form !== base?.form || form === line.form).map((form) => ({
              value: form,
              label: form,
            })),
          ]}
          onChange={(form) => set({ form: form === '' ? null : form })}
        />
        ,{' '}
        <SaidChoice
          label="Ground"
          value={line.dyedOverHex === null ? 'undyed' : 'dyed'}
          options={[
            { value: 'undyed', label: 'undyed' },
            { value: 'dyed', label: 'dyed already, overdye', said: 'dyed already' },
          ]}
          onChange={(ground) => set({ dyedOverHex: ground === 'undyed' ? null : '#9a8f6a' })}
        />{' '}
        {line.dyedOverHex !== null && (
          <SaidColor
            label="Its color"
            value={line.dyedOverHex}
            onChange={(dyedOverHex) => set({ dyedOverHex })}
          />
        )}
        {recipe.goods.length > 1 && (
          <>
            , goes in{' '}
            <SaidChoice
              label="Catch-up"
              value={line.catchUp ? 'last' : 'with'}
              options={[
                { value: 'with', label: 'with the others' },
                {
                  value: 'last',
                  label: 'last, to catch what is left; not counted in the depth',
                  said: 'last, to catch what is left',
                },
              ]}
              onChange={(when) => set({ catchUp: when === 'last' })}
            />
          </>
        )}
      </Further>
      {index > 0 && (
        <SmallKey
          label={`Leave out goods line ${index + 1}`}
          onPress={() =>
            draft.changeRecipe(({ goods }) => ({ goods: goods.filter((other) => other.id !== line.id) }))
          }
        />
      )}
    </Sentence>
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
