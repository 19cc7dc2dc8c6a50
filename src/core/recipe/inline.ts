import { findFood, foodOfName, SURE } from '@/core/food/find';
import { isHarmless, tokens } from '@/core/food/tokens';
import { pattern } from '@/core/pattern/pattern';
import { readQuantity } from '@/core/measure/quantity';
import { readUnit } from '@/core/measure/units';
import { remember } from '@/core/memo';
import { clean } from './clean';
import { ofSeveral } from './of-several';
import { countedList } from './counted-list';
import { PREPARATION } from './alternatives';
import { COUNTED_BEHIND, startsAsStep, startsWithAmount, startsWithMeasure } from './score';
import { placed, type Stretch } from './source';
import { TAKES_PART } from './own-amounts';
import { isNamed } from './title-said';

/** "radishes on the side": the food alone. */
const withoutPlace = (words: string): string =>
  words.replace(
    /\s+(?:if (?:liked|wanted|desired|you (?:like|want|have (?:it|any|some)))|on the side|at the side|on top|over the top|alongside|to dip|for dipping)[.!]?$/i,
    '',
  );

/** "bay leaf, thyme" without amounts: a list of foods, unless it is one food turned round ("milk, soy"). */
function foodList(text: string): Stretch[] | null {
  const parts = text.split(/,\s+/);
  const last = parts.at(-1) ?? '';
  // "tomato, cucumber, parsley, for the top"
  if (
    parts.length > 2 &&
    /^(?:for (?:the )?[a-z]+|to (?:serve|finish|garnish|top)|on top|all chopped)[.!]?$/i.test(last)
  )
    parts.pop();
  if (parts.length < 2 || parts.length > 12 || parts.slice(1).some((p) => /^(?:an?|the|some|one)\s/i.test(p)))
    return null;
  const named = (words: string) =>
    (findFood(withoutPlace(words).toLowerCase().replace(/^and /, ''), '', 1)[0]?.confidence ?? 0) >= 0.9;
  const unknown = parts.filter((p) => !named(p) && !named(p.split(/ and | & /)[0] ?? ''));
  // "carrot, frobnik, walnuts": what nobody knows among names is one as well, never what is done to the first
  const isName = (words: string) =>
    /^(?!(?:lots|loads|plenty|some|more|extra|galore|tons|heaps|any|optional|whole|whatever|as|to|half|each)\b)[a-z]+(?: [a-z]+)?$/i.test(
      words,
    ) &&
    words
      .split(' ')
      .every(
        (w) => !PREPARATION.has(w.toLowerCase()) && !isHarmless(w.toLowerCase()) && !/(?:ed|ly)$/.test(w),
      );
  if (unknown.length > 0 && !(unknown.length === 1 && parts.length > 2 && isName(unknown[0] ?? '')))
    return null;
  if (parts.length === 2 && foodOfName(tokens(`${parts[1]} ${parts[0]}`))) return null;
  return placed(text, parts);
}

/** "drizzle of", "a good pinch of": an amount without a number. */
const BIT =
  /^(?:(?:and|plus|with) )?(?:an? )?(?:(?:good|little|big|small|generous|large) )?(?:drizzle|pinch|splash|squeeze|handful|fistful|dash|knob|spoonful|glug|slosh|dollop|sprinkling|scattering|dusting|sprigs?|blob|lump|thumb|inch|bunch|bit|touch|tin|can|jar|bag|packet|piece|stick|head|bulb|glass|mug|wineglass|carton|bottle|square|sheet|slice|sprinkle|scattering|grating|grind|swirl|strip|wedge|cube|nugget|drop) of\s+|^(?:and |plus )?enough (?!(?:to|for|of|that|so|as|is)\b)(?=[a-z])|^(?:and |plus )?(?:(?:good|little|big|small|generous|large) )?(?:thumb|inch|bunch|handful|pinch|knob|bulb|sprig|tin|jar|punnet) (?=[a-z]{3})/i;

/** "juice 1 lime", "zest and juice of half a lemon": so much of a fruit. */
const OF_A_FRUIT =
  /^(?:the )?(?:(?:finely )?grated )?(?:juice|zest|rind|peel)(?: (?:and|&|\+) (?:juice|zest))?(?: of)? (?:about )?(?:\d|[½¼¾⅓⅔]|half (?=[a-z])|an? |one\b|two\b|three\b|the (?:other )?(?:half|lemon|lime|orange))/i;

