import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import {
  DEFAULT_STUDIO,
  formulate,
  keepQuickPour,
  planFormulation,
  QUICK_ACIDS,
  quickFormulation,
  usualSet,
  type QuickPour,
  type Studio,
  spoken,
} from '@ythrion/core';
import { everythingReads } from '../parts/everythingReads';
import { studioNow } from '../api/studioClock';
import { saidOf } from '../api/client';
import { useBeginBatch, useImportDocument, useShelf } from '../studio/queries';
import { AcidResult } from '../parts/AcidResult';
import { CautionList } from '../parts/CautionList';
import { Choice } from '../parts/Choice';
import { FigureText } from '../parts/FigureText';
import { Hank } from '../parts/Hank';
import { newId } from '../parts/newId';
import { Notices } from '../parts/Notices';
import { PourResult } from '../parts/PourResult';
import { QuantityField } from '../parts/QuantityField';
import { SetFields } from '../parts/SetFields';
import { SetResult } from '../parts/SetResult';
import { TextLine } from '../parts/TextLine';
import { Totals } from '../parts/Totals';
import { YarnStage } from '../parts/YarnStage';
import { QuickAcid } from './QuickAcid';
import { useStoredState } from '../parts/useStoredState';
import { say } from '../parts/say';

const FIRST_HEXES = ['#2c4f8f', '#a8324a', '#c98b1d', '#3f7a58'] as const;
const START: QuickPour = {
  fiber: 'wool',
  grams: 100,
  strengthPercent: 1,
  liquorRatio: 30,
  acid: QUICK_ACIDS.vinegar,
  set: usualSet('simmer'),
  dyes: [{ id: 'q1', name: 'First dye', swatchHex: FIRST_HEXES[0], dosPercent: 0.5 }],
};

/** A quick pour as this browser keeps it, with what was typed for its amounts. */
type KeptPour = QuickPour & { written?: Record<string, string> };

