import {
  SET_METHOD_NAMES,
  setMethodFacts,
  usualSet,
  type HeatSet,
  type QuantityKindName,
  type SetMethod,
} from '@ythrion/core';
import { capital } from './capital';
import { Further } from './Further';
import { SaidAmount } from './SaidAmount';
import { SaidChoice } from './SaidChoice';
import { Sentence } from './Sentence';

const METHODS = SET_METHOD_NAMES.map((value) => ({
  value,
  label: setMethodFacts(value).label,
  said: capital(setMethodFacts(value).label),
}));

export interface SetSentenceProps {
  set: HeatSet;
  /** What was typed for its amounts, by their names. */
  written?: Partial<Record<keyof HeatSet, string>>;
  onChange: (set: HeatSet, written?: Partial<Record<keyof HeatSet, string>>) => void;
}

/** How the dye is set: a way, a temperature, a hold, the cooling in place, and what that way needs besides. */
export function SetSentence({ set, written, onChange }: SetSentenceProps) {
  const inPot = set.method === 'simmer';
  const wrapped = set.method === 'steam' || set.method === 'oven' || set.method === 'microwave';
  const amount = (
    label: string,
    kind: QuantityKindName,
    name: 'temperatureC' | 'minutes' | 'coolMinutes' | 'rampCPerMin' | 'bundleCm',
  ) => (
    <SaidAmount
      label={label}
      kind={kind}
      value={set[name]}
      written={written?.[name]}
      onChange={(value, as) => onChange({ ...set, [name]: value }, { [name]: as })}
    />
  );
  return (
    <Sentence>
      <SaidChoice<SetMethod>
        label="Set by"
        value={set.method}
        options={METHODS}
        onChange={(method) => onChange(usualSet(method))}
      />{' '}
      at {amount('Temperature', 'temperature', 'temperatureC')} for {amount('Hold', 'minutes', 'minutes')},
      then cool in place {amount('Cool in place', 'minutes', 'coolMinutes')}
      {wrapped && (
        <>
          , wrap{' '}
          <SaidChoice
            label="Wrap"
            value={set.wrap}
            options={[
              { value: 'vented', label: 'vented' },
              { value: 'none', label: 'none' },
              { value: 'sealed', label: 'sealed' },
            ]}
            onChange={(wrap) => onChange({ ...set, wrap })}
          />
        </>
      )}
      {set.method === 'steam' && <>, bundles {amount('Thickness', 'length', 'bundleCm')} thick</>}
      {wrapped && (
        <Further label="When it is set" usual={!set.waits}>
          ,{' '}
          <SaidChoice
            label="It is set"
            value={set.waits ? 'later' : 'now'}
            options={[
              { value: 'now', label: 'at once' },
              { value: 'later', label: 'later, kept damp in a bag until others are' },
            ]}
            onChange={(when) => onChange({ ...set, waits: when === 'later' })}
          />
        </Further>
      )}
      {inPot && (
        <Further label="More about the set" usual={set.rampCPerMin === usualSet('simmer').rampCPerMin}>
          , rising {amount('Rise', 'rampRate', 'rampCPerMin')}
        </Further>
      )}
    </Sentence>
  );
}
