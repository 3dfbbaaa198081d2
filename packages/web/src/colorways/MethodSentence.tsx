import { lazy, Suspense, type ReactNode } from 'react';
import type { Pass, PassMethod, QuantityKindName, ShelfResponse } from '@ythrion/core';
import { Waiting } from '../parts/Waiting';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { DraftAmount } from './DraftAmount';
import type { Draft, Written } from './useDraft';

const OwnSteps = lazy(async () => ({ default: (await import('./OwnSteps')).OwnSteps }));

/** Just the settings that the way of this pass needs; nothing for those that need none. */
export function MethodSentence({ draft, pass, shelf }: { draft: Draft; pass: Pass; shelf: ShelfResponse }) {
  const { method } = pass;
  const set = (changes: Partial<PassMethod>, written: Written = {}): void =>
    draft.changePass(pass.id, (now) => ({ method: { ...now.method, ...changes } as PassMethod }), written);
  const amount = (
    label: string,
    kind: QuantityKindName,
    value: number,
    change: (value: number) => Partial<PassMethod>,
  ): ReactNode => (
    <DraftAmount
      key={label}
      draft={draft}
      path={`passes.${pass.id}.way.${label}`}
      label={label}
      kind={kind}
      value={value}
      onChange={(next, written) => set(change(next), written)}
    />
  );
  const pickUp = (value: number): ReactNode =>
    amount('Wet pick-up', 'pickUp', value, (pickUpMlPerG) => ({ pickUpMlPerG }));
  switch (method.kind) {
    case 'immersion':
      return null;
    case 'low immersion': {
      const { pan } = method;
      return (
        <Sentence>
          In a{' '}
          <SaidChoice
            label="Pan"
            value={pan.shape}
            options={[
              { value: 'rectangular', label: 'rectangular' },
              { value: 'round', label: 'round' },
            ]}
            onChange={(shape) =>
              set({
                pan:
                  shape === 'round'
                    ? { shape, diameterCm: 32 }
                    : { shape: 'rectangular', lengthCm: 50, widthCm: 30 },
              })
            }
          />{' '}
          pan of{' '}
          {pan.shape === 'round' ? (
            amount('Diameter', 'length', pan.diameterCm, (diameterCm) => ({ pan: { ...pan, diameterCm } }))
          ) : (
            <>
              {amount('Length', 'length', pan.lengthCm, (lengthCm) => ({ pan: { ...pan, lengthCm } }))} ×{' '}
              {amount('Width', 'length', pan.widthCm, (widthCm) => ({ pan: { ...pan, widthCm } }))}
            </>
          )}
          , wall {amount('Wall', 'length', method.wallCm, (wallCm) => ({ wallCm }))}, liquid{' '}
          {amount('Liquid stands', 'length', method.depthCm, (depthCm) => ({ depthCm }))} high, turned{' '}
          {amount('Turned', 'steps', method.turns, (turns) => ({ turns }))} times
        </Sentence>
      );
    }
    case 'cool bath':
      return (
        <Sentence>
          Left for {amount('Left for', 'minutes', method.minutes, (minutes) => ({ minutes }))} in a room of{' '}
          {amount('Room', 'roomTemperature', method.temperatureC, (temperatureC) => ({ temperatureC }))}
        </Sentence>
      );
    case 'glaze':
      return (
        <Sentence>
          Untouched for {amount('Untouched for', 'minutes', method.minutes, (minutes) => ({ minutes }))}
        </Sentence>
      );
    case 'repeated':
      return (
        <Sentence>
          The dye in {amount('Doses', 'steps', method.repeats, (repeats) => ({ repeats }))} doses,{' '}
          {amount('Between doses', 'minutes', method.minutes, (minutes) => ({ minutes }))} between them
        </Sentence>
      );
    case 'dip':
      return (
        <Sentence>
          {amount('Part in the bath', 'sharePercent', method.sharePercent, (sharePercent) => ({
            sharePercent,
          }))}{' '}
          of the length in the bath, by {amount('Steps', 'steps', method.steps, (steps) => ({ steps }))} steps
          within {amount('Time in all', 'minutes', method.minutes, (minutes) => ({ minutes }))}
        </Sentence>
      );
    case 'painting':
      return (
        <Sentence>
          Sections lie{' '}
          <SaidChoice
            label="Sections lie"
            value={method.layout}
            options={[
              { value: 'around', label: 'around the hank' },
              { value: 'across', label: 'across the hank' },
              { value: 'touches', label: 'as touches' },
            ]}
            onChange={(layout) => set({ layout })}
          />{' '}
          and take up {pickUp(method.pickUpMlPerG)} of paint
        </Sentence>
      );
    case 'sprinkle':
      return (
        <Sentence>
          Powder cut with{' '}
          {amount('Citric per g of dye', 'citricPerGram', method.citricPerGram, (citricPerGram) => ({
            citricPerGram,
          }))}{' '}
          citric to a gram of dye, on{' '}
          {amount('Covers', 'sharePercent', method.coverPercent, (coverPercent) => ({ coverPercent }))} of the
          goods, settles{' '}
          {amount('Settles', 'minutes', method.settleMinutes, (settleMinutes) => ({ settleMinutes }))}
        </Sentence>
      );
    case 'ice':
      return (
        <Sentence>
          {amount('Ice', 'iceMass', method.iceGrams, (iceGrams) => ({ iceGrams }))} of ice, melts in{' '}
          {amount('Melts in', 'minutes', method.meltMinutes, (meltMinutes) => ({ meltMinutes }))}
        </Sentence>
      );
    case 'painted stack':
      return (
        <Sentence>
          {amount('Layers', 'steps', method.layers, (layers) => ({ layers }))} layers,{' '}
          {amount('Drains to the next', 'drainPercent', method.drainPercent, (drainPercent) => ({
            drainPercent,
          }))}{' '}
          drains to the next, each takes up {pickUp(method.pickUpMlPerG)} of paint
        </Sentence>
      );
    case 'own way':
      return (
        <Suspense fallback={<Waiting />}>
          <OwnSteps draft={draft} pass={pass} method={method} shelf={shelf} />
        </Suspense>
      );
    case 'blank painting':
      return <Sentence>The blank takes up {pickUp(method.pickUpMlPerG)} of paint</Sentence>;
  }
}

/** True when a way has settings of its own. */
export const hasMethodSentence = (pass: Pass): boolean => pass.method.kind !== 'immersion';
