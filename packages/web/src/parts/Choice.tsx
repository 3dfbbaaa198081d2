import { useId } from 'react';
import FormControl from '@mui/material/FormControl';
import FormHelperText from '@mui/material/FormHelperText';
import InputLabel from '@mui/material/InputLabel';
import NativeSelect from '@mui/material/NativeSelect';
import OutlinedInput from '@mui/material/OutlinedInput';

export interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  problem?: string | undefined;
}

/** One of a few, as the platform's own list: the surest thing under a wet thumb. */
export function Choice<T extends string>({ label, value, options, onChange, problem }: ChoiceProps<T>) {
  const id = useId();
  return (
    <FormControl fullWidth size="small" error={problem !== undefined}>
      <InputLabel shrink htmlFor={id}>
        {label}
      </InputLabel>
      <NativeSelect
        id={id}
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
        input={<OutlinedInput notched label={label} id={id} />}
        inputProps={{ id }}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </NativeSelect>
      {problem !== undefined && <FormHelperText>✕ {problem}</FormHelperText>}
    </FormControl>
  );
}