/** "red onions quartered", "potatoes cut in wedges": a name without what is done to it. */
function withoutEnd(words: string): string {
  const parts =
    words
      .split(/\s+(?:cut|torn|broken|sliced|chopped) (?:in|into)\b/)[0]
      ?.trim()
      .split(/\s+/) ?? [];
  while (parts.length > 1 && PREPARATION.has(parts.at(-1) ?? '')) parts.pop();
  return parts.join(' ');
}

/** "3 tbsp yogurt 1 tsp mustard a bit of lemon": further amounts with nothing before them. */
const RUN_ON =
  /(?<=[a-z)])(?<!\b(?:or|of|about|around|to|and|plus|with|in|per|a|an|the|from|by|for|at|each|x|than|only|just|maybe|another|say|max|least|most|now|then|instead))\s+(?=(?:[\d½¼¾⅓⅔][\d./]* ?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|ml|g|kg|oz|lbs?|[Tt]) |(?:a )?(?:bit|pinch|handful|splash|dash|squeeze|knob|drizzle) of )[a-z])/gi;
/** "stock made with": its amount is what comes. */
const GOES_ON = pattern(/\b(?:with|from|of|in|to|for|and|or|plus|using|about)$/i);
function runOns(text: string): RegExpExecArray[] {
  const opens =
    /^[^\d½¼¾⅓⅔]{0,24}[\d½¼¾⅓⅔][\d./]* ?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|ml|g|kg|oz|lbs?|[Tt]) [a-z]/i;
  // with commas in it, they are what parts it
  const bare = text.replace(/\([^()]*\)/g, '');
  if (/[,;]|->|→|>>/.test(bare)) return [];
  if (opens.test(text)) return [...text.matchAll(RUN_ON)];
  // "1 pepper 1 onion 3 cl garlic": each a number and a name
  const parts = text.split(/\s+(?=\d)/);
  const counted = (part: string) => {
    const name =
      /^\d[\d./]* (?:(?:cl|clv|cloves?|sticks?|ribs?|bulbs?|big|small|large|med|medium)\.? )?([a-z][a-z ]*)$/i.exec(
        part,
      )?.[1];
    return name !== undefined && !GOES_ON.test(name) && isNamed(name, SURE);
  };
  return parts.length > 1 && parts.every(counted) ? [...text.matchAll(/(?<=[a-z])\s+(?=\d)/gi)] : [];
}

/** "tomatoes chopped": what is done to the one before; "sliced tomato" is one of its own. */
const DONE_BEHIND =
  /\S\s+(?:chopped|sliced|diced|minced|grated|drained|rinsed|peeled|crushed)\b|^\s*(?:chopped|sliced|diced|minced|grated|drained|rinsed|peeled|crushed)(?:\s+(?:and|or|then|very|in|into|thin|fine|small|finely|thinly|up|well|at)\b|\s*$)/i;

