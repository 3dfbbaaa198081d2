/** Why an act of a plan cannot be: a code with its values. It changes nothing; who shows it finds the words. */
export type Impossible =
  | { code: 'no such vessel'; vessel: string }
  | { code: 'no such goods'; goods: string }
  | { code: 'brought twice'; thing: string }
  | { code: 'no goods there' }
  | { code: 'nothing there'; vessel: string | null }
  | { code: 'less there'; vessel: string | null; thereMl: number; askedMl: number }
  | { code: 'whole line'; goods: string; has: number; asked: number };

/** Thrown inside an act and caught by `apply`: the state before it stands. */
export class CannotBe extends Error {
  override readonly name = 'CannotBe';
  constructor(readonly why: Impossible) {
    super(why.code);
  }
}
