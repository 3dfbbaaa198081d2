/** An entry that cannot be: says which field, what was wrong, and what would be right. */
export class FieldError extends Error {
  override readonly name = 'FieldError';
  constructor(
    /** Dotted path of the field, as the document names it: `recipe.passes.0.dyes.1.dosPercent`. */
    readonly field: string,
    /** A sentence a dyer understands. */
    message: string,
  ) {
    super(message);
  }
}
