/** Where the draft of a colorway is kept in this browser. */
export const draftKey = (id: string): string => `ythrion.draft.${id}`;
