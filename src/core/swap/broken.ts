/** What rewritten words must not have unless the cook wrote so: each with what is wrong. */
const BROKEN: readonly (readonly [RegExp, string])[] = [
  [
    /\b(?:one|two|three|an?|\d+)\s+(?!little|bit|few|lot|day|spoon|while|minute|hour|third|quarter)\p{L}+\s+the\s+\p{L}+/giu,
    'article behind a word of the name',
  ],
  [/[.!?]\s*[,;:](?!\))/g, 'a mark without words'],
  [/\bno \p{L}+(?: \p{L}+)?\s*[—–-]+\s*(?:about|around|\d)/giu, 'so much of what is not there'],
  [/\b(?:the|an?|some|your|each|every|another)\s+(?:the|an?|your)\b/gi, 'article before article'],
  [/\bthe\s+\p{L}+\s+the\s+\p{L}+/giu, 'article behind a word of the name'],
  [/\b(\p{L}{3,}|no|not|or|in|of)\s+\1\b/giu, 'a word twice'],
  [/\b\p{L}+\s+(?:with|in|of|over|from|into|the|and|or|an?)\s*(?:[.;!]|\n|$)/giu, 'a word left hanging'],
  [/\b\p{L}+\s+(?:with|of|the)\s*,/giu, 'a word left hanging'],
  [/\bof\s+(?:\p{L}+\s+)?the\s+\p{L}+\s+each\b/giu, 'an amount of something else'],
  [/\b(?:no|without)\s+(?:an?|the|some)\s+(?:\p{L}+\s+)?of\b/giu, 'none of so much of it'],
  [/,\s*[,.;]|\(\s*\)|:\s*\.|(?:^|[.!?]\s+|\n\s*)[:;,]|\b[\p{L} ]+:\s*$/gu, 'a mark without words'],
  [/\([^()]*\([^()]*\)[^()]*\)/g, 'brackets in brackets'],
  [/\bthe (?:\p{L}+ ){1,3}each\b/giu, 'no amount for each'],
  [/(?:\bwith|w\/)\s+\p{L}+(?: \p{L}+)? each(?=[,.;]|\s+and\b)/giu, 'no amount for each'],
  [/\b(?:plain|hot|warm|cold|boiling|fresh|little) no\s+\p{L}+/giu, 'done with what is not there'],
  [/\b(?:drops?|spoons?|spoonfuls?|splash|glug) of an? \p{L}+/giu, 'an amount of an amount'],
  [
    /\b(?:add|stir in|fold in|scatter|sprinkle|drizzle|top with|heat|whisk|pour in|tip in)\s*(?:[.;!]|\n|$|and\b|then\b)/gi,
    'a deed with nothing',
  ],
  [
    /\b(?:the|with|in|of|little|add|and|heat|some|same)\s+no\s+(?!need|longer|more|further|less|matter|problem|added|particular|time|hurry|way)\p{L}+/giu,
    'done with what is not there',
  ],
  [
    /\b(?:in|with|of|over|into|from)\s+(?:adds|stirs|fries|serves|cooks|puts|makes|tops|pours)\b/gi,
    'a word left hanging',
  ],
  [/\b(?:adds|puts|uses|pours|stirs in)\s+no\s+\p{L}+/giu, 'done with what is not there'],
  [
    /\b(?:do|have|use|make|take|eat|spoon|dollop)\s+no\s+(?!need|longer|more|further|less|matter|problem|added|salt|oil|sugar)\p{L}+/giu,
    'done with what is not there',
  ],
  [
    /\b(?:not|or|\p{L}{3,}ed)\s+no\s+(?!need|longer|more|further|less|matter|problem|added)\p{L}+/giu,
    'done with what is not there',
  ],
  [
    /\bno \p{L}+ (?:is|are|was|were|goes|go|comes|come|makes|make|gets)\b/giu,
    'what is not there does something',
  ],
  [
    /(?:[+&/]|\b(?:with|in|of|from|some|half|rest of|little))\s+(?:line|mist|spray|brush|grease|soak|blend|press) the\b/gi,
    'a deed where a food was',
  ],
  [
    /\bthe \p{L}+ (?:slices|beans|chestnuts|potatoes|mushrooms|lentils|dates|peas) (?:goes|is|gets|does|has|comes)\b/giu,
    'many that do as one',
  ],
  [
    /\b(?:toast|crisp|brown|grat|shred|slic|crumbl)\w*\s+(?:up\s+)?(?:the\s+)?(?:\p{L}+\s+)?(?:purée|puree|stock|water|juice|yoghurt|milk|sauce|yeast)\b/giu,
    'a liquid toasted',
  ],
  [/\b(?:the\s+)?([\p{L} ]{4,}?)\s+and\s+(?:the\s+)?\1\b/giu, 'a food twice'],
  [
    /(?<=^|[.!?]\s)The (?:(?!(?:is|are|was)\b)\p{L}+\s+){1,3}(?:an?|the)\s+(?=\p{L}|\d)/gu,
    'a food where a deed was',
  ],
];

/** What no cook would write in a method's words as they are now, and its own cook did not as they were. */
export const brokenIn = (was: string, now: string): string[] => [
  ...BROKEN.flatMap(([pattern, says]) =>
    (now.match(pattern) ?? [])
      .filter((f) => !was.includes(f) && !isCooksOwn(f, says, was))
      .map((f) => `${says}: “${f.trim()}”`),
  ),
  ...(left(now) === left(was) ? [] : ['brackets that do not close']),
];

/** "Everything else in." of a cook who writes "Cream in.": a word that hung before hangs still. */
function isCooksOwn(found: string, says: string, was: string): boolean {
  if (says !== 'a word left hanging') return false;
  const word = /(\p{L}+)\s*[.;!\n]?$/u.exec(found)?.[1] ?? '';
  return (
    ['in', 'over', 'on', 'into'].includes(word.toLowerCase()) &&
    new RegExp(`\\b${word}\\s*[.;!\\n]`, 'i').test(was)
  );
}

/** Brackets that are opened and not closed. */
const left = (text: string): number => text.split('(').length - text.split(')').length;
