import { lazy, Suspense, type ReactNode } from 'react';
import {
  ICED_ON,
  STREWN_BY,
  STREWN_ON,
  type Pass,
  type PassMethod,
  type QuantityKindName,
  type SectionOrder,
  type ShelfResponse,
} from '@ythrion/core';
import { Waiting } from '../parts/Waiting';
import { Further } from '../sentence/Further';
import { SaidChoice } from '../sentence/SaidChoice';
import { Sentence } from '../sentence/Sentence';
import { DraftAmount } from './DraftAmount';
import { PanSentence } from './PanSentence';
import type { Draft, Written } from './useDraft';

const OwnSteps = lazy(async () => ({ default: (await import('./OwnSteps')).OwnSteps }));

const ORDERS = [
  { value: 'once', label: 'one after the other' },
  { value: 'backwards', label: 'the same backwards' },
  { value: 'twice', label: 'all of them twice' },
  { value: 'mirrored', label: 'there and back, mirrored' },
] as const;

const plain = <T extends string>(words: readonly T[]): { value: T; label: string }[] =>
  words.map((value) => ({ value, label: value }));

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
  const order = (value: SectionOrder): ReactNode => (
    <SaidChoice label="In order" value={value} options={ORDERS} onChange={(next) => set({ order: next })} />
  );
  const back = (value: number): ReactNode => (
    <Further label="More about the back" usual={value === 0}>
      , and its back gets {amount('The back gets', 'backPercent', value, (backPercent) => ({ backPercent }))}{' '}
      of what the front got
    </Further>
  );
  switch (method.kind) {
    case 'immersion':
      return null;
    case 'low immersion':
      return <PanSentence method={method} shelf={shelf} amount={amount} set={set} />;
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
          Untouched for {amount('Untouched for', 'minutes', method.minutes, (minutes) => ({ minutes }))},{' '}
          <SaidChoice
            label="The ring under it"
            value={method.heatToC === null ? 'cold' : 'on'}
            options={[
              { value: 'cold', label: 'cold' },
              { value: 'on', label: 'the ring on from cold' },
            ]}
            onChange={(ring) => set({ heatToC: ring === 'cold' ? null : 60 })}
          />
          {method.heatToC !== null && (
            <> up to {amount('Up to', 'temperature', method.heatToC, (heatToC) => ({ heatToC }))}</>
          )}
        </Sentence>
      );
    case 'repeated':
      return method.sections.length > 0 ? null : (
        <Sentence>
          The dye in {amount('Doses', 'steps', method.repeats, (repeats) => ({ repeats }))} doses,{' '}
          {amount('Between doses', 'minutes', method.minutes, (minutes) => ({ minutes }))} between them
        </Sentence>
      );
    case 'dip':
      return (
        <Sentence>
          {method.sections.length === 0 && (
            <>
              {amount('Part in the bath', 'sharePercent', method.sharePercent, (sharePercent) => ({
                sharePercent,
              }))}{' '}
              of the length in the bath,{' '}
            </>
          )}
          <SaidChoice
            label="Dipped"
            value={method.lowered ? 'lowered' : 'lifted'}
            options={[
              { value: 'lifted', label: 'in full, then lifted' },
              { value: 'lowered', label: 'the end first, then deeper' },
            ]}
            onChange={(how) => set({ lowered: how === 'lowered' })}
          />
          , by {amount('Steps', 'steps', method.steps, (steps) => ({ steps }))} steps within{' '}
          {amount('Time in all', 'minutes', method.minutes, (minutes) => ({ minutes }))}
          {method.sections.length > 0 && ' for each end'}
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
          />
          {method.layout !== 'touches' && <>, {order(method.order)}</>}, and take up{' '}
          {pickUp(method.pickUpMlPerG)} of paint{back(method.backPercent)}
        </Sentence>
      );
    case 'sprinkle':
      return (
        <Sentence>
          Powder cut with{' '}
          {amount('Citric per g of dye', 'citricPerGram', method.citricPerGram, (citricPerGram) => ({
            citricPerGram,
          }))}{' '}
          citric to a gram of dye, by{' '}
          <SaidChoice
            label="Strewn by"
            value={method.by}
            options={plain(STREWN_BY)}
            onChange={(by) => set({ by })}
          />
          , on {amount('Covers', 'sharePercent', method.coverPercent, (coverPercent) => ({ coverPercent }))}{' '}
          of the goods{' '}
          <SaidChoice
            label="Goods lie"
            value={method.on}
            options={plain(STREWN_ON)}
            onChange={(on) => set({ on })}
          />
          , settles{' '}
          {amount('Settles', 'minutes', method.settleMinutes, (settleMinutes) => ({ settleMinutes }))},{' '}
          <SaidChoice
            label="Sides"
            value={method.bothSides ? 'both' : 'one'}
            options={[
              { value: 'one', label: 'on one side' },
              { value: 'both', label: 'then again on the other side' },
            ]}
            onChange={(sides) => set({ bothSides: sides === 'both' })}
          />
        </Sentence>
      );
    case 'ice':
      return (
        <Sentence>
          {amount('Ice', 'iceMass', method.iceGrams, (iceGrams) => ({ iceGrams }))} of ice over goods on{' '}
          <SaidChoice
            label="Goods lie on"
            value={method.on}
            options={plain(ICED_ON)}
            onChange={(on) => set({ on })}
          />
          , melts in {amount('Melts in', 'minutes', method.meltMinutes, (meltMinutes) => ({ meltMinutes }))}
          {pass.acids.some(({ when }) => when !== 'start' && when !== 'soak') && (
            <>
              ; the acid after it works{' '}
              {amount('The acid works', 'minutes', method.acidMinutes, (acidMinutes) => ({ acidMinutes }))}
            </>
          )}
        </Sentence>
      );
    case 'painted stack':
      return (
        <Sentence>
          {amount('Layers', 'steps', method.layers, (layers) => ({ layers }))} layers in{' '}
          {amount('Rounds', 'steps', method.rounds, (rounds) => ({ rounds }))} rounds,{' '}
          {method.sections.length === 0 && (
            <>
              {amount('Drains to the next', 'drainPercent', method.drainPercent, (drainPercent) => ({
                drainPercent,
              }))}{' '}
              drains to the next,{' '}
            </>
          )}
          each takes up {pickUp(method.pickUpMlPerG)} of paint,{' '}
          <SaidChoice
            label="The pile"
            value={method.flip ? 'flipped' : 'left'}
            options={[
              { value: 'left', label: 'left as it lies' },
              { value: 'flipped', label: 'flipped at the end' },
            ]}
            onChange={(pile) => set({ flip: pile === 'flipped' })}
          />
        </Sentence>
      );
    case 'own way':
      return (
        <Suspense fallback={<Waiting />}>
          <OwnSteps draft={draft} pass={pass} method={method} shelf={shelf} />
        </Suspense>
      );
    case 'blank painting':
      return (
        <Sentence>
          Stripes lie {order(method.order)} and take up {pickUp(method.pickUpMlPerG)} of paint
          {back(method.backPercent)}
        </Sentence>
      );
  }
}

/** True when a way has settings of its own. */
export const hasMethodSentence = ({ method }: Pass): boolean =>
  method.kind !== 'immersion' && !(method.kind === 'repeated' && method.sections.length > 0);
