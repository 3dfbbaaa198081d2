import Box from '@mui/material/Box';
import { SET_METHOD_NAMES, setMethodFacts, usualSet, type HeatSet, type SetMethod } from '@ythrion/core';
import { Choice } from './Choice';
import { QuantityField } from './QuantityField';

const METHODS = SET_METHOD_NAMES.map((value) => ({ value, label: setMethodFacts(value).label }));

export interface SetFieldsProps {
  set: HeatSet;
  onChange: (set: HeatSet) => void;
}

/** How the dye is set: a way, a temperature, a hold, and the cooling in place. */
export function SetFields({ set, onChange }: SetFieldsProps) {
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr 1fr', lg: '1.3fr 1fr 1fr 1fr' } }}>
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
        onChange={(temperatureC) => onChange({ ...set, temperatureC })}
      />
      <QuantityField
        label="Hold"
        kind="minutes"
        value={set.minutes}
        onChange={(minutes) => onChange({ ...set, minutes })}
      />
      <QuantityField
        label="Cool in place"
        kind="minutes"
        value={set.coolMinutes}
        onChange={(coolMinutes) => onChange({ ...set, coolMinutes })}
      />
    </Box>
  );
}