/** "2 onions, 3 carrots, 1 tin tomatoes" on one line: a list, cut where a new food starts. */
function splitAtFoods(text: string, listed: boolean): Stretch[] {
  const start = 0;
  const whole: Stretch[] = [{ text, start, end: start + text.length }];
  const cuts = [...text.matchAll(/[,;]\s+|\s+\/\/\s+|(?<=\))\s+(?=\d+\s)/g), ...runOns(text)].sort(
    (a, b) => a.index - b.index,
  );
  if (cuts.length === 0) return whole;
  const pieces: { text: string; start: number }[] = [];
  let from = 0;
  for (const cut of [...cuts, null]) {
    const to = cut ? cut.index : text.length;
    const depth =
      (text.slice(0, to).match(/\(/g)?.length ?? 0) - (text.slice(0, to).match(/\)/g)?.length ?? 0);
    if (cut && depth > 0) continue;
    const piece = text.slice(from, to);
    const opensFood = (words: string) => {
      const lower = clean(words).toLowerCase();
      // "cooked in water not stock": what is done to the one before
      const [done = ''] = lower.split(' ');
      if (
        /ed$/.test(done) &&
        PREPARATION.has(done) &&
        /^[a-z]+ (?:in|with|to|till|until|on|at|and|for)\b/.test(lower)
      )
        return { food: false, amount: false };
      // "haldi 1/4 tsp": its amount behind it
      const named = COUNTED_BEHIND.exec(lower)?.[1];
      if (named && (findFood(withoutEnd(named), '', 1)[0]?.confidence ?? 0) >= SURE)
        return { food: true, amount: true };
      if (OF_A_FRUIT.test(lower)) return { food: true, amount: true };
      const q = readQuantity(lower, 0);
      const bit = BIT.exec(lower)?.[0].length ?? 0;
      const rest = lower.slice(bit || (q?.end ?? 0)).replace(/^\s*(?:x\s*\d+ ?(?:g|ml|oz)\s*(?=[a-z]))?/, '');
      const u = q ? readUnit(rest, rest, 0) : null;
      // "rye bread, one slice each", "hot sauce, a shake": how much of the one before
      const only = rest
        .slice(u?.end ?? 0)
        // "a tablespoon each. Bread is on the table": what the next sentence tells is no part of it
        .replace(/(?<=[a-z]{4})\.\s.*$/, '')
        .replace(
          /\b(?:each|apiece|per|a|head|person|plate|in all|total|at most|max|maybe|perhaps|about|or so|ish|of it)\b/g,
          '',
        );
      if ((q !== null || bit > 0) && !/[a-z]/.test(only)) return { food: false, amount: false };
      // "100 g oats, half of them blitzed": of the one before
      if (
        q !== null &&
        /^(?:of )?(?:it|them|these|those|which|the (?:lot|rest))\b/.test(rest.slice(u?.end ?? 0).trim())
      )
        return { food: false, amount: false };
      // "3 onions, two for frying, one for the masala": where they go
      if (q !== null && u === null && /^(?:for|goes?|of them|to|in|on|as|at|per|is|are|into)\b/.test(rest))
        return { food: false, amount: false };
      // "one lot blended with the milk": of the one before
      if (
        /^(?:one|half|two|some|the other|the rest)\s+(?:drained|undrained|rinsed|not\b|with (?:its|their|the)\b|in (?:its|their)\b|lots?|of them|of it|tins?|cans?|half)\b(?! of [a-z])/.test(
          lower,
        )
      )
        return { food: false, amount: false };
      if (/^(?:half (?:and|&|n) half|a shake|a twist)\b/.test(lower)) return { food: false, amount: false };
      const name = withoutEnd(
        withoutPlace(rest.slice(u?.end ?? 0))
          .replace(/[,(].*$/, '')
          // "one green pepper and one red"
          .replace(/\s+(?:&|and)\s+(?:an?|one|two|three|\d)\s.*$/, '')
          // "2 fat leeks"
          .replace(
            /^(?:(?:fat|big|large|small|good|nice|ripe|fresh|medium|juicy|plump|firm|little)\s+)+(?=[a-z])/,
            '',
          )
          // "olives for Robin"
          .replace(/\s+for (?:the )?[a-z]+\s*$/, '')
          // "enough soya milk to bring it together"
          .replace(/\s+to [a-z]+ (?:it|them|the|together)\b.*$/, ''),
      );
      const food = findFood(name, '', 1)[0];
      return {
        // in a list a bit of something unknown is still something of its own
        food:
          (food !== undefined && food.confidence >= SURE) ||
          (listed && (bit > 0 || u !== null)) ||
          (u?.unit.package === true && name !== ''),
        amount: bit > 0 || (q !== null && !q.article),
      };
    };
    const opens = opensFood(piece);
    if (pieces.length === 0 || (opens.food && (opens.amount || (listed && !DONE_BEHIND.test(piece)))))
      pieces.push({ text: piece, start: start + from });
    else {
      const last = pieces.at(-1);
      if (last) last.text = text.slice(last.start - start, to);
    }
    from = cut ? to + cut[0].length : to;
  }
  const counted = pieces.filter(
    (p) =>
      startsWithAmount(p.text) ||
      BIT.test(p.text) ||
      OF_A_FRUIT.test(p.text) ||
      COUNTED_BEHIND.test(clean(p.text).toLowerCase()),
  ).length;
  if (!listed && counted === 0 && !/\d/.test(text)) return foodList(text) ?? whole;
  if (pieces.length < 2 || (!listed && counted < 2)) return whole;
  return pieces.map((p, i) => {
    const joint = i > 0 ? (/^(?:and|plus|with|then)\s+/i.exec(p.text)?.[0].length ?? 0) : 0;
    const text = p.text.slice(joint).trimEnd();
    return { text, start: p.start + joint, end: p.start + joint + text.length };
  });
}

