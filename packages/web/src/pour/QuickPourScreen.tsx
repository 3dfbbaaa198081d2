import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import {
  anotherQuickDye,
  DEFAULT_STUDIO,
  dyePath,
  FIRST_POUR,
  formulateColorway,
  keepQuickPour,
  keptPour,
  QUICK_ACIDS,
  QUICK_SCHOOLS,
  formatAmount,
  readingOf,
  sayDyeIn,
  spoken,
  spoonSetOf,
  type QuickPour,
  type School,
  type Studio,
} from '@ythrion/core';
import { everythingReads } from '../parts/everythingReads';
import { studioNow } from '../api/studioClock';
import { saidOf } from '../api/client';
import { useBeginBatch, useImportDocument, useShelf } from '../studio/queries';
import { AcidResult } from '../parts/AcidResult';
import { CautionList } from '../parts/CautionList';
import { FigureText } from '../parts/FigureText';
import { Hank } from '../parts/Hank';
import { newId } from '../parts/newId';
import { Notices } from '../parts/Notices';
import { PourResult } from '../parts/PourResult';
import { SetResult } from '../parts/SetResult';
import { Totals } from '../parts/Totals';
import { writtenAs, writtenUnder } from '../parts/writtenUnder';
import { YarnStage } from '../parts/YarnStage';
import { useStoredState } from '../parts/useStoredState';
import { say } from '../parts/say';
import { SaidAmount } from '../sentence/SaidAmount';
import { SaidChoice } from '../sentence/SaidChoice';
import { SaidColor } from '../sentence/SaidColor';
import { SaidDye } from '../sentence/SaidDye';
import { SaidText } from '../sentence/SaidText';
import { SaidWater } from '../sentence/SaidWater';
import { Sentence } from '../sentence/Sentence';
import { SetSentence } from '../sentence/SetSentence';
import { SmallKey } from '../sentence/SmallKey';
import { QuickAcid } from './QuickAcid';
import { useQuickPlan } from './useQuickPlan';

const FIRST_HEXES = ['#2c4f8f', '#a8324a', '#c98b1d', '#3f7a58'] as const;

