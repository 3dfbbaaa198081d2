import { plainText } from './passphrase';

const LASTS_MS = 10 * 60_000;
const LETTERS = 8;

interface Code {
  person: string;
  until: number;
}

/** Short codes by which a device that is in lets another in, each once and for ten minutes. */
export class Codes {
  private readonly open = new Map<string, Code>();

  constructor(private readonly now: () => number = Date.now) {}

  make(person: string): { code: string; until: string } {
    for (const [code, { until }] of this.open) if (until < this.now()) this.open.delete(code);
    const code = plainText(LETTERS);
    const until = this.now() + LASTS_MS;
    this.open.set(code, { person, until });
    return { code, until: new Date(until).toISOString() };
  }

  /** Whose device the code lets in; null for one that is wrong, used or too old. It is used by this. */
  use(said: string): string | null {
    const code = said.toLowerCase().replace(/[^a-z0-9]/g, '');
    const found = this.open.get(code);
    this.open.delete(code);
    return found && found.until >= this.now() ? found.person : null;
  }
}
