/** Words as a pattern that matches just them: every sign of a regular expression in them is itself. */
export const escapePattern = (words: string): string => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
