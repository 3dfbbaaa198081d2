import TextField from '@mui/material/TextField';

export interface ChoiceProps<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
  problem?: string | undefined;
}

/** One of a few, as the platform's own list: the surest thing under a wet thumb. */
export function Choice<T extends string>({ label, value, options, onChange, problem }: ChoiceProps<T>) {
  return (
    <TextField
      select
      fullWidth
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as T)}
      error={problem !== undefined}
      helperText={problem === undefined ? undefined : `✕ ${problem}`}
      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </TextField>
  );
}
