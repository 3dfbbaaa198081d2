import { jarWords, type Dye, type Stock } from '@ythrion/core';
import { Choice } from '../../parts/Choice';
import type { AgainDraft } from './useAgain';

/** The jar, or the powder, that each dye comes from now. */
export function JarsNow({
  draft: { to, change, made },
  dyes,
  stocks,
}: {
  draft: AgainDraft;
  dyes: readonly Dye[];
  stocks: readonly Stock[];
}) {
  return [...(made?.jars ?? [])].map(([dyeId, stockId]) => (
    <Choice
      key={dyeId}
      label={`${dyes.find(({ id }) => id === dyeId)?.name ?? 'Dye'} from`}
      value={stockId ?? ''}
      options={[
        ...stocks
          .filter((stock) => stock.dyeId === dyeId && (!stock.retired || stock.id === stockId))
          .map((stock) => ({ value: stock.id, label: `stock ${jarWords(stock)}` })),
        { value: '', label: 'powder, weighed' },
      ]}
      onChange={(jar) => change({ stockFor: { ...to.stockFor, [dyeId]: jar === '' ? null : jar } })}
    />
  ));
}
