import { pattern, type Pattern } from '@/core/pattern/pattern';
import { readMeasures } from './measures';
import { Reader, type Measure, type Three } from './reader';

/** "if you're allowed it", "when we have them": outside brackets, to the end of the line. */
const IF_TAIL = pattern(
  /,?\s+\b(?:if|when|unless)\s+(?:you|i|we|they|he|she|the|your|it|there|any(?:one|body)|no ?one|people|kids|needed|necessary|possible|available|allowed|in season|feeling|not)\b[^()]*?(?=,\s*(?:(?:about|around|maybe|say|just|only) )?(?:\d|half an? )|$)/,
);
/** "(I use none)", "(I only take half, the rest freezes)", "(we do 3)": what the cook really takes. */
const OWN_WAY = pattern(
  /\(\s*(?:[^()]{0,40}?(?:\bso\s+|[,;]\s*(?:but\s+)?))?(?:i|we)(?:'ve|'m|'re| have| am| are)?\s+(?:only |just |usually |now |always |often |mostly |normally )?(?:(?:gone |got |come |cut (?:it |this |that )?)?(?:right |way )?down to|use|used|put|take|took|do|did|have|add|added|weigh(?:ed)?|make it|make that|made it)\s*:?\s+(?:only |just |about )?([^()]*)\)/,
);
/** ", 1½ tbsp is plenty": how much is enough. */
export const ENOUGH = pattern(
  /[,;]\s*((?:about |maybe )?[\d½¼¾⅓⅔][^,;()]*?)\s+(?:is|are|will be|would be|does|will do)\s+(?:plenty|enough|fine|ample|lots)\s*$/,
);
/** "1 tsp sugar - I use half a date": the same behind a dash or comma, to the end. */
const OWN_TAIL = pattern(
  /(?:\s+[-–—,;]|[.!]+)\s*(?:but )?(?:i|we)(?:'ve|'d|'m|'re| have| am| are)?\s+(?:only |just |usually |now |always )?(?:use|do|put(?: in)?|take|have|get away with|make do with|stick to|go with|(?:gone|go|got|come|cut(?: it| this| that| these| them)?|reduced? (?:it|this|that|these|them))\s*(?:right |way )?(?:down|back)?\s*to|down to)\s+([^(),;]+?)(?:[,;]\s*(?:but |though )?(?!(?:or|and|plus|to)\b)[a-z]+ (?:would|uses|puts|likes|has|takes|does|might|says|wants)\b[^()]*|[,;]\s*(?:and )?(?:i )?(?:freeze|keep|save|store|the rest)\b[^()]*)?$/,
);
/** "oil to fry, you lose maybe 6 tbsp of it": what is eaten of it. */
const LOST = pattern(
  /\s*[-–—,;(]\s*(?:you|it|they|we) (?:lose|loses|absorb|absorbs|soak up|soaks up|drink|drinks|take up|takes up)\s+(?:about |maybe |around |roughly )?([^(),;]+?)(?: of it)?\s*\)?\s*$/,
);
/** "1 avocado, half of it", "1 cabbage (only half)": a share of the line. */
const SHARE_OF_IT = pattern(
  /(?:[,;(]|\s[-–—])\s*(?:only |just |about |i use )*((?:a )?half|a third|a quarter|two thirds|three quarters)(?: of (?:it|them|the (?:tin|can|jar|amount|packet)))?(?: only)?\s*\)?\s*$/,
);
/** "(no!)", "(nope)": not here, whatever stands before it. */
const NO_BRACKET = pattern(
  /\(\s*(?:no+|nope|never|not (?:for us|any ?more|now|here)|skip(?:ped)?)\s*[!.]*\s*\)/,
);
/** "(can avoid, I do)": it may be left out, and is. */
const CAN_AVOID = pattern(
  /\(\s*(?:can|could|may|you can) (?:avoid|skip|omit|leave (?:it )?out|be (?:avoided|skipped|omitted|left out))\b[^()]*\)/,
);
const AND_I_DO = pattern(
  /\(\s*(?:can|could|may|you can) (?:avoid|skip|omit|leave (?:it )?out|be (?:avoided|skipped|omitted|left out))\b[^()]*\b(?:i|we) (?:do|always do|usually do|have)\s*\)/,
);
/** "(orig: 400 ml full fat)", "(was 2 tbsp)": how much or what it was. */
const WAS_ONCE = pattern(
  /\(\s*(?:orig(?:inal(?:ly)?)?|was|used to be|before|book|trad(?:itional(?:ly)?)?)\b\s*:?[^()]*\)|\((?:or |it was |once )?[^()]*\b(?:in the (?:old days|past|eighties|nineties)|back (?:then|in the day)|years ago|once upon a time)\s*\)/,
);
/** "if you have one (I don't)": the cook takes none of it. */
const NOT_MINE = pattern(
  /\(\s*(?:opt(?:ional)?\.?\s*[,;:–-]?\s*(?:but |and )?)?(?:i|we)\s+(?:don'?t|do not|never(?: do| use (?:it|them|any))?|haven'?t|skip(?: it| this| that| them| these| those)?|leave (?:(?:it|that|this|them|these) )?(?:out|off)|omit (?:it|this|that|them))(?: ever| bother| any more)?\s*[!.]*\s*(?:(?:[,;–-]|\band\b|\bso\b)(?=[^()]*\b(?:instead|rather|use|paper|water|non-?stick|mat|dry)\b)[^()]*)?\)|[-–—,;.!]\s*(?:[a-z]+ (?:people|cooks|recipes) [a-z ]+,\s*)?(?:but )?(?:i|we)\s+(?:don'?t|do not|never do|skip(?: it| this| that| them)?|leave (?:it|that|this|them) (?:out|off))(?: bother| any more)?\s*[!.]*\s*$|\s(?:[-–—]|:)\s*(?:just )?(?:leave (?:it |them |this )?(?:out|off)|left out|omit(?:ted)?(?: it)?|skip(?:ped)?(?: it)?|none|not used|no thanks)\s*[!.]*\s*(?:[,;] ?(?:i|we) (?:use|do|take|fry|cook)\b[^()\d]*)?$/,
);
/** "no salt added if you can find it": as good as not said, where the plain one may be what there is. */
const IF_FOUND = pattern(
  /\s*(?:[-–—,(]\s*)?\b(?:no (?:added )?(?:salt|sugar|oil)(?: added)?|(?:un|low[- ]?|reduced[- ]?|less )(?:salted|sweetened|salt|sodium|sugar)|oil[- ]free)\s+(?:one |ones |kind )?(?:if (?:you|we|i|they)(?: can)? (?:find|get|have|see)(?: it| them| one| some)?|(?:if|when|where) (?!added\b)[a-z][^(),;]{2,30}(?:,[^(),;]{2,24})?)\)?/,
);
/** "(check for lime and corn only)", "(must be oil-free)": what to look for on the packet. */
export const TO_CHECK = pattern(
  /\(\s*(?:check|read|look (?:at|for)|see|make sure|watch|mind|beware|careful)\b[^()]*\)/,
);
/** "200 g cooked buckwheat (that's about 80 dry)": the same weighed otherwise. */
const WEIGHED_OTHERWISE = pattern(
  /\((?<=^\s*(?:about )?\d[\d.]* ?(?:g|kg|oz|lbs?)\b[^()]*\()(?:that'?s|which is|that is|it'?s|i\.e\.|=|or|from)\s*(?:about |roughly |around |~ ?)?\d[\d.]* ?(?:g|oz)? ?(?:dry|dried|raw|uncooked|cooked)(?: weight)?\)/,
);
/** "walnuts - leave out for a low fat version". */
const LEAVE_TAIL = pattern(
  /\s+[-–—,;]\s*(?:leave (?:it |them |these )?(?:out|off)|skip(?: it| them)?|omit)\b[^()]*$|\(\s*(?:just )?(?:leave (?:it |them |these )?(?:out|off)|skip|omit)\b[^()]*\)/,
);
/** "peppers any colour". */
const ANY_KIND = pattern(
  /,?\s+(?:of )?any (?:colou?r|kind|sort|type|variety|shape)s?(?: you (?:like|have))?\b/,
);
/** "(or leave it out)", "(or none)". */
const OR_NOT = pattern(
  /\(?(?<![a-z]ed )\b(?:or|can be|may be|could be|better)\s+(?:just )?(?:leave (?:it|them|this) (?:out|off)|left out|skip(?:ped)?(?: it| them)?|omit(?:ted)?(?: it)?|none(?: at all)?|nothing|without(?: it)?|not)\b\s*\)?/,
);

/** What a cook says beside a line that she takes of it herself: a share, another amount, or another food. */
export interface OwnWay {
  readonly share?: Three;
  readonly measures?: readonly Measure[];
  readonly food?: string;
  /** True where the amount is each eater's. */
  readonly each?: boolean;
  /** Her words for it. */
  readonly words: string;
}

const SHARES: Readonly<Record<string, number>> = {
  half: 0.5,
  'a half': 0.5,
  'half of it': 0.5,
  'half that': 0.5,
  'a third': 1 / 3,
  'a quarter': 0.25,
  'two thirds': 2 / 3,
  'three quarters': 0.75,
  none: 0,
  nothing: 0,
  'none of it': 0,
  'no such thing': 0,
};

/** "(I'd do a full one for guests)": another day's way. */
const FOR_OTHERS = pattern(
  /\([^()]*\bfor (?:guests|company|visitors|a party|a crowd|the kids|others)\b[^()]*\)/,
);

const OF_ONE_PLATE = /\b(?:on|in|for) (?:mine|my (?:own|plate|bowl|half|share|portion))\b/;
/** What "(I use …)" says: a share of the line, another amount, or another food. */
function ownWay(way: string): OwnWay | null {
  // "(she drowns hers, I do a tbsp on mine)": of one plate
  if (OF_ONE_PLATE.test(way)) return null;
  const first = (/^[^,;]*?(?=\s+(?:and|&|because|as|since|then)\b|[,;]|$)/.exec(way)?.[0] ?? way).trim();
  const said = first.replace(/^(?:the )?/, '');
  // "half cashews half hazelnuts", "half and half white and rye": how a mixture is mixed
  if (/^half\b.*\bhalf\b/.test(way)) return null;
  const share =
    SHARES[said] ?? SHARES[said.replace(/ (?:of it|that|of that|the (?:can|tin|jar|amount))$/, '')];
  if (share !== undefined) return { share: [share, share, share], words: first };
  // "1/4 each" of it
  const each = said
    .replace(/\s+(?:now|nowadays|these days)$/, '')
    .replace(/\s+(?:each|apiece|a head|pp)$/, '');
  const r = new Reader(each, each);
  const found = readMeasures(r);
  const rest = r.text.slice(r.at).trim();
  if (found.measures.some((m) => m.stated || m.unit !== null) && !rest)
    return { measures: found.measures, words: first, each: /\b(?:each|apiece|a head|pp)\b/.test(said) };
  // "I do 2 tbsp + extra mushrooms"
  if (
    found.measures.some((m) => m.unit !== null) &&
    /^(?:\+|plus|and|&) (?:extra|more|some)\b[^\d]*$/.test(rest)
  )
    return { measures: found.measures, words: first };
  // "1 tsp in a spray over the whole lot": where it goes
  if (found.measures.some((m) => m.unit !== null) && /^(?:in|over|on|across|for|at)\b/.test(rest))
    return { measures: found.measures, words: first };
  const food = said
    .replace(/\s+(?:instead|for this|here|nowadays|these days)$/, '')
    // "the low-salt one": which of them
    .replace(
      /^(?!(?:full|small|big|whole|half|smaller|bigger|other|same|real)\b)([a-z-]+(?: [a-z-]+)?) ones?$/,
      '$1',
    );
  // "a full one", "it": no other food
  return /^[a-z]/.test(food) && !/\b(?:ones?|it|that|this|them)$/.test(food) ? { food, words: first } : null;
}

/** All that is said beside a line and is no part of its food's name, to be taken out before it is read. */
export const ASIDES: readonly Pattern[] = [
  WEIGHED_OTHERWISE,
  CAN_AVOID,
  WAS_ONCE,
  TO_CHECK,
  ENOUGH,
  IF_FOUND,
  IF_TAIL,
  OR_NOT,
  NO_BRACKET,
  LEAVE_TAIL,
  OWN_WAY,
  OWN_TAIL,
  LOST,
  SHARE_OF_IT,
  ANY_KIND,
  NOT_MINE,
];

/** What the asides of a line say: that it may be left out, and what the cook takes herself. */
export function asidesOf(text: string): {
  readonly optional: boolean;
  readonly none: boolean;
  readonly own: OwnWay | null;
} {
  const plain = IF_FOUND.replace(text, ' ');
  const ifTail = IF_TAIL.exec(plain);
  // "I use the reduced salt, 1½ tbsp is plenty": which one, and how much of it
  const enough = ENOUGH.exec(text)?.[1];
  const said = ENOUGH.replace(text, '');
  const way = (OWN_WAY.exec(FOR_OTHERS.replace(said, ' ')) ??
    OWN_TAIL.exec(said) ??
    LOST.exec(said) ??
    SHARE_OF_IT.exec(said))?.[1]?.trim();
  const plenty = enough === undefined ? null : ownWay(enough.trim());
  const own = way === undefined ? null : ownWay(way);
  return {
    optional:
      [OR_NOT, NO_BRACKET, LEAVE_TAIL, CAN_AVOID].some((pattern) => pattern.test(plain)) ||
      // "cashews, or tofu if there's a nut allergy": the other one is what depends
      (ifTail !== null && !/\bor\s/.test(plain.slice(0, ifTail.index))),
    none: NOT_MINE.test(text) || AND_I_DO.test(text),
    own: plenty?.measures ? { ...own, measures: plenty.measures, words: own?.words ?? plenty.words } : own,
  };
}
