import { lazy, Suspense, useEffect, useState, useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  newGoodsLine,
  withNote,
  type Colorway,
  type ColorwayOnList,
  type HeatSet,
  type Notice,
  type Plan,
  type ShelfResponse,
  spoken,
} from '@ythrion/core';
import { CautionList } from '../parts/CautionList';
import { Hank } from '../parts/Hank';
import { newId } from '../parts/newId';
import { Notices } from '../parts/Notices';
import { DeferChanges } from '../parts/deferChanges';
import { SetSentence } from '../sentence/SetSentence';
import { SetResult } from '../parts/SetResult';
import { Totals } from '../parts/Totals';
import { writtenAs, writtenUnder } from '../parts/writtenUnder';
import { YarnStage, type StageRow } from '../parts/YarnStage';
import { AddPass } from './AddPass';
import { BeginBatchRow } from './BeginBatchRow';
import { FormulationHead, type Panel } from './FormulationHead';
import { goodsRows } from './goodsRows';
import { PassList } from './PassList';
import { ColorsRestOn } from '../studio/ColorsRestOn';
import { useInUse } from '../batch/useInUse';
import { useDraft, type Draft } from './useDraft';
import { usePassActions } from './usePassActions';
import { usePlan } from './usePlan';

const ExpectedColor = lazy(async () => ({ default: (await import('./ExpectedColor')).ExpectedColor }));
const HeatChart = lazy(async () => ({ default: (await import('./HeatChart')).HeatChart }));
const CompareVersions = lazy(async () => ({ default: (await import('./CompareVersions')).CompareVersions }));
const ResizeControl = lazy(async () => ({ default: (await import('./ResizeControl')).ResizeControl }));
const OldNoteForm = lazy(async () => ({ default: (await import('./OldNoteForm')).OldNoteForm }));

export interface FormulationProps {
  saved: Colorway;
  /** Its draft as it was left in this browser. */
  kept: Colorway | null;
  isNew: boolean;
  shelf: ShelfResponse;
  versions: readonly ColorwayOnList[];
}