/** The first thing a newcomer meets: amounts at once, no set-up. */
export function QuickPourScreen() {
  const [quick, setQuick] = useStoredState<KeptPour>('quick-pour', START);
  const change = (changes: Partial<QuickPour>, written: Record<string, string> = {}): void =>
    setQuick({ ...quick, ...changes, written: { ...quick.written, ...written } });
  const studio = useShelf().data?.studio;
  const currency = studio?.currency ?? '';
  const plan = useMemo(
    () => planFormulation(quickFormulation(quick, (what) => what, studio)),
    [quick, studio],
  );
  const pass = plan.passes[0];
  const setDye = (index: number, changes: Partial<QuickPour['dyes'][number]>, written = {}): void =>
    change({ dyes: quick.dyes.map((dye, i) => (i === index ? { ...dye, ...changes } : dye)) }, written);
  const addDye = (): void =>
    change({
      dyes: [
        ...quick.dyes,
        {
          id: `q${quick.dyes.length + 1}-${newId().slice(-6)}`,
          name: `Dye ${quick.dyes.length + 1}`,
          swatchHex: FIRST_HEXES[quick.dyes.length % 4] ?? FIRST_HEXES[0],
          dosPercent: 0.25,
        },
      ],
    });
  const setFor = (fiber: QuickPour['fiber']): Partial<QuickPour> =>
    fiber === 'silk' && quick.set.temperatureC > 88
      ? { fiber, set: { ...quick.set, temperatureC: 82 } }
      : { fiber };

  return (
    <Box sx={{ pb: 3 }}>
      <Box
        sx={{
          px: { xs: 1.5, sm: 2 },
          pt: 1.5,
          pb: 0.5,
          display: 'flex',
          gap: 2,
          alignItems: 'baseline',
          flexWrap: 'wrap',
        }}
      >
        <Typography variant="h1">Pour</Typography>
        <Typography variant="body2" color="text.secondary">
          Yarn, depth and stock in; what to pour comes out. Write amounts as you say them: 4 oz, 2 tbsp + 1
          tsp, 200F.
        </Typography>
      </Box>
      <Totals plan={plan} currency={currency} />
      <YarnStage
        title="Goods"
        end="top"
        yarn={
          <Hank
            hex={plan.goods[0]?.undyedHex ?? '#efe9dc'}
            seed="quick-undyed"
            label="Undyed yarn"
            width={104}
            height={92}
          />
        }
        rows={[
          {
            key: 'goods',
            left: (
              <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr 1fr' }}>
                <QuantityField
                  autoFocus
                  label="Yarn, dry"
                  kind="fiberMass"
                  value={quick.grams}
                  written={quick.written?.grams}
                  onChange={(grams, as) => change({ grams }, { grams: as })}
                />
                <Choice
                  label="Fiber"
                  value={quick.fiber}
                  options={[
                    { value: 'wool', label: 'wool' },
                    { value: 'nylon', label: 'nylon' },
                    { value: 'silk', label: 'silk' },
                  ]}
                  onChange={(fiber) => change(setFor(fiber))}
                />
                <QuantityField
                  label="Liquor ratio"
                  kind="liquorRatio"
                  value={quick.liquorRatio}
                  written={quick.written?.liquorRatio}
                  onChange={(liquorRatio, as) => change({ liquorRatio }, { liquorRatio: as })}
                />
              </Box>
            ),
            right: (
              <Typography variant="body2" component="div">
                {pass && (
                  <>
                    <FigureText figure={pass.water} name="Water to run" px={24} /> water, for a bath of{' '}
                    <FigureText figure={pass.bath} name="Bath" />
                  </>
                )}
                . Wet the yarn out 30 min first.
              </Typography>
            ),
          },
        ]}
      />
      <YarnStage
        title="Dye"
        yarn={
          <Hank
            hex={plan.goods[0]?.dyedHex ?? '#efe9dc'}
            seed={`quick-${plan.goods[0]?.dyedHex ?? ''}`}
            label="The yarn in this recipe’s color, an estimate"
            width={120}
            height={150}
            unevenness={0.3}
          />
        }
        rows={[
          ...quick.dyes.map((dye, i) => ({
            key: dye.id,
            left: (
              <Box
                sx={{
                  display: 'grid',
                  gap: 1,
                  gridTemplateColumns: quick.dyes.length > 1 ? '68px 1fr 1fr 44px' : '68px 1fr 1fr',
                }}
              >
                <TextLine
                  label="Color"
                  type="color"
                  value={dye.swatchHex}
                  onChange={(swatchHex) => setDye(i, { swatchHex })}
                  input={{ 'aria-label': `Color of ${dye.name} at 1 %`, style: { padding: 4, height: 28 } }}
                />
                <TextLine
                  label="Dye"
                  value={dye.name}
                  onChange={(text) => setDye(i, { name: text })}
                  maxLength={80}
                />
                <QuantityField
                  label="Depth of shade"
                  kind="dos"
                  value={dye.dosPercent}
                  written={quick.written?.[dye.id]}
                  onChange={(dosPercent, as) => setDye(i, { dosPercent }, { [dye.id]: as })}
                />
                {quick.dyes.length > 1 && (
                  <Button
                    aria-label={`Leave out ${dye.name}`}
                    onClick={() => change({ dyes: quick.dyes.filter((_, j) => j !== i) })}
                    sx={{ minWidth: 44, px: 0 }}
                  >
                    ✕
                  </Button>
                )}
              </Box>
            ),
            right: pass?.pours[i] ? <PourResult pour={pass.pours[i]} /> : null,
          })),
          {
            key: 'stock',
            left: (
              <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr', alignItems: 'start' }}>
                <QuantityField
                  label="Stock strength"
                  kind="stockStrength"
                  value={quick.strengthPercent}
                  written={quick.written?.strengthPercent}
                  onChange={(strengthPercent, as) => change({ strengthPercent }, { strengthPercent: as })}
                />
                <Button variant="outlined" onClick={addDye} disabled={quick.dyes.length >= 4}>
                  Add a dye
                </Button>
              </Box>
            ),
            right: (
              <Typography variant="body2" color="text.secondary">
                {quick.strengthPercent} g of powder in every 100 mL of stock.
              </Typography>
            ),
          },
          {
            key: 'acid',
            left: (
              <QuickAcid
                acid={quick.acid ?? QUICK_ACIDS.vinegar}
                studio={studio ?? DEFAULT_STUDIO}
                written={quick.written?.acid}
                onChange={(acid, as) => change({ acid }, { acid: as })}
              />
            ),
            right: <AcidResult acid={pass?.acids[0] ?? null} phWindow={pass?.phWindow ?? [3.5, 5]} />,
          },
        ]}
      />
      <YarnStage
        title="Set"
        rows={[
          {
            key: 'set',
            left: (
              <SetFields
                set={quick.set}
                written={quick.written ?? {}}
                onChange={(set, written) => change({ set }, written)}
              />
            ),
            right: <SetResult plan={plan} />,
          },
        ]}
      />
      <YarnStage
        title="Keep it"
        end="bottom"
        yarn={
          <Hank
            form="twisted"
            hex={plan.goods[0]?.dyedHex ?? '#efe9dc'}
            seed={`quick-${plan.goods[0]?.dyedHex ?? ''}`}
            label="The finished hank"
            width={84}
            height={120}
            unevenness={0.3}
          />
        }
        rows={[
          {
            key: 'keep',
            left: <KeepIt quick={quick} studio={studio} />,
            right: <Notices notices={plan.notices.map(spoken)} />,
          },
          { key: 'mind', left: <CautionList names={plan.cautions} />, right: null },
        ]}
      />
    </Box>
  );
}

/** Turns the quick pour into a colorway, or straight into a batch. */
function KeepIt({ quick, studio }: { quick: QuickPour; studio: Studio | undefined }) {
  const [name, setName] = useState('');
  const take = useImportDocument();
  const begin = useBeginBatch();
  const navigate = useNavigate();
  const keep = async (asBatch: boolean): Promise<void> => {
    if (!everythingReads()) return;
    const made = new Map<string, string>();
    const idFor = (what: string): string => made.get(what) ?? made.set(what, newId()).get(what) ?? what;
    try {
      const { document, colorway } = keepQuickPour(quick, name.trim() || 'Unnamed pour', idFor);
      await take.mutateAsync(document);
      if (!asBatch) return void navigate(`/colorways/${colorway.id}`);
      const batch = await begin.mutateAsync({
        id: newId(),
        name: colorway.name,
        colorwayId: colorway.id,
        colorwayVersion: 1,
        againOf: null,
        startedAt: studioNow(),
        formulation: formulate(colorway.name, colorway.recipe, { ...document, studio }),
      });
      void navigate(`/pots/${batch.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', lg: '1.2fr 1.1fr 0.8fr' } }}>
      <TextLine
        label="Name"
        value={name}
        onChange={setName}
        maxLength={80}
        placeholder="what you will call it"
      />
      <Button variant="outlined" disabled={take.isPending} onClick={() => void keep(false)}>
        Keep as a colorway
      </Button>
      <Button variant="contained" disabled={take.isPending} onClick={() => void keep(true)}>
        Dye it now
      </Button>
    </Box>
  );
}
