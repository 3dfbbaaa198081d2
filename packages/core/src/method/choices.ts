/** How color is laid on a zone of a pan. */
export const ZONE_SHAPES = ['band', 'sides', 'zigzag', 'patches'] as const;

/** In which order sections lie on the goods. */
export const SECTION_ORDERS = ['once', 'backwards', 'twice', 'mirrored'] as const;

/** What a bath is when goods go in. */
export const BATH_STARTS = ['cold', 'hot', 'kettle'] as const;

/** What powder is strewn on, and by what. */
export const STREWN_ON = ['in a bath', 'damp on a tray'] as const;
export const STREWN_BY = ['fingers', 'sieve', 'fan brush'] as const;

/** What goods lie on under ice. */
export const ICED_ON = ['a rack', 'a tray'] as const;