/** The heart of the product: the yarn's way from undyed to finished, decisions left, what they come to right. */
export function Formulation({ saved, kept, isNew, shelf, versions }: FormulationProps) {
  const draft = useDraft(saved, isNew, kept);
  const { colorway } = draft;
  const { recipe } = colorway;
  const { plan, formulation, problem } = usePlan(colorway, shelf, useInUse());
  const [panel, setPanel] = useState<Panel | null>(null);
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [heat, setHeat] = useState(false);
  const [adding, setAdding] = useState(false);
  const [added, setAdded] = useState<string | null>(null);
  const toggle = (id: string): void =>
    setOpened((before) => {
      const next = new Set(before);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const actions = usePassActions(draft, shelf, (id) => {
    setAdded(id);
    toggle(id);
  });
  useUndoKeys(draft);
  const deferred = useMemo(() => ({ turned: draft.turned }), [draft.turned]);
  const seed = `${colorway.id}-${colorway.version}`;
  if (!plan || !formulation)
    return (
      <Box sx={{ display: 'grid', gap: 2, p: 3, justifyItems: 'start' }}>
        <Typography role="alert">✕ {problem}</Typography>
        <Button variant="contained" onClick={() => draft.takeUp(saved)}>
          Put the saved version back
        </Button>
      </Box>
    );
  const [first] = plan.goods;
  const finished = first?.looks.at(-1);
  const said = (about: Notice['about']): Notice[] =>
    plan.notices.filter((notice) => notice.about === about && notice.passId === null);
  const close = (): void => setPanel(null);
  return (
    <DeferChanges value={deferred}>
      <Box sx={{ pb: 3 }}>
        <FormulationHead
          draft={draft}
          isNew={isNew}
          versions={versions}
          plan={plan}
          formulation={formulation}
          panel={panel}
          onPanel={(next) => setPanel(next === panel ? null : next)}
        />
        <Totals plan={plan} currency={shelf.studio.currency} />
        {problem !== null && (
          <Typography role="alert" sx={{ px: 2, py: 0.75, fontWeight: 600, borderBottom: 1 }}>
            ✕ {problem} The figures below are those from before.
          </Typography>
        )}
        <Suspense>
          {panel === 'size' && <ResizeControl draft={draft} plan={plan} shelf={shelf} onDone={close} />}
          {panel === 'compare' && <CompareVersions versions={versions} plan={plan} shelf={shelf} />}
          {panel === 'note' && (
            <Box sx={{ px: { xs: 1.5, sm: 2 }, py: 1 }}>
              <OldNoteForm
                shelf={shelf}
                onUse={(note) => {
                  const last = recipe.passes.at(-1);
                  if (last)
                    draft.changePass(last.id, (now) => withNote(now, note, plan.wog.value, shelf, newId));
                  close();
                }}
              />
            </Box>
          )}
        </Suspense>
        <YarnStage
          title="Goods"
          end="top"
          action={<AddGoods draft={draft} shelf={shelf} onAdded={setAdded} />}
          yarn={
            <Hank
              {...(first?.looks[0] && { look: first.looks[0] })}
              seed={`${seed}-undyed`}
              label="The goods before the first pass"
              width={100}
              height={80}
            />
          }
          rows={[...goodsRows({ draft, plan, shelf, added }), ...noticeRow('goods-notices', said('goods'))]}
        />
        <PassList
          draft={draft}
          plan={plan}
          formulation={formulation}
          shelf={shelf}
          seed={seed}
          isOpen={(id) => recipe.passes.length === 1 || opened.has(id)}
          onFold={toggle}
          actions={actions}
          justAdded={added}
        />
        {adding && (
          <AddPass
            shelf={shelf}
            count={recipe.passes.length}
            actions={actions}
            onDone={() => setAdding(false)}
          />
        )}
        <YarnStage
          title="Set"
          action={
            <>
              <Button aria-expanded={adding} onClick={() => setAdding(!adding)}>
                Add a pass
              </Button>
              <Button aria-expanded={heat} onClick={() => setHeat(!heat)}>
                Heat chart
              </Button>
            </>
          }
          rows={[
            {
              key: 'set',
              left: (
                <SetSentence
                  set={recipe.set}
                  written={writtenUnder('set.', draft.colorway.asWritten)}
                  onChange={(set, written = {}) =>
                    draft.changeRecipe(
                      (now) => ({ set: { ...now.set, ...differing(recipe.set, set) } }),
                      writtenAs('set.', written),
                    )
                  }
                />
              ),
              right: <SetResult plan={plan} />,
            },
            ...noticeRow('set-notices', said('set')),
          ]}
        />
        {heat && (
          <Suspense>
            <HeatChart plan={plan} formulation={formulation} />
          </Suspense>
        )}
        <YarnStage
          title="Finished"
          end="bottom"
          yarn={
            <Hank
              shown="twisted"
              {...(finished && { look: finished })}
              seed={seed}
              label={`The finished hank of ${colorway.name}, an estimate`}
              width={84}
              height={104}
            />
          }
          rows={[
            {
              key: 'begin',
              left: <BeginBatchRow draft={draft} shelf={shelf} plan={plan} isNew={isNew} />,
              right: (
                <>
                  {finished && (
                    <Suspense>
                      <ExpectedColor look={finished} />
                    </Suspense>
                  )}
                  <ColorsRestOn looks={plan.goods.flatMap(({ looks }) => looks.at(-1) ?? [])} shelf={shelf} />
                  <CautionList names={plan.cautions} />
                </>
              ),
            },
            ...(plan.goods.length > 1
              ? [{ key: 'others', left: <OtherGoods plan={plan} seed={seed} />, right: null }]
              : []),
          ]}
        />
      </Box>
    </DeferChanges>
  );
}

/** The fields in which one set differs from another: only those are changed, whatever else is on its way. */
const differing = (before: HeatSet, after: HeatSet): Partial<HeatSet> =>
  Object.fromEntries(Object.entries(after).filter(([key, value]) => before[key as keyof HeatSet] !== value));

/** Undo and redo by the keys everybody knows, over every field of the screen. */
function useUndoKeys({ undo, redo }: Draft): void {
  useEffect(() => {
    const pressed = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const work = key === 'z' ? (event.shiftKey ? redo : undo) : key === 'y' ? redo : null;
      if (!work) return;
      event.preventDefault();
      work();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, [undo, redo]);
}

/** The same colorway on every line of goods, side by side: they must sit together. */
function OtherGoods({ plan, seed }: { plan: Plan; seed: string }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      {plan.goods.map((line) => (
        <Box component="figure" key={line.lineId} sx={{ m: 0 }}>
          <Box sx={{ bgcolor: 'booth', p: 0.5, width: 'fit-content' }}>
            <Hank
              shown="twisted"
              {...(line.looks.at(-1) && { look: line.looks.at(-1) })}
              seed={`${seed}-${line.lineId}`}
              label={`On ${line.baseName}, an estimate`}
              width={64}
              height={84}
            />
          </Box>
          <Typography component="figcaption" variant="caption">
            {line.baseName}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

interface AddGoodsProps {
  draft: Draft;
  shelf: ShelfResponse;
  onAdded: (id: string) => void;
}

/** Another line of goods in the same pot. */
function AddGoods({ draft, shelf, onAdded }: AddGoodsProps) {
  const base = shelf.bases.find((candidate) => !candidate.retired);
  if (!base) return null;
  return (
    <Button
      onClick={() => {
        const line = newGoodsLine(newId(), base);
        onAdded(line.id);
        draft.changeRecipe(({ goods }) => ({ goods: [...goods, line] }));
      }}
    >
      Add goods
    </Button>
  );
}

const noticeRow = (key: string, notices: Notice[]): StageRow[] =>
  notices.length === 0 ? [] : [{ key, left: null, right: <Notices notices={notices.map(spoken)} /> }];
