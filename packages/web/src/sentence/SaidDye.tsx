import { useState } from 'react';
import {
  dyeSaid,
  entryAmount,
  entryIn,
  SCHOOLS,
  spoonsHold,
  type DyeEntry,
  type DyeLine,
  type ParseContext,
  type School,
} from '@ythrion/core';
import { SaidAmount } from './SaidAmount';
import { SaidChoice } from './SaidChoice';

const AMOUNT: Record<School, string> = {
  depth: 'Depth',
  grams: 'Grams',
  stock: 'Stock',
  'stock spoons': 'Spoons',
  'powder spoons': 'Spoons',
  parts: 'Parts',
  print: 'Ink',
};

export interface SaidDyeProps {
  line: Pick<DyeLine, 'entry' | 'stockId'>;
  /** The schools it can be said in. */
  schools: readonly School[];
  /** How an amount of the dye is read. */
  reading: ParseContext;
  /** What was typed for it in its school. */
  written: string | undefined;
  onChange: (entry: DyeEntry, written: string) => void;
  /** The same amount is to be said in another school. */
  onSchool: (to: School) => void;
}

/** How much of a dye, in whichever school. A measure of another school says so itself: `7 tbsp`, `2 g`, `0.6 %`. */
export function SaidDye({ line, schools, reading, written, onChange, onSchool }: SaidDyeProps) {
  // How often another school was chosen: the word then says the amount anew.
  const [turned, setTurned] = useState(0);
  const { entry } = line;
  const { school } = entry;
  return (
    <>
      <SaidAmount
        key={turned}
        label={AMOUNT[school]}
        kind={SCHOOLS[school].kind}
        value={entryAmount(entry)}
        written={written}
        context={reading}
        readAs={(amount) => spoonsHold(entryIn(school, amount), reading)}
        onChange={(amount, as) => onChange(entryIn(school, amount), as)}
        onUnreadable={(text) => {
          const said = dyeSaid(text, line, reading);
          if (said) onChange(said, text);
        }}
      />{' '}
      <SaidChoice<School>
        label="Measured in"
        value={school}
        options={(schools.includes(school) ? schools : [school, ...schools]).map((name) => ({
          value: name,
          label: SCHOOLS[name].label,
          said: SCHOOLS[name].said,
        }))}
        onChange={(to) => {
          setTurned(turned + 1);
          onSchool(to);
        }}
      />
    </>
  );
}
