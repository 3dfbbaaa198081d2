/** What goods are. */
export const FORMS = ['skein', 'mini', 'top', 'blank', 'finished piece', 'flat piece'] as const;
export type Form = (typeof FORMS)[number];

/** Goods that are pressed, dripped and dried flat: wrung or twisted they felt or lose their shape. */
const NEVER_WRUNG: readonly Form[] = ['top', 'blank', 'flat piece', 'finished piece'];

/** Whether goods of this form are pressed and never wrung. */
export const isNeverWrung = (form: string): boolean => NEVER_WRUNG.some((one) => one === form);

/** Goods of a form, several of them, as they are spoken of. */
export const FORM_WORDS: Record<Form, string> = {
  skein: 'skeins',
  mini: 'minis',
  top: 'tops',
  blank: 'blanks',
  'finished piece': 'finished pieces',
  'flat piece': 'flat pieces',
};