/** The first thing a newcomer meets: amounts at once, no set-up. */
export function QuickPourScreen() {
  const [kept, setQuick] = useStoredState<Parameters<typeof keptPour>[0]>('quick-pour', FIRST_POUR);
  const quick = useMemo(() => keptPour(kept), [kept]);
  const change = (changes: Partial<QuickPour>, written: Record<string, string> = {}): void =>
    setQuick({ ...quick, ...changes, written: { ...quick.written, ...written } });
  const studio = useShelf().data?.studio ?? DEFAULT_STUDIO;
  const { plan, formulation, problem } = useQuickPlan(quick, studio);
  const pass = plan.passes[0];
  const setDye = (index: number, changes: Partial<QuickPour['dyes'][number]>, written = {}): void =>
    change({ dyes: quick.dyes.map((dye, i) => (i === index ? { ...dye, ...changes } : dye)) }, written);
  const [added, setAdded] = useState<string | null>(null);
  const addDye = (): void => {
    const id = `q${quick.dyes.length + 1}-${newId().slice(-6)}`;
    setAdded(id);
    change({
      dyes: [...quick.dyes, anotherQuickDye(quick, id, FIRST_HEXES[quick.dyes.length % 4] ?? FIRST_HEXES[0])],
    });
  };
  const setFor = (fiber: QuickPour['fiber']): Partial<QuickPour> =>
    fiber === 'silk' && quick.set.temperatureC > 88
      ? { fiber, set: { ...quick.set, temperatureC: 82 } }
      : { fiber };
  const reading = readingOf({ kind: 'dye', dyeId: '', strengthPercent: null }, { studio, dyes: [] });
  const sayIn = (lineId: string, to: School): void => {
    const [standing] = formulation.recipe.passes;
    const said =
      standing &&
      sayDyeIn(to, {
        pass: standing,
        lineId,
        wogGrams: plan.wog.value,
        from: formulation,
        written: quick.written,
        reading,
        spoons: spoonSetOf(studio),
      });
    if (!said) return;
    const { dyes, partsDepthPercent } = said.pass;
    const entryOf = new Map(dyes.map(({ id, entry }) => [id, entry]));
    change(
      {
        partsDepthPercent,
        dyes: quick.dyes.map((dye) => ({ ...dye, entry: entryOf.get(dye.id) ?? dye.entry })),
      },
      said.written,
    );
  };

  const look = plan.goods[0]?.looks.at(-1);
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
      <Totals plan={plan} currency={studio.currency} />
      {problem !== null && (
        <Typography role="alert" sx={{ px: 2, py: 0.75, fontWeight: 600, borderBottom: 1 }}>
          ✕ {problem} The figures below are those from before.
        </Typography>
      )}
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
              <Sentence>
                <SaidAmount
                  label="Count"
                  kind="count"
                  value={quick.count}
                  written={quick.written['goods.g1.count']}
                  onChange={(count, as) => change({ count }, { 'goods.g1.count': as })}
                />{' '}
                ×{' '}
                <SaidAmount
                  autoFocus
                  label="Yarn, dry"
                  kind="fiberMass"
                  value={quick.grams}
                  written={quick.written['goods.g1.gramsEach']}
                  onChange={(grams, as) => change({ grams }, { 'goods.g1.gramsEach': as })}
                />{' '}
                of{' '}
                <SaidChoice
                  label="Fiber"
                  value={quick.fiber}
                  options={[
                    { value: 'wool', label: 'wool' },
                    { value: 'nylon', label: 'nylon' },
                    { value: 'silk', label: 'silk' },
                  ]}
                  onChange={(fiber) => change(setFor(fiber))}
                />
                , in{' '}
                <SaidWater
                  water={quick.water}
                  planned={pass}
                  canKeep={false}
                  written={quick.written['passes.p1.water']}
                  onChange={(water, as) => {
                    // There is no bath before the only one.
                    if (water.basis !== 'kept') change({ water }, { 'passes.p1.water': as });
                  }}
                />
              </Sentence>
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
        action={
          <Button onClick={addDye} disabled={quick.dyes.length >= 4}>
            Add a dye
          </Button>
        }
        yarn={
          <Hank
            {...(look && { look })}
            seed="quick"
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
              <Sentence>
                <SaidColor
                  label={`Color of ${dye.name} at 1 %`}
                  value={dye.swatchHex}
                  onChange={(swatchHex) => setDye(i, { swatchHex })}
                />
                <SaidText
                  label="Dye"
                  value={dye.name}
                  autoFocus={dye.id === added}
                  onChange={(text) => setDye(i, { name: text })}
                  maxLength={80}
                />
                ,{' '}
                <SaidDye
                  line={{ entry: dye.entry, stockId: 'stock' }}
                  schools={QUICK_SCHOOLS}
                  reading={reading}
                  written={quick.written[dyePath(dye.id, dye.entry.school)]}
                  onChange={(entry, as) => setDye(i, { entry }, { [dyePath(dye.id, entry.school)]: as })}
                  onSchool={(to) => sayIn(dye.id, to)}
                />
                {quick.dyes.length > 1 && (
                  <SmallKey
                    label={`Leave out ${dye.name}`}
                    onPress={() => change({ dyes: quick.dyes.filter((_, j) => j !== i) })}
                  />
                )}
              </Sentence>
            ),
            right: pass?.pours[i] ? <PourResult pour={pass.pours[i]} /> : null,
          })),
          {
            key: 'stock',
            left: (
              <Sentence>
                {quick.dyes.some(({ entry }) => entry.school === 'parts') && (
                  <>
                    All parts together are{' '}
                    <SaidAmount
                      label="All parts together"
                      kind="dos"
                      value={quick.partsDepthPercent}
                      written={quick.written['passes.p1.partsDepthPercent']}
                      onChange={(partsDepthPercent, as) =>
                        change({ partsDepthPercent }, { 'passes.p1.partsDepthPercent': as })
                      }
                    />{' '}
                    depth,{' '}
                  </>
                )}
                from stock of{' '}
                <SaidAmount
                  label="Stock strength"
                  kind="stockStrength"
                  context={reading}
                  value={quick.strengthPercent}
                  onChange={(strengthPercent) => change({ strengthPercent })}
                />
              </Sentence>
            ),
            right: (
              <Typography variant="body2" color="text.secondary">
                {formatAmount(quick.strengthPercent, 'g')} of powder in every 100 mL of stock.
              </Typography>
            ),
          },
          {
            key: 'acid',
            left: (
              <QuickAcid
                acid={quick.acid ?? QUICK_ACIDS.vinegar}
                studio={studio}
                written={quick.written['passes.p1.acid.acid1']}
                onChange={(acid, as) => change({ acid }, { 'passes.p1.acid.acid1': as })}
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
              <SetSentence
                set={quick.set}
                written={writtenUnder('set.', quick.written)}
                onChange={(set, as = {}) => change({ set }, writtenAs('set.', as))}
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
            shown="twisted"
            {...(look && { look })}
            seed="quick"
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
function KeepIt({ quick, studio }: { quick: QuickPour; studio: Studio }) {
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
        loadOf: null,
        startedAt: studioNow(),
        formulation: formulateColorway(colorway, { ...document, studio }),
      });
      void navigate(`/pots/${batch.id}`);
    } catch (error) {
      say(saidOf(error));
    }
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Sentence>
        Called{' '}
        <SaidText
          label="Name"
          value={name}
          onChange={setName}
          maxLength={80}
          placeholder="what you will call it"
        />
      </Sentence>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={take.isPending} onClick={() => void keep(true)}>
          Dye it now
        </Button>
        <Button variant="outlined" disabled={take.isPending} onClick={() => void keep(false)}>
          Keep as a colorway
        </Button>
      </Box>
    </Box>
  );
}
