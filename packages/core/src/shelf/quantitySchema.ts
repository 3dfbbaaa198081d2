import { z } from 'zod';
import { judge } from '../units/judge';
import { quantityKind, type QuantityKindName } from '../units/quantityKinds';

/** A number held to the possible range of its kind, with the same sentence the field on the screen shows. */
export function quantity(kindName: QuantityKindName) {
  const kind = quantityKind(kindName);
  const noun = kind.noun.charAt(0).toUpperCase() + kind.noun.slice(1);
  let schema = z.number({ error: `${noun} must be a number${kind.unit === '' ? '' : ` in ${kind.unit}`}.` });
  schema = kind.aboveZero
    ? schema.gt(kind.possible[0], { error: `${noun} must be more than zero.` })
    : schema.gte(kind.possible[0], { error: (issue) => sentence(issue.input, kindName) });
  schema = schema.lte(kind.possible[1], { error: (issue) => sentence(issue.input, kindName) });
  return kind.whole ? schema.int({ error: `${noun} must be a whole number.` }) : schema;
}

function sentence(input: unknown, kindName: QuantityKindName): string {
  const judged = judge(Number(input), kindName);
  return judged.ok ? 'Not a possible amount.' : judged.problem;
}
