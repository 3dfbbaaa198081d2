import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import {
  formulate,
  newGoodsLine,
  planFormulation,
  type Colorway,
  type ColorwayOnList,
  type ShelfResponse,
} from '@ythrion/core';
import { CautionList } from '../parts/CautionList';
import { Hank } from '../parts/Hank';
import { newId } from '../parts/newId';
import { Notices } from '../parts/Notices';
import { SetFields } from '../parts/SetFields';
import { SetResult } from '../parts/SetResult';
import { Totals } from '../parts/Totals';
import { YarnStage } from '../parts/YarnStage';
import { BeginBatchRow } from './BeginBatchRow';
import { FormulationHead } from './FormulationHead';
import { goodsRows } from './goodsRows';
import { PassStage } from './PassStage';
import { useDraft, type Draft } from './useDraft';

export interface FormulationProps {
  saved: Colorway;
  isNew: boolean;
  shelf: ShelfResponse;
  versions: readonly ColorwayOnList[];
}

/** The heart of the product: the yarn's way from undyed to finished, decisions left, what they come to right. */
export function Formulation({ saved, isNew, shelf, versions }: FormulationProps) {
  const draft = useDraft(saved, isNew);
  const { colorway } = draft;
  const plan = useMemo(
    () => planFormulation(formulate(colorway.name, colorway.recipe, shelf), shelf.stockLeft),
    [colorway, shelf],
  );
  const said = (about: string): string[] =>
    plan.notices.filter((notice) => notice.about === about).map((notice) => notice.text);
  const seed = `${colorway.id}-${colorway.version}`;
  const [first] = plan.goods;
  return (
    <Box sx={{ pb: 3 }}>
      <FormulationHead draft={draft} isNew={isNew} versions={versions} />
      <Totals plan={plan} currency={shelf.studio.currency} />
      <YarnStage
        title="Goods"
        end="top"
        action={<AddGoods draft={draft} shelf={shelf} />}
        yarn={
          <Hank
            hex={first?.undyedHex ?? '#efe9dc'}
            seed={`${seed}-undyed`}
            label="The undyed goods"
            width={100}
            height={84}
          />
        }
        rows={[...goodsRows({ draft, plan, shelf }), ...noticeRow('goods-notices', said('goods'))]}
      />
      <PassStage
        draft={draft}
        plan={plan}
        shelf={shelf}
        notices={[...said('pass'), ...said('acid')]}
        seed={seed}
      />
      <YarnStage
        title="Set"
        rows={[
          {
            key: 'set',
            left: <SetFields set={colorway.recipe.set} onChange={(set) => draft.changeRecipe({ set })} />,
            right: <SetResult plan={plan} />,
          },
          ...noticeRow('set-notices', said('set')),
        ]}
      />
      <YarnStage
        title="Finished"
        end="bottom"
        yarn={
          <Hank
            form="twisted"
            hex={first?.dyedHex ?? '#efe9dc'}
            seed={seed}
            label={`The finished hank of ${colorway.name}, an estimate`}
            width={84}
            height={112}
            unevenness={0.25}
          />
        }
        rows={[
          {
            key: 'begin',
            left: <BeginBatchRow draft={draft} shelf={shelf} plan={plan} isNew={isNew} />,
            right: <CautionList names={plan.cautions} />,
          },
        ]}
      />
    </Box>
  );
}

/** Another line of goods in the same pot. */
function AddGoods({ draft, shelf }: { draft: Draft; shelf: ShelfResponse }) {
  const base = shelf.bases.find((candidate) => !candidate.retired);
  if (!base) return null;
  return (
    <Button
      onClick={() =>
        draft.changeRecipe({ goods: [...draft.colorway.recipe.goods, newGoodsLine(newId(), base)] })
      }
    >
      Add goods
    </Button>
  );
}

const noticeRow = (key: string, texts: string[]) =>
  texts.length === 0 ? [] : [{ key, left: null, right: <Notices texts={texts} /> }];
