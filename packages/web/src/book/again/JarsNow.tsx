import { jarWords, type Dye, type Stock } from '@ythrion/core';
import { SaidChoice } from '../../sentence/SaidChoice';
import { Sentence } from '../../sentence/Sentence';
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
  const nameOf = (dyeId: string): string => dyes.find(({ id }) => id === dyeId)?.name ?? 'Dye';
  return [...(made?.jars ?? [])].map(([dyeId, stockId]) => (
    <Sentence key={dyeId}>
      {nameOf(dyeId)} from{' '}
      <SaidChoice
        label={`${nameOf(dyeId)} from`}
        value={stockId ?? ''}
        options={[
          ...stocks
            .filter((stock) => stock.dyeId === dyeId && (!stock.retired || stock.id === stockId))
            .map((stock) => ({
              value: stock.id,
              label: `stock ${jarWords(stock)}`,
              said: `the ${jarWords(stock)} jar`,
            })),
          { value: '', label: 'powder, weighed' },
        ]}
        onChange={(jar) => change({ stockFor: { ...to.stockFor, [dyeId]: jar === '' ? null : jar } })}
      />
    </Sentence>
  ));
}
