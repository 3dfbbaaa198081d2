/** What an amount in an old note can be of. */
const UNIT =
  '(?:teaspoons?|tablespoons?|spoon(?:ful)?s?|tsps?|tbsps?|cups?|ounces?|oz|pounds?|lbs?|quarts?|qts?|pints?|gallons?|lit(?:er|re)s?|ml|grams?|g|kg|minutes?|mins?|hours?|hrs?|days?)\\b';

const WORDS: Record<string, string> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  eleven: '11',
  twelve: '12',
  fifteen: '15',
  twenty: '20',
  thirty: '30',
  forty: '40',
  'forty-five': '45',
  sixty: '60',
};
const NUMBER = Object.keys(WORDS)
  .toSorted((one, other) => other.length - one.length)
  .join('|');

/** In this order: the longer way of saying it first. */
const SAID: [RegExp, string | ((word: string) => string)][] = [
  [
    new RegExp(`\\b(?:${NUMBER})(?=(?:\\s+and\\s+a\\s+half)?\\s+${UNIT})`, 'gi'),
    (word) => WORDS[word.toLowerCase()] ?? word,
  ],
  [new RegExp(`\\b(\\d+)\\s+and\\s+a\\s+half(?=\\s+${UNIT})`, 'gi'), '$1 1/2'],
  [new RegExp(`\\bhalf(?:\\s+of)?(?:\\s+an?)?(?=\\s+${UNIT})`, 'gi'), '1/2'],
  [new RegExp(`\\b(?:a\\s+)?quarter(?:\\s+of)?(?:\\s+an?)?(?=\\s+${UNIT})`, 'gi'), '1/4'],
  [new RegExp(`\\ban?(?=\\s+${UNIT})`, 'gi'), '1'],
  // A spoon that is not said to be a small one is the large one (common practice, no source).
  [/\bspoon(?:ful)?s?\b/gi, 'tablespoons'],
];

/**
 * The numbers of an old note in digits, and its plain spoons as tablespoons: `six spoons on two ounces` is
 * `6 tablespoons on 2 ounces`, `half an hour` is `1/2 hour`. Everything else stays as it was written.
 */
export const noteNumbers = (text: string): string =>
  SAID.reduce((said, [words, digits]) => said.replace(words, digits as string), text);