/** "sprig rosemary", "squeeze of lemon". */
const BIT_ALONE = pattern(
  /^(?:an? )?(?:sprigs?|pinch|squeeze|handful|bunch|splash|dash|stick|knob|thumb)(?: of)? [a-z]/i,
);
/** "600 ml milk / 45 g flour / bay leaf / 1 tsp mustard": a list by strokes, where two or more of it have an amount. */
function byStrokes(text: string): Stretch[] | null {
  const parts = text.split(/\s+[/|·•∙]\s+|(?<=[a-z)])\/(?=\d+ [a-z])/);
  const counted = parts.filter(
    (p) =>
      startsWithMeasure(p) ||
      /^\d+ [a-z]/i.test(p) ||
      BIT_ALONE.test(p) ||
      COUNTED_BEHIND.test(clean(p).toLowerCase()),
  ).length;
  // "800 g spuds / splash oat milk / NO marg / lots of pepper"
  const loose = (p: string) =>
    BIT.test(p) || /^(?:no|lots of|plenty of|some|splash|pinch|bit of) [a-z]/i.test(p) || isNamed(p, SURE);
  if (
    parts.length < 3 ||
    (counted < 2 && !(counted === 1 && startsWithMeasure(parts[0] ?? '') && parts.slice(1).every(loose)))
  )
    return null;
  return placed(text, parts);
}

/** Ends of sentences in a row; "approx. 200 g" and "1 tbsp. salt" go on. */
const SENTENCE_END =
  /(?<=[a-z)\]]{2}[.!;])(?<!\b(?:approx|tbsp|tsp|ca|incl|pkg|lb|oz|pt|qt|med|lg|sm)\.)\s+(?=[A-Z])/g;

