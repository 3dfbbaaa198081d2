/** How goods are laid, as something to do. */
export const ARRANGED = {
  open: () => 'Lay the goods open',
  twisted: (n: number) => `Twist the goods, ${n} ${n === 1 ? 'turn' : 'turns'}`,
  'twisted tight': (n: number) => `Twist the goods tight, ${n} ${n === 1 ? 'turn' : 'turns'}`,
  knotted: (n: number) => `Knot the goods in ${n} ${n === 1 ? 'place' : 'places'}`,
  'laid flat': () => 'Lay the goods flat',
  'tied sections': (n: number) => `Tie the goods off in ${n} ${n === 1 ? 'section' : 'sections'}`,
} as const;

/** How goods lie, in a word or two: `knotted 3×`; null where they lie open. */
export const liesWords = ({ kind, count }: { kind: keyof typeof ARRANGED; count: number }): string | null =>
  kind === 'open' ? null : kind === 'laid flat' ? kind : `${kind} ${count}×`;
