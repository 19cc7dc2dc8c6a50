/** A recipe's title by its first line with words, without taking the whole text apart. */
export function titleOf(text: string): string {
  for (const row of text.split('\n', 40)) {
    const words = row.replace(/^[\s#*>_-]+|[\s*_]+$/g, '');
    if (/[a-zà-ÿ]/i.test(words)) return words;
  }
  return '';
}

/** A recipe's title as views show it: one without is called so. */
export const shownTitle = (text: string): string => titleOf(text) || 'Untitled recipe';