/** "Book says 120, I halved it": somebody says or does something. */
const SOMEBODY_SAYS =
  /^(?:(?:the|my|our|her|his) )?(?:book|recipe|original|packet|box|label|[a-z]+)(?:'s)? (?:says?|said|calls? for|called for|uses?|used|wants?|has|had|puts?|likes?)\b/i;

/** True where words go on talking: they open with no amount and name none of what they tell. */
const goesOnTelling = (text: string): boolean =>
  (/^(?:if|without|with|it|that|this|there|there's|the|they|some|our|mine|ours|i|we|you)\b(?: \S+){4}/i.test(
    text,
  ) ||
    // "I do it dry."
    /^(?:I|We) [a-z]+ [a-z]+/.test(text) ||
    // "Bread's on the table."
    /^[A-Z][a-z]+(?:'s| (?:is|are)) (?:on|in|at|up|for|not|their|her|his)\b/.test(text) ||
    SOMEBODY_SAYS.test(text)) &&
  !startsWithAmount(text) &&
  !startsWithMeasure(text);

/** Words that list more: an amount with its measure, or a label. */
const MEASURED_OR_LABELLED =
  /\d ?(?:g|kg|ml|l|oz|lbs?|tbsps?|tsps?|cups?|tins?|cans?)\b|\b(?:tablespoons?|teaspoons?)\b|\b[A-Z][a-z]+(?: [a-z]+)?: /;

/** "Low 8 hrs.": how hot and how long. */
const HEAT_AND_TIME =
  /^(?:low|medium|high|gas|oven|fan|on (?:low|high|medium)|\d{3} ?(?:°|c\b|f\b|fan\b)?)[^.;]{0,20}?\b\d+[^.;]{0,8}?(?:hrs?|hours?|mins?|minutes?|h|m)\b/i;
/** Characters of a sentence that tell how it begins. */
const BEGINNING = 120;

/**
 * "600 g potatoes in wedges, two onions. Toss in 1 tbsp aquafaba, then roast.": the list of a row, and the sentences
 * behind it that tell what is done, each with its place.
 */
export function rowAndTold(row: Stretch): Stretch[] {
  const ends = [...row.text.matchAll(SENTENCE_END)];
  const open = (to: number) =>
    (row.text.slice(0, to).match(/\(/g)?.length ?? 0) > (row.text.slice(0, to).match(/\)/g)?.length ?? 0);
  // "8 slices of seeded wholemeal. Fills 4 rounds.": one line, and what is told behind it
  const rest = ends[0] ? row.text.slice(ends[0].index + ends[0][0].length) : '';
  const alone = startsWithAmount(row.text) && rest.split(' ').length > 2 && !MEASURED_OR_LABELLED.test(rest);
  const first = ends.find((end) => {
    const from = end.index + end[0].length;
    const rest = row.text.slice(from, from + BEGINNING);
    // "1 tsp salt in the original. I halve it.": how much of it is taken
    if (TAKES_PART.test(row.text.slice(end.index - 1)) && !SOMEBODY_SAYS.test(rest)) return false;
    if ((alone || HEAT_AND_TIME.test(rest)) && !open(end.index)) return true;
    return startsAsStep(rest) || (!open(end.index) && goesOnTelling(rest));
  });
  if (!first) return [row];
  const from = first.index + first[0].length;
  return [
    {
      text: row.text.slice(0, first.index).replace(/\.$/, ''),
      start: row.start,
      end: row.start + first.index,
    },
    { text: row.text.slice(from), start: row.start + from, end: row.end },
  ];
}

const splitList = remember((text: string) => splitAtFoods(text, true));
const splitLine = remember((text: string) => splitAtFoods(text, false));
/** "cumin 1 tsp and mustard seeds 1 tsp": two foods, each with its amount behind it. */
function byAnd(text: string): Stretch[] | null {
  // "lentils 1 and a half mugs" is one
  const parts = text.split(/\s+(?:and|&|\+|plus)\s+(?!an? (?:half|third|quarter)\b)/);
  const named = (part: string) => {
    const name = COUNTED_BEHIND.exec(clean(part).toLowerCase())?.[1];
    return name !== undefined && isNamed(withoutEnd(name), SURE);
  };
  const opens = (part: string) => BIT.test(part) || startsWithMeasure(part) || /^a few [a-z]/i.test(part);
  if (parts.length < 2 || parts.length > 4 || !named(parts[0] ?? '')) return null;
  return parts.slice(1).every((part) => named(part) || opens(part)) ? placed(text, parts) : null;
}

/** "toast x2 each (rye), avo ¼ each": foods that are each for everybody. */
function byEach(text: string): Stretch[] | null {
  const parts = text.split(/,\s+(?![^()]*\))/);
  const each = (part: string) =>
    /\b(?:each|apiece|pp)\b/i.test(part) &&
    /[\d½¼¾⅓⅔]|\b(?:an?|one|two|three|half)\b/i.test(part) &&
    /[a-z]{3,} |[a-z]{3,}$/i.test(part.replace(/\b(?:each|apiece|pp|half|one|two|three)\b/gi, ''));
  return parts.length > 1 && parts.every(each) && parts.every((p) => isNamed(nameOfEach(p), SURE))
    ? placed(text, parts)
    : null;
}
/** The name in "toast x2 each (rye)", "½ a pitta each". */
const nameOfEach = (part: string): string =>
  clean(part)
    .toLowerCase()
    .replace(
      /\(.*$|\b(?:each|apiece|pp)\b.*$|\bx ?\d\b|\d[\d./]* ?(?:g|ml|oz|tsps?|tbsps?)?\b|\b(?:an?|one|two|three|half|of|slices?)\b/g,
      ' ',
    )
    .trim();

/** "walnuts, seeds and dates: a handful of each": one amount for them all. */
const ofOneAmount = (text: string): Stretch[] | null =>
  ofSeveral(text) === text ? null : placed(text, [text]);

/** One row cut into the foods it lists, each with its place; `listed` where a heading opens the list. */
export const splitInline = (text: string, start: number, listed: boolean): Stretch[] =>
  (
    ofOneAmount(text) ??
    countedList(text) ??
    byStrokes(text) ??
    byAnd(text) ??
    byEach(text) ??
    (listed ? splitList(text) : splitLine(text))
  ).map((p) => ({
    text: p.text,
    start: p.start + start,
    end: p.end + start,
  }));
