/** The dangers of the work that a step can carry. */
export const CAUTION_NAMES = [
  'powder',
  'acid',
  'scald',
  'steam',
  'oven',
  'microwave',
  'unattended',
  'hotWool',
  'disposal',
] as const;
export type CautionName = (typeof CAUTION_NAMES)[number];

/** Each danger in a few words. */
export const CAUTION_WORDS: Record<CautionName, string> = {
  powder: 'open powder',
  acid: 'acid',
  scald: 'scalding water',
  steam: 'steam',
  oven: 'oven',
  microwave: 'microwave',
  unattended: 'heat',
  hotWool: 'hot wool',
  disposal: 'the spent bath',
};

/** The caution that must be acknowledged once in a batch before the step that first carries it: open powder. */
export const MUST_ACKNOWLEDGE: CautionName = 'powder';
