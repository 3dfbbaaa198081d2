/** Words of the trade, each by what figures of it are called, in a plain sentence for whoever meets them for the first time. */
const TERMS: readonly [of: RegExp, sentence: string][] = [
  [
    /^depth/i,
    'Depth of shade is the dye for every 100 g of dry goods, in grams. About 0.1 % is pale, 0.5 to 1 % medium, 2 % deep.',
  ],
  [/^weight of goods/i, 'Weight of goods is all that is dyed, weighed dry.'],
  [/liquor ratio/i, 'Liquor ratio is how many milliliters of bath there are for every gram of dry goods.'],
  [/on weight of goods/i, 'On weight of fiber (owf) means so many grams for every 100 g of dry goods.'],
  [
    /pH/,
    'pH says how acid the bath is. The lower it is, the faster dye strikes, which is to say goes onto the fiber.',
  ],
  [
    /stock|strength/i,
    'A stock solution is dye dissolved ahead. A stock of 1 % holds 1 g of powder in every 100 mL.',
  ],
  [/^(?:bath|water to run)/i, 'The bath is all the liquid the goods lie in: water, stock and acid together.'],
  [
    /takes acid dye/i,
    'Wool and other animal fibers, silk and nylon take acid dye; cotton, acrylic or metal in a blend do not.',
  ],
  [
    /^(?:time on heat|hold)/i,
    'Dye is set by holding the goods hot; until they are cold, color still moves onto the fiber.',
  ],
];

/** What a figure is about, for whoever does not know the word yet. @returns null where its name says it */
export const explained = (name: string): string | null => TERMS.find(([of]) => of.test(name))?.[1] ?? null;
