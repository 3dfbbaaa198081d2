import { lazy, Suspense, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import type { Pass, PassMethod, QuantityKindName, ShelfResponse } from '@ythrion/core';
import { Choice } from '../parts/Choice';
import { Waiting } from '../parts/Waiting';
import { DraftAmount } from './DraftAmount';
import type { Draft, Written } from './useDraft';

const OwnSteps = lazy(async () => ({ default: (await import('./OwnSteps')).OwnSteps }));

/** Just the settings that the way of this pass needs; nothing for those that need none. */
export function MethodFields({ draft, pass, shelf }: { draft: Draft; pass: Pass; shelf: ShelfResponse }) {
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
  switch (method.kind) {
    case 'immersion':
      return null;
    case 'low immersion': {
      const { pan } = method;
      return (
        <Fields>
          <Choice
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
          />
          {pan.shape === 'round'
            ? amount('Diameter', 'length', pan.diameterCm, (diameterCm) => ({ pan: { ...pan, diameterCm } }))
            : [
                amount('Length', 'length', pan.lengthCm, (lengthCm) => ({ pan: { ...pan, lengthCm } })),
                amount('Width', 'length', pan.widthCm, (widthCm) => ({ pan: { ...pan, widthCm } })),
              ]}
          {amount('Wall', 'length', method.wallCm, (wallCm) => ({ wallCm }))}
          {amount('Liquid stands', 'length', method.depthCm, (depthCm) => ({ depthCm }))}
          {amount('Turned', 'steps', method.turns, (turns) => ({ turns }))}
        </Fields>
      );
    }
    case 'cool bath':
      return (
        <Fields>
          {amount('Left for', 'minutes', method.minutes, (minutes) => ({ minutes }))}
          {amount('Room', 'roomTemperature', method.temperatureC, (temperatureC) => ({ temperatureC }))}
        </Fields>
      );
    case 'glaze':
      return (
        <Fields>{amount('Untouched for', 'minutes', method.minutes, (minutes) => ({ minutes }))}</Fields>
      );
    case 'repeated':
      return (
        <Fields>
          {amount('Doses', 'steps', method.repeats, (repeats) => ({ repeats }))}
          {amount('Between doses', 'minutes', method.minutes, (minutes) => ({ minutes }))}
        </Fields>
      );
    case 'dip':
      return (
        <Fields>
          {amount('Part in the bath', 'sharePercent', method.sharePercent, (sharePercent) => ({
            sharePercent,
          }))}
          {amount('Steps', 'steps', method.steps, (steps) => ({ steps }))}
          {amount('Time in all', 'minutes', method.minutes, (minutes) => ({ minutes }))}
        </Fields>
      );
    case 'painting':
      return (
        <Fields>
          <Choice
            label="Sections lie"
            value={method.layout}
            options={[
              { value: 'around', label: 'around the hank' },
              { value: 'across', label: 'across the hank' },
              { value: 'touches', label: 'touches' },
            ]}
            onChange={(layout) => set({ layout })}
          />
          {amount('Wet pick-up', 'pickUp', method.pickUpMlPerG, (pickUpMlPerG) => ({ pickUpMlPerG }))}
        </Fields>
      );
    case 'sprinkle':
      return (
        <Fields>
          {amount('Citric per g of dye', 'citricPerGram', method.citricPerGram, (citricPerGram) => ({
            citricPerGram,
          }))}
          {amount('Covers', 'sharePercent', method.coverPercent, (coverPercent) => ({ coverPercent }))}
          {amount('Settles', 'minutes', method.settleMinutes, (settleMinutes) => ({ settleMinutes }))}
        </Fields>
      );
    case 'ice':
      return (
        <Fields>
          {amount('Ice', 'iceMass', method.iceGrams, (iceGrams) => ({ iceGrams }))}
          {amount('Melts in', 'minutes', method.meltMinutes, (meltMinutes) => ({ meltMinutes }))}
        </Fields>
      );
    case 'painted stack':
      return (
        <Fields>
          {amount('Layers', 'steps', method.layers, (layers) => ({ layers }))}
          {amount('Drains to the next', 'drainPercent', method.drainPercent, (drainPercent) => ({
            drainPercent,
          }))}
          {amount('Wet pick-up', 'pickUp', method.pickUpMlPerG, (pickUpMlPerG) => ({ pickUpMlPerG }))}
        </Fields>
      );
    case 'own way':
      return (
        <Suspense fallback={<Waiting />}>
          <OwnSteps draft={draft} pass={pass} method={method} shelf={shelf} />
        </Suspense>
      );
    case 'blank painting':
      return (
        <Fields>
          {amount('Wet pick-up', 'pickUp', method.pickUpMlPerG, (pickUpMlPerG) => ({ pickUpMlPerG }))}
        </Fields>
      );
  }
}

/** True when a way has settings of its own. */
export const hasMethodFields = (pass: Pass): boolean => pass.method.kind !== 'immersion';

function Fields({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: { xs: '1fr 1fr', lg: 'repeat(auto-fit, minmax(84px, 1fr))' },
        alignItems: 'start',
      }}
    >
      {children}
    </Box>
  );
}
