/** A word as it begins a sentence. */
export const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
