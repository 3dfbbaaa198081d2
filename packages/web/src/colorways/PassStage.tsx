import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  formatAmount,
  jarFor,
  jarWords,
  newDyeLine,
  QUICK_ACIDS,
  type AcidBasis,
  type DyeLine,
  type Pass,
  type Plan,
  type ShelfResponse,
  type Water,
} from '@ythrion/core';
import { AcidFields } from '../parts/AcidFields';
import { AcidResult } from '../parts/AcidResult';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
import { Hank } from '../parts/Hank';
import { LadderStrip } from '../parts/LadderStrip';
import { newId } from '../parts/newId';
import { Notices } from '../parts/Notices';
import { PourResult } from '../parts/PourResult';
import { QuantityField } from '../parts/QuantityField';
import { YarnStage, type StageRow } from '../parts/YarnStage';
import type { Draft } from './useDraft';

export interface PassStageProps {
  draft: Draft;
  plan: Plan;
  shelf: ShelfResponse;
  notices: string[];
  seed: string;
}

/** The pass: dyes, water and acid on the left; pours, water to run and acid to add on the right. */
export function PassStage({ draft, plan, shelf, notices, seed }: PassStageProps) {
  const { recipe, asWritten } = draft.colorway;
  const pass = recipe.passes[0];
  const planned = plan.passes[0];
  if (!pass || !planned) return null;
  const change = (changes: Partial<Pass>, written: Record<string, string> = {}): void =>
    draft.changeRecipe({ passes: [{ ...pass, ...changes }] }, written);
  const setDye = (index: number, changes: Partial<DyeLine>, written: Record<string, string> = {}): void =>
    change({ dyes: pass.dyes.map((line, i) => (i === index ? { ...line, ...changes } : line)) }, written);
  const restate = (basis: AcidBasis): number => {
    const acid = planned.acid;
    if (!acid) return pass.acid?.value ?? 0;
    return Number(
      (basis === 'gPerL'
        ? acid.gPerL
        : basis === 'percentOfGoods'
          ? acid.percentOfGoods
          : acid.amount
      ).value.toPrecision(6),
    );
  };
  const acidPath = `passes.${pass.id}.acid`;
  const rows: StageRow[] = [
    ...pass.dyes.map((line, i): StageRow => ({
      key: line.id,
      left: (
        <DyeFields
          line={line}
          shelf={shelf}
          written={asWritten[`dyes.${line.id}.dosPercent`]}
          onChange={(changes, written) => setDye(i, changes, written)}
          onRemove={
            pass.dyes.length > 1 ? () => change({ dyes: pass.dyes.filter((_, j) => j !== i) }) : undefined
          }
        />
      ),
      right: planned.pours[i] ? <PourResult pour={planned.pours[i]} /> : null,
    })),
    {
      key: 'water',
      left: (
        <WaterFields
          water={pass.water}
          bathMl={planned.bath.value}
          ratio={planned.liquorRatio.value}
          onChange={(water) => change({ water })}
        />
      ),
      right: (
        <Typography variant="body2" component="div">
          <FigureText figure={planned.water} name="Water to run" px={20} /> water, for a bath of{' '}
          <FigureText figure={planned.bath} name="Bath" />,{' '}
          <FigureText figure={planned.liquorRatio} name="Liquor ratio" />
        </Typography>
      ),
    },
    {
      key: 'acid',
      left: (
        <AcidFields
          dose={pass.acid}
          written={asWritten[acidPath]}
          restate={restate}
          fallback={QUICK_ACIDS.vinegar}
          onChange={(acid, written) => change({ acid }, { [acidPath]: written })}
        />
      ),
      right: <AcidResult acid={planned.acid} />,
    },
    ...(notices.length > 0 ? [{ key: 'notices', left: null, right: <Notices texts={notices} /> }] : []),
  ];
  return (
    <YarnStage
      title="Pass 1, immersion"
      action={
        <Button
          onClick={() =>
            change({
              dyes: [
                ...pass.dyes,
                newDyeLine(
                  newId(),
                  shelf,
                  pass.dyes.map((dye) => dye.dyeId),
                ),
              ],
            })
          }
        >
          Add a dye
        </Button>
      }
      summary={`${pass.dyes.length} ${pass.dyes.length === 1 ? 'dye' : 'dyes'}, ${formatAmount(planned.dos.value, '%')}`}
      yarn={
        <Hank
          hex={plan.goods[0]?.dyedHex ?? '#efe9dc'}
          seed={seed}
          label="The goods after this pass, an estimate"
          width={124}
          height={150}
          unevenness={0.25}
        />
      }
      rows={rows}
    />
  );
}

