/** A day in words: "Thursday 26 November". */
export const day = (ms: number): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' }).format(new Date(ms));
