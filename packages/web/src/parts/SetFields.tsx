import Box from '@mui/material/Box';
import { SET_METHOD_NAMES, setMethodFacts, usualSet, type HeatSet, type SetMethod } from '@ythrion/core';
import { Choice } from './Choice';
import { QuantityField } from './QuantityField';

const METHODS = SET_METHOD_NAMES.map((value) => ({ value, label: setMethodFacts(value).label }));

export interface SetFieldsProps {
  set: HeatSet;
  /** What was typed for its amounts, by their names. */
  written?: Partial<Record<keyof HeatSet, string>>;
  onChange: (set: HeatSet, written?: Partial<Record<keyof HeatSet, string>>) => void;
}

/** How the dye is set: a way, a temperature, a hold, the cooling in place, and what that way needs besides. */
export function SetFields({ set, written, onChange }: SetFieldsProps) {
  const inPot = set.method === 'simmer';
  const wrapped = set.method === 'steam' || set.method === 'oven' || set.method === 'microwave';
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: {
          xs: '1fr 1fr',
          lg: `1.2fr 0.95fr 0.9fr 1fr${inPot || wrapped ? ' 0.95fr' : ''}`,
        },
        alignItems: 'start',
      }}
    >
      <Choice<SetMethod>
        label="Set by"
        value={set.method}
        options={METHODS}
        onChange={(method) => onChange(usualSet(method))}
      />
      <QuantityField
        label="Temperature"
        kind="temperature"
        value={set.temperatureC}
        written={written?.temperatureC}
        onChange={(temperatureC, as) => onChange({ ...set, temperatureC }, { temperatureC: as })}
      />
      <QuantityField
        label="Hold"
        kind="minutes"
        value={set.minutes}
        written={written?.minutes}
        onChange={(minutes, as) => onChange({ ...set, minutes }, { minutes: as })}
      />
      <QuantityField
        label="Cool in place"
        kind="minutes"
        value={set.coolMinutes}
        written={written?.coolMinutes}
        onChange={(coolMinutes, as) => onChange({ ...set, coolMinutes }, { coolMinutes: as })}
      />
      {inPot && (
        <QuantityField
          label="Rise"
          kind="rampRate"
          value={set.rampCPerMin}
          written={written?.rampCPerMin}
          onChange={(rampCPerMin, as) => onChange({ ...set, rampCPerMin }, { rampCPerMin: as })}
        />
      )}
      {wrapped && (
        <Choice
          label="Wrap"
          value={set.wrap}
          options={[
            { value: 'vented', label: 'vented' },
            { value: 'none', label: 'none' },
            { value: 'sealed', label: 'sealed' },
          ]}
          onChange={(wrap) => onChange({ ...set, wrap })}
        />
      )}
      {set.method === 'steam' && (
        <QuantityField
          label="Thickness"
          kind="length"
          value={set.bundleCm}
          written={written?.bundleCm}
          onChange={(bundleCm, as) => onChange({ ...set, bundleCm }, { bundleCm: as })}
        />
      )}
    </Box>
  );
}
