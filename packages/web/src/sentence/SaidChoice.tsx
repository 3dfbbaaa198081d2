import { useId } from 'react';
import { UnderWord } from './Sentence';
import { Over, Word } from './Word';

export interface SaidChoiceProps<T extends string> {
  label: string;
  value: T;
  /** `said` is how it reads in the sentence, where that is shorter than in the list. */
  options: readonly { value: T; label: string; said?: string }[];
  onChange: (value: T) => void;
  problem?: string | undefined;
  autoFocus?: boolean;
}

/** One of a few, as a word of a sentence; the list opens under the word. */
export function SaidChoice<T extends string>(props: SaidChoiceProps<T>) {
  const { label, value, options, onChange, problem, autoFocus } = props;
  const id = useId();
  const chosen = options.find((option) => option.value === value);
  return (
    <>
      <Word data-label={label} {...(problem !== undefined && { 'data-wrong': '' })}>
        <span aria-hidden>{chosen?.said ?? chosen?.label ?? 'choose'}</span>
        <Over
          id={id}
          aria-label={label}
          aria-invalid={problem !== undefined}
          aria-describedby={problem === undefined ? undefined : `${id}-help`}
          value={value}
          autoFocus={autoFocus}
          onChange={(event) => onChange(event.target.value as T)}
        >
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </Over>
      </Word>
      {problem !== undefined && (
        <UnderWord id={`${id}-help`} wrong>
          {problem}
        </UnderWord>
      )}
    </>
  );
}
