import { useId } from 'react';
import { useQuantity, type QuantityProps } from '../parts/useQuantity';
import { UnderWord } from './Sentence';
import { Bare, Beside, Room, Word } from './Word';

/**
 * An amount as a word of a sentence: it takes the room its text needs, so nothing typed is ever cut. How it was read stands
 * beside it while it is in hand; what is wrong with it, or guessed at, in a line under it.
 */
export function SaidAmount(props: QuantityProps) {
  const id = useId();
  const { text, take, onKeyDown, unit, readBack, remark, wrong, input } = useQuantity(props);
  const under = wrong ?? remark;
  return (
    <>
      <Word data-label={props.label} {...(wrong !== undefined && { 'data-wrong': '' })}>
        <Room data-text={text || ' '}>
          <Bare
            {...input}
            id={id}
            size={1}
            value={text}
            aria-label={props.label}
            aria-invalid={wrong !== undefined}
            aria-describedby={under === '' ? undefined : `${id}-help`}
            autoFocus={props.autoFocus}
            onChange={(event) => take(event.target.value)}
            onKeyDown={onKeyDown}
          />
        </Room>
        {unit !== null && unit !== '' && <Beside>{unit}</Beside>}
        {readBack !== '' && <Beside data-hand="">{readBack}</Beside>}
      </Word>
      {under !== '' && (
        <UnderWord id={`${id}-help`} wrong={wrong !== undefined}>
          {under}
        </UnderWord>
      )}
    </>
  );
}