interface DyeFieldsProps {
  line: DyeLine;
  shelf: ShelfResponse;
  written?: string | undefined;
  onChange: (changes: Partial<DyeLine>, written?: Record<string, string>) => void;
  onRemove?: (() => void) | undefined;
}

function DyeFields({ line, shelf, written, onChange, onRemove }: DyeFieldsProps) {
  const dye = shelf.dyes.find((candidate) => candidate.id === line.dyeId);
  const dyes = shelf.dyes
    .filter((candidate) => !candidate.retired || candidate.id === line.dyeId)
    .map((candidate) => ({ value: candidate.id, label: `${candidate.name} ${candidate.code}`.trim() }));
  const jars = shelf.stocks.filter(
    (stock) => stock.dyeId === line.dyeId && (!stock.retired || stock.id === line.stockId),
  );
  const from = [
    ...jars.map((stock) => ({
      value: stock.id,
      label: `${jarWords(stock)}, ${formatAmount(shelf.stockLeft[stock.id] ?? 0, 'mL')} left`,
    })),
    { value: '', label: 'powder, weighed' },
  ];
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        alignItems: 'start',
        gridTemplateColumns: { xs: '1fr 1fr', lg: '62px 1.25fr 0.75fr 1.5fr 44px' },
      }}
    >
      <Box sx={{ display: { xs: 'none', lg: 'block' }, pt: 0.75 }}>
        {dye && (
          <LadderStrip
            swatchHex={dye.swatchHex}
            swatchDosPercent={dye.swatchDosPercent}
            width={62}
            height={30}
          />
        )}
      </Box>
      <Choice
        label="Dye"
        value={line.dyeId}
        options={dyes}
        onChange={(dyeId) => onChange({ dyeId, stockId: jarFor(shelf, dyeId) })}
      />
      <QuantityField
        label="Depth"
        kind="dos"
        value={line.dosPercent}
        written={written}
        onChange={(dosPercent, as) => onChange({ dosPercent }, { [`dyes.${line.id}.dosPercent`]: as })}
      />
      <Choice
        label="From"
        value={line.stockId ?? ''}
        options={from}
        onChange={(stockId) => onChange({ stockId: stockId === '' ? null : stockId })}
      />
      {onRemove && (
        <Button
          aria-label={`Leave out ${dye?.name ?? 'this dye'}`}
          onClick={onRemove}
          sx={{ minWidth: 44, px: 0 }}
        >
          ✕
        </Button>
      )}
    </Box>
  );
}

interface WaterFieldsProps {
  water: Water;
  bathMl: number;
  ratio: number;
  onChange: (water: Water) => void;
}

function WaterFields({ water, bathMl, ratio, onChange }: WaterFieldsProps) {
  const byRatio = water.basis === 'ratio';
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: '1fr 1fr',
        alignItems: 'start',
      }}
    >
      <QuantityField
        key={water.basis}
        label={byRatio ? 'Liquor ratio' : 'Bath'}
        kind={byRatio ? 'liquorRatio' : 'volume'}
        value={water.value}
        onChange={(value) => onChange({ ...water, value })}
      />
      <Choice
        label="Water by"
        value={water.basis}
        options={[
          { value: 'ratio', label: 'liquor ratio' },
          { value: 'volume', label: 'volume of bath' },
        ]}
        onChange={(basis) =>
          onChange(
            basis === 'ratio'
              ? { basis, value: Number(ratio.toPrecision(6)) }
              : { basis, value: Number(bathMl.toPrecision(6)) },
          )
        }
      />
    </Box>
  );
}
