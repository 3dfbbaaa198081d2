/** Said by every answer of the server: its clock as it answered, ISO 8601. */
export const NOW_HEADER = 'X-Ythrion-Now';
/** Said by answers that hold events: how far they reach, as a cursor. */
export const CURSOR_HEADER = 'X-Ythrion-Cursor';
/** Sent with every change, whatever it says: a page of another site cannot send it without asking first. */
export const OWN_HEADER = 'X-Ythrion';
