import { useId } from 'react';
import { Bare, Room, Word } from './Word';

export interface SaidTextProps {
  label: string;
  value: string;
  onChange: (text: string) => void;
  placeholder?: string;
  maxLength?: number;
  autoFocus?: boolean;
}

/** A name or another free text as a word of a sentence. */
export function SaidText({ label, value, onChange, placeholder = '', maxLength, autoFocus }: SaidTextProps) {
  const id = useId();
  return (
    <Word data-label={label}>
      <Room data-text={value || placeholder || ' '} style={{ fontWeight: 400 }}>
        <Bare
          id={id}
          size={1}
          aria-label={label}
          value={value}
          placeholder={placeholder}
          maxLength={maxLength}
          autoFocus={autoFocus}
          autoComplete="off"
          onChange={(event) => onChange(event.target.value)}
        />
      </Room>
    </Word>
  );
}
