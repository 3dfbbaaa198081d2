/** What vessels are. */
export const VESSEL_ROLES = [
  'pot',
  'pan',
  'tub',
  'soak',
  'tray',
  'rack',
  'steamer',
  'oven',
  'microwave',
  'wrap',
  'mixing cup',
  'paint cup',
  'working dilution',
  'jar',
  'melting ice',
] as const;

/** Vessels that goods are dyed in: the first of them in a list is the one on the shelf that was chosen. */
export const DYED_IN: readonly (typeof VESSEL_ROLES)[number][] = ['pot', 'pan', 'tub', 'tray', 'wrap'];

/** Vessels that never have goods in them. */
export const CUPS: readonly (typeof VESSEL_ROLES)[number][] = [
  'mixing cup',
  'paint cup',
  'working dilution',
  'jar',
];

/** What an act is for, where its kind alone does not say. */
export const PURPOSES = [
  'soak',
  'bath',
  'dilution',
  'dose',
  'paint',
  'warm',
  'late',
  'with powder',
  'cut',
  'melt',
  'top up',
  'catch up',
  'settle',
  'rest',
  'strike',
  'dip',
  'set',
  'unplanned',
  'cup',
] as const;

/** How goods lie. */
export const LIES = ['open', 'twisted', 'twisted tight', 'knotted', 'laid flat', 'tied sections'] as const;
