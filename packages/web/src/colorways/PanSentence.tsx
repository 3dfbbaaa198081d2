import type { ReactNode } from 'react';
import type { MethodOf, PassMethod, QuantityKindName, ShelfResponse } from '@ythrion/core';
import { Further } from '../sentence/Further';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';

export interface PanSentenceProps {
  method: MethodOf<'low immersion'>;
  shelf: ShelfResponse;
  /** A field of this way. */
  amount: (
    label: string,
    kind: QuantityKindName,
    value: number,
    change: (value: number) => Partial<PassMethod>,
  ) => ReactNode;
  set: (changes: Partial<MethodOf<'low immersion'>>) => void;
}

/** The pan that goods lie flat in, how much liquid stands in it, and what happens to their back. */
export function PanSentence({ method, shelf, amount, set }: PanSentenceProps) {
  const { pan, liquidMl } = method;
  const measured = shelf.pots.filter(({ floor, retired }) => floor !== null && !retired);
  const mine = measured.find(({ floor }) => JSON.stringify(floor) === JSON.stringify(pan));
  return (
    <Sentence>
      In{' '}
      <SaidChoice
        label="Pan"
        value={mine?.id ?? pan.shape}
        options={[
          ...measured.map(({ id, name }) => ({ value: id, label: name })),
          { value: 'rectangular', label: 'a rectangular pan' },
          { value: 'round', label: 'a round pan' },
        ]}
        onChange={(chosen) => {
          const pot = measured.find(({ id }) => id === chosen);
          if (pot?.floor) set({ pan: pot.floor, ...(pot.wallCm !== null && { wallCm: pot.wallCm }) });
          else
            set({
              pan:
                chosen === 'round'
                  ? { shape: 'round', diameterCm: 32 }
                  : { shape: 'rectangular', lengthCm: 50, widthCm: 30 },
            });
        }}
      />{' '}
      of{' '}
      {pan.shape === 'round' ? (
        amount('Diameter', 'length', pan.diameterCm, (diameterCm) => ({ pan: { ...pan, diameterCm } }))
      ) : (
        <>
          {amount('Length', 'length', pan.lengthCm, (lengthCm) => ({ pan: { ...pan, lengthCm } }))} ×{' '}
          {amount('Width', 'length', pan.widthCm, (widthCm) => ({ pan: { ...pan, widthCm } }))}
        </>
      )}
      , wall {amount('Wall', 'length', method.wallCm, (wallCm) => ({ wallCm }))}, liquid{' '}
      {liquidMl === null ? (
        <>{amount('Liquid stands', 'length', method.depthCm, (depthCm) => ({ depthCm }))} high</>
      ) : (
        amount('Liquid in all', 'volume', liquidMl, (next) => ({ liquidMl: next }))
      )}
      <Further label="More about the liquid" usual={liquidMl === null}>
        ,{' '}
        <SaidChoice
          label="Liquid goes"
          value={liquidMl === null ? 'height' : 'measure'}
          options={[
            { value: 'height', label: 'by its height' },
            { value: 'measure', label: 'by the cup or liter' },
          ]}
          onChange={(by) => set({ liquidMl: by === 'height' ? null : 2000 })}
        />
      </Further>
      , turned {amount('Turned', 'steps', method.turns, (turns) => ({ turns }))} times
      <Further label="More about the back" usual={method.backPercent === 0}>
        , the back gets{' '}
        {amount('The back gets', 'backPercent', method.backPercent, (backPercent) => ({ backPercent }))} of
        what the front got, after{' '}
        {amount('Before it is turned', 'minutes', method.frontMinutes, (frontMinutes) => ({ frontMinutes }))}
      </Further>
    </Sentence>
  );
}
