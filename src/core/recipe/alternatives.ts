import rawWords from '@content/compiled/words.json';

/** Words for how a food is made ready. */
export const PREPARATION = new Set((rawWords as { preparation: string[] }).preparation);

const OR = /\s+(?:and\/or|or(?: else)?(?: use)?(?: substitute)?|\/)\s+|\s*\/\s*(?=[a-z])/;
const NOT_OTHER =
  /^(?:the (?:ones?|kind|sort|type|same)\b|ones?\b|more|less|so|to taste|as needed|as required|other|your|any|similar|equivalent|a combination|both|a mix|until|about|use|whatever|leave|omit|not\b)/;
/** What stands between the foods of one line. */
export const AND =
  /\s+(?:and|&|\+)\s+|\s*&\s*|\s+(?:mixed|whisked|blended|combined|stirred|dissolved) (?:with|in|into)\s+(?=\d|half|an? )|\s+with\s+(?=(?:\d|half |an? |one |two )(?!bit|little|touch|few|pinch of|kick))|\s+in\s+(?=(?:\d[\d/.½¼¾⅓⅔ ]*|[½¼¾⅓⅔]|an? )\s*(?:tbsp|tsp|tablespoons?|teaspoons?|cups?|ml|splash of|little)\b)/;

/** "parsley if that's what's there": when it is used is no part of its name. */
const withoutCondition = (words: string): string => {
  const food = words
    .replace(
      /\s+and (?:an? )?(?:(?:slightly|bit|little|much|touch) )?(?:shorter|longer|less|more|lower|higher|reduce|skip|leave|bake|cook|cut)\b.*$/,
      '',
    )
    .replace(/\s+(?:if|when|where|unless|whenever|depending|for)\b.*$/, '')
    .trim();
  return food || words.trim();
};

/**
 * "tahini or sunflower butter" → one food and an alternative; "salt and pepper" → two foods. What may be
 * one food ("mac and cheese powder") is left to the finder, which tries the whole first.
 */
export function splitAlternatives(text: string): {
  first: string[];
  together: string;
  alternatives: string[];
} {
  const pieces = text
    .split(OR)
    .map((p) => p.trim())
    .filter(Boolean);
  const [head = text, ...others] = pieces;
  const alternatives = others.filter((o) => !NOT_OTHER.test(o)).map(withoutCondition);
  return {
    together: head,
    first: head
      .split(AND)
      .map((p) => p.trim())
      .filter((p, i) => p.length > 0 || i === 0),
    alternatives,
  };
}

/** "(or use 1 tsp dried)", "or sunflower seeds" after a comma. */
export function noteAlternatives(notes: string): string[] {
  const found: string[] = [];
  for (const piece of notes.split(/[,;]|\s[-–—]\s/)) {
    const m =
      /^\s*(?:or|can sub(?:stitute)?|or use|or sub(?:stitute)?|(?:i|we) (?:often |usually |always )?used?)\s+(?:use\s+)?(.+)$/i.exec(
        piece,
      );
    if (m?.[1] && !NOT_OTHER.test(m[1]) && !PREPARATION.has(m[1].trim().split(' ').at(-1) ?? ''))
      found.push(withoutCondition(m[1]));
  }
  return found;
}
