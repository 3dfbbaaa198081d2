/** What one kind of request took, ms, at the ninety-fifth of a hundred. */
export type Slow = Record<string, number>;

/** Clients at once, how often each asks, and for how long. */
const CLIENTS = 6;
const PER_SECOND = 5;
const SECONDS = 20;

/** Every kind of question that is put to the Book while it is looked through, and an entry among them. */
const BOOK: Record<string, readonly string[]> = {
  page: ['limit=40', 'limit=25&offset=25', 'limit=25&offset=2500', 'limit=100&offset=40000'],
  filter: [
    'verdict=as%20wanted',
    'verdict=wet',
    'standing=trial&massFrom=100&massTo=300',
    'base=ratchet-sock&depthFrom=1',
    'dye=vault-blue',
    'dye=vault-blue&verdict=usable&from=2025-01-01T00:00:00Z',
    'colorway=copper-cupola',
  ],
  sort: [
    'order=name&way=up',
    'order=wogGrams',
    'order=dosPercent&way=up',
    'order=standing',
    'order=outcome&way=up',
  ],
  search: ['q=curfew+ratchet', 'q=cupola', 'q=b', 'q=wanted+blue', 'q=nowhere'],
};
const FOUND = ['c', 'cu', 'cup', 'cupola', 'vault', '26', 'blue 1', 'zz'];

/** Six clients who each ask five times a second: how long the slow ones of each kind wait. @param log writes an event */
export async function sixClients(url: string, log: (batch: string) => Promise<number>): Promise<Slow> {
  const took = new Map<string, number[]>();
  const note = (kind: string, ms: number): void => void took.set(kind, [...(took.get(kind) ?? []), ms]);
  const asked = async (kind: string, address: string): Promise<void> => {
    const from = performance.now();
    const answer = await fetch(url + address);
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${address} was refused: ${answer.status}`);
    note(kind, performance.now() - from);
  };
  const questions: (() => Promise<void>)[] = [
    ...Object.entries(BOOK).flatMap(([kind, all]) =>
      all.map((query) => () => asked(kind, `/api/batches?${query}`)),
    ),
    ...FOUND.map((q) => () => asked('find', `/api/find?q=${encodeURIComponent(q)}`)),
    ...Array.from({ length: 6 }, () => async () => note('event', await log('b15-angelus'))),
  ];
  const client = async (first: number): Promise<void> => {
    await pause((first * 1000) / PER_SECOND / CLIENTS);
    for (let i = 0; i < SECONDS * PER_SECOND; i += 1) {
      const from = performance.now();
      // Each client goes through all of them, in steps that meet every one before any comes again.
      await questions[(first * 7 + i * 11) % questions.length]?.();
      await pause(Math.max(0, 1000 / PER_SECOND - (performance.now() - from)));
    }
  };
  await Promise.all(Array.from({ length: CLIENTS }, (_, i) => client(i)));
  return Object.fromEntries(
    [...took].map(([kind, all]) => [kind, all.toSorted((a, b) => a - b)[Math.floor(all.length * 0.95)] ?? 0]),
  );
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
