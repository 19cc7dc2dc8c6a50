import { namesFood } from '@/core/food/find';

/** What a plant or a loaf comes apart into and is counted by. */
const PART = 'leaf|leaves|florets?|stalks?|ribs?|wedges?|slices?|sprigs?|stems?|strips?|rounds?|spears?';
/** Which of them: no part of the food's name. */
const WHICH = new RegExp(
  String.raw`\b(?:(?:outer|outside|outermost|inner|inside|innermost|middle|top|bottom|biggest|largest|best|nicest|greenest|undamaged|unblemished|perfect)\s+(?:and\s+)?)+(?=(?:[a-z-]+ ){0,2}(?:${PART})\b)`,
  'gi',
);
/** "6 of the leaves": so many. */
const SOME_OF = new RegExp(
  String.raw`\b(\d{1,2}|one|two|three|four|five|six|eight|ten|twelve|a few|a couple) of (?:the|those|these|its|my|your) (?=(?:[a-z-]+ ){0,2}(?:${PART})\b)`,
  'gi',
);
const OF_ONE = new RegExp(
  String.raw`\b(${PART})(?: (?:cut|picked|pulled|torn|taken|stripped))? (?:of|off|from) (?:(?:the|your|my|our|this|that) )?(?:an?|one|1|the|your|my)(?: (?:whole|single|small|medium|large|big|nice|good|fresh|young))* ((?:[a-zà-ÿ'-]+ ){0,2}[a-zà-ÿ'-]+)`,
  'gi',
);
/** What the whole of it is called beside its own name. */
const WHOLE = /(?:'s)? (?:plant|bush|tree|loaf|head|bulb|bunch|round)$/i;

/** Some words less the word of the whole behind them, where they name a food then. */
function named(words: string): string | null {
  const bare = words.replace(WHOLE, '');
  const loaf = /\bloaf$/i.test(words) ? [`${bare} bread`] : [];
  return [words, ...loaf, bare].find((name) => namesFood(name)) ?? null;
}

/** "8 outer leaves of a savoy", "2 slices off a rye loaf": so many parts of it, and never as many of the whole. */
export function partsOf(line: string): string {
  if (!/(?:leaf|leaves|floret|stalk|rib|wedge|slice|sprig|stem|strip|round|spear)/i.test(line)) return line;
  return line
    .replace(WHICH, '')
    .replace(SOME_OF, '$1 ')
    .replace(OF_ONE, (all: string, part: string, words: string) => {
      const parts = words.split(' ');
      for (let n = parts.length; n > 0; n -= 1) {
        const name = named(parts.slice(0, n).join(' '));
        if (name) return [part, name, ...parts.slice(n)].join(' ');
      }
      return all;
    });
}
