import { useId, type InputHTMLAttributes, type KeyboardEvent, type ReactNode } from 'react';
import FormControl from '@mui/material/FormControl';
import FormHelperText from '@mui/material/FormHelperText';
import InputLabel from '@mui/material/InputLabel';
import OutlinedInput from '@mui/material/OutlinedInput';

export interface TextLineProps {
  label: string;
  value: string;
  onChange: (text: string) => void;
  onKeyDown?: (event: KeyboardEvent<HTMLElement>) => void;
  onBlur?: () => void;
  /** Said under the field. */
  said?: string | undefined;
  /** What is wrong: marked and said under the field. */
  wrong?: string | undefined;
  type?: 'text' | 'color' | 'date' | 'password';
  multiline?: boolean;
  autoFocus?: boolean;
  placeholder?: string;
  maxLength?: number;
  /** Stands at the end, inside the field. */
  end?: ReactNode;
  input?: InputHTMLAttributes<HTMLInputElement> & { 'data-quantity'?: string };
}

/** A labeled line of text. Lighter than a field that could also be a menu: it is on the first page. */
export function TextLine(props: TextLineProps) {
  const {
    label,
    value,
    onChange,
    said,
    wrong,
    type = 'text',
    multiline = false,
    maxLength,
    end,
    input,
  } = props;
  const id = useId();
  const help = wrong === undefined ? said : `✕ ${wrong}`;
  return (
    <FormControl fullWidth size="small" error={wrong !== undefined}>
      <InputLabel shrink htmlFor={id}>
        {label}
      </InputLabel>
      <OutlinedInput
        id={id}
        notched
        label={label}
        value={value}
        type={type}
        multiline={multiline}
        {...(multiline && { minRows: 2 })}
        autoFocus={props.autoFocus ?? false}
        placeholder={props.placeholder ?? ''}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={props.onKeyDown}
        onBlur={props.onBlur}
        endAdornment={end}
        inputProps={{
          maxLength,
          'aria-describedby': help === undefined ? undefined : `${id}-help`,
          ...input,
        }}
      />
      {help !== undefined && <FormHelperText id={`${id}-help`}>{help}</FormHelperText>}
    </FormControl>
  );
}
