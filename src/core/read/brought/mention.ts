import { numberOf } from '@/core/measure/quantity';
import { tokens as tableTokens } from '@/core/food/tokens';
import type { Larder } from '@/core/food/larder';
import { type Food } from '@/core/food/table';
import { measuresKey } from '../remembered';
import { type ClauseSpan, type Named, type Sentence } from '@/core/step/clauses';
import { ALIASES, CONJUNCTIONS, DEFINITE, DISHES } from '@/core/step/lexicon';
import { type Polarity, polarityOf } from '@/core/step/polarity';
import { type Token } from '@/core/step/tokens';
import { type ReadLine } from '../types';
import {
  amountBehind,
  countBehind,
  EACH_WEIGHED,
  furtherWords,
  MOST_BEHIND,
  onesBehind,
  WEIGHS_EACH,
} from './amount-after';
import {
  amountStart,
  OPENS_AMOUNT,
  pressedFrom,
  sameMeasure,
  sharedAmount,
  swappedAmount,
} from './amount-before';
import { PER_PIECE } from '@/core/recipe/each-last';
import { apposed, kindInBracket } from './apposed';
import { EACH, isForEach, onEach } from './for-each';
import { MORE } from './kinds';
import { isMeasure, STATES, MADE_FROM } from './measured';
import { type Scan, type Source, readPhrase, textOf } from './scan';

const AMOUNT_KEEPS =
  /\b(?:no|without|unsalted|unsweetened|salt-free|oil-free|sugar-free|salt free|drained|rinsed|in water|in oil|in brine|no added|(?:low|lower|reduced|less)[- ](?:salt|sodium|sugar|fat))\b/i;

/** "(leave them out for the low salt lot)": whom it is for, and not which one it is. */
const FOR_SOME = /\b(?:for|if|when|unless|leave|skip|omit|use|or)\b/i;

const CLAIMS = new Set(['no', 'without', 'unsalted', 'unsweetened']);

/** "250 g lentils (cooked weight)": how it was weighed. */
const WEIGHED = /^\s*(?:cooked|dry|dried|drained|raw|uncooked)(?: weight)?\s*$/i;

/** An amount that says next to nothing. */
const FEW = new Set(['a', 'few', 'some', 'little', 'couple', 'bit', 'of', 'handful']);
/** Kinds that are bought dry where they are soaked. */
const SOAKED_DRY = new Set(['bean', 'whole-grain', 'refined-grain']);
const THINGS = new Set('thing things recipe dish number situation'.split(' '));
/** What a food is counted in, behind its name. */
const PARTS_OF = new Set('leaf leaves cloves stalks sticks sprigs ribs florets spears'.split(' '));
export interface Mention {
  readonly food: Food;
  readonly from: number;
  readonly to: number;
  readonly words: readonly string[];
  readonly polarity: Polarity;
  readonly definite: boolean;
  readonly more: boolean;
  /** The amount and the name as written. */
  readonly phrase: string;
  readonly phraseFrom: number;
  /** Place behind its words: of "a pitta between two" behind all of them. */
  readonly phraseTo: number;
  /** The phrase read as a line of ingredients. */
  readonly read: ReadLine | null;
  /** A number or a measure stands before it. */
  readonly stated: boolean;
}

const INTO = new Set(['in', 'into']);
/** Whether all that a reading is measured in is measured by eye, or it may be nothing. */
const saidByEye = (read: ReadLine | null): boolean =>
  read?.foods[0]?.grams?.low === 0 ||
  read?.words?.foods.every((f) => f.measures.every((m) => m.unit?.kind === 'vague')) === true;
const IN_DISH = new Set(['it', 'this', 'here', 'mine', 'ours']);
/** "(I'm down to 60 now)": what the cook takes of it. */
const OWN_WAY = /^\s*\((?:i|we)(?:'m|'ve|'re)?\s[^()]{3,48}\)/i;
const A_WEIGHT = /(?:^|\s)(?:[\d.,/½¼¾]+ ?(?:kg|g|oz|lbs?|grams?|kilos?)|(?:a|one|half a) (?:kilo|pound))$/i;
const isCount = (t: Token): boolean => t.kind === 'number' || numberOf(t.word) !== null;
/** " (about a kilo)" where a food that is only counted is weighed behind its name. */
function weightBehind(source: Source, s: Sentence, start: number, from: number, to: number): string {
  const counted = s.tokens.slice(start, from);
  const measured = counted.some((t) => isMeasure(t.word) && !SIZES.has(t.word) && !PACKED.has(t.word));
  // "half a bag (100 g)": of the half or of the whole
  const part = counted.some((t) => ['half', 'quarter', 'third'].includes(t.word) || /[½¼¾⅓⅔]/.test(t.word));
  if (measured || part || !counted.some(isCount)) return '';
  // "a jar of peppers, drained, 200 g"
  const state = s.tokens[to]?.word === ',' && STATES.has(s.tokens[to + 1]?.word ?? '') ? to + 2 : to;
  const behind = amountBehind(s, state);
  const words = behind && behind.states.length === 0 ? textOf(source, s, behind.from, behind.to) : '';
  return A_WEIGHT.test(words) ? ` (${words})` : '';
}
const LIQUID_OF_TIN = new Set(['aquafaba', 'pickle-brine']);
const PACKED = new Set(
  'bag jar tin can pack packet block tub carton punnet pouch box tray bunch head'.split(' '),
);
const SIZES = new Set(['small', 'large', 'medium', 'big', 'whole', 'good', 'little']);

/** " between two" behind an amount. */
const betweenSome = (s: Sentence, at: number): string =>
  s.tokens[at]?.word === 'between' && ['two', 'three', '2', '3'].includes(s.tokens[at + 1]?.word ?? '')
    ? ` between ${s.tokens[at + 1]?.word}`
    : '';

/** ", short grain brown, 300 g": which one, and how much of it, behind its name. */
/** Words behind a food, and how many of it everybody has: " with it: wholemeal, one each". */
const COUNT_EACH =
  /^((?:\s+[a-z]+){0,5})\s*[,:(–—-]+\s*(?:(wholemeal|wholewheat|wholegrain|brown|white|rye|seeded|small|large|big|plain),?\s+)?(an?|one|two|three|four|half|\d|½)((?: of (?:one|them))?|(?: (?:thick |thin |big |small )?(?:slices?|pieces?))?) (?:each|apiece|per (?:person|head))\b(?:\s*,\s*(wholemeal|wholewheat|wholegrain|brown|white|rye|seeded|granary)\b)?/i;
const KIND_THEN_AMOUNT =
  /^\s*(?:[,:]|is\b|are\b)\s*([a-z]+(?:[ -][a-z]+){0,2})\s*,\s*((?:about |around )?\d[\d.]* ?(?:g|kg|oz|lbs?|cups?|ml)(?: (?:dry |raw |cooked |uncooked )?(?:each|a head|per (?:person|head)|pp))?)\b/i;

const A_HEAD = / (?:dry |raw |cooked |uncooked )?(?:each|a head|per (?:person|head)|pp)$/i;

/** " (leftover, brown)" behind an amount: which one it is. */
function bracketed(source: Source, s: Sentence, from: number): string {
  let k = from;
  while (STATES.has(s.tokens[k]?.word ?? '')) k += 1;
  if (s.tokens[k]?.word !== '(') return '';
  for (let n = k + 1; n < Math.min(s.to, k + 6); n += 1) {
    const t = s.tokens[n];
    if (t?.word === ')') return ` ${textOf(source, s, k, n + 1)}`;
    if (t?.kind !== 'word' && t?.word !== ',') return '';
  }
  return '';
}

/** What is strewn on a dish may be other seeds than those in it. */
const STREWN = new Set(['sprinkle', 'scatter', 'top', 'garnish', 'strew', 'finish', 'serve']);

/** Words by which a dish is eaten beside this one. */
const BESIDE = new Set('with over on alongside beside add plus and'.split(' '));
/** "the squash soup": what the dish is called, and not "with potato salad", which is another. */
const namesDish = (s: Sentence, from: number, to: number): boolean =>
  DISHES.has(s.tokens[to]?.normal ?? '') &&
  !s.tokens[to]?.glued &&
  ![1, 2].some((k) => BESIDE.has(s.tokens[from - k]?.word ?? ''));

const mentions = new WeakMap<Larder, WeakMap<Sentence, Map<string, Mention | null>>>();

/**
 * What a sentence says of one of its foods: its amount, which one it is, whether it goes in. Remembered for as long as the
 * sentence is, since it depends on nothing else of the recipe than for how many it is.
 *
 * @param told whether the words name a kind, and not the food that they mean here
 */
export function mentionOf(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  from: number,
  to: number,
  id: string,
  told = false,
): Mention | null {
  const { settings, servings, pieces, prose } = scan;
  const larder = settings.readingsOf ?? scan.larder;
  let all = mentions.get(larder);
  if (!all) mentions.set(larder, (all = new WeakMap()));
  let own = all.get(s);
  if (!own) all.set(s, (own = new Map()));
  const key = `${c.from} ${from} ${to} ${id} ${told} ${source.tail} ${prose} ${servings} ${pieces} ${settings.natural === true} ${measuresKey(settings.measures)}`;
  const known = own.get(key);
  const shelf = scan.larder.recipes;
  // a recipe may have come onto the shelf since, and what it brings depends on which ones are being read
  const ofShelf = (m: Mention | null) =>
    m?.read?.foods.some(
      (f) => f.cycle || f.food?.id.startsWith('recipe-') || (shelf?.has(f.text) ?? false),
    ) === true;
  if (known !== undefined && !ofShelf(known)) return known;
  const m = mentionNow(scan, source, s, c, from, to, id, told);
  if (!ofShelf(m)) {
    if (own.size >= MOST_MENTIONS) own.clear();
    own.set(key, m);
  }
  return m;
}
const MOST_MENTIONS = 60;

function mentionNow(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  from: number,
  to: number,
  id: string,
  told: boolean,
): Mention | null {
  const food = scan.larder.foodById(id);
  if (!food) return null;
  // "two squirts per paratha": what is made
  if (s.tokens[from - 1]?.word === 'per') return null;
  // "right, the black bean thing": what the dish is called
  if (THINGS.has(s.tokens[to]?.word ?? '') && DEFINITE.has(s.tokens[from - 1]?.word ?? '')) return null;
  // "you asked for the squash soup"
  if (scan.prose && namesDish(s, from, to) && amountStart(s, c, from) === from) return null;
  // "croutons from 1 slice of bread": what is made of what follows
  const makes = MADE_FROM.has(s.tokens[to - 1]?.normal ?? '') && s.tokens[to]?.word === 'from';
  if (makes && (s.tokens[to + 1]?.kind === 'number' || OPENS_AMOUNT.has(s.tokens[to + 1]?.word ?? '')))
    return null;
  // "the other half goes in Ines's porridge": where it goes
  if (/['’]s$/.test(s.tokens[from - 1]?.word ?? '') && INTO.has(s.tokens[from - 2]?.word ?? '')) return null;
  // "there's salt in the beans": where it is already
  const there =
    s.tokens[to]?.word === 'in' &&
    (s.tokens[from - 1]?.word === "there's" ||
      (['is', 'are'].includes(s.tokens[from - 1]?.word ?? '') && s.tokens[from - 2]?.word === 'there'));
  // "there's tahini in it, 30 g": in the dish itself, unless it is there already
  const already = s.tokens
    .slice(s.from, s.to)
    .some((t) => ['already', 'enough', 'anyway', 'plenty'].includes(t.word));
  const dish = !already && IN_DISH.has(s.tokens[to + 1]?.word ?? '');
  if (there && !dish && amountStart(s, c, from) === from) return null;
  const shared = sharedAmount(source, s, c, from) ?? swappedAmount(source, s, c, from);
  const pressed = pressedFrom(s, c, from);
  const start = amountStart(s, c, Math.min(pressed, from));
  const before = s.tokens[start - 1]?.word ?? '';
  // "aquafaba from a can of chickpeas": the rest of the can is another dish's
  if (before === 'from' && PACKED.has(s.tokens[start + 1]?.word ?? '')) {
    const poured = s.named.slice(0, Math.max(0, start - s.from)).findLast((n) => n?.kind === 'food');
    if (poured?.kind === 'food' && LIQUID_OF_TIN.has(poured.id)) return null;
  }
  // "the lime and nori": one article for both
  const joined =
    before === 'and' && s.named[start - 2 - s.from]?.kind === 'food'
      ? (s.named[start - 2 - s.from] as Named).from
      : -1;
  const definite =
    DEFINITE.has(before) ||
    DEFINITE.has(s.tokens[from - 1]?.word ?? '') ||
    (joined > 0 && DEFINITE.has(s.tokens[joined - 1]?.word ?? '')) ||
    // "add lentils, seeds, rice": those of the list, as no cook says which twice
    (start === from &&
      to === from + 1 &&
      s.tokens[from]?.normal === 'seed' &&
      c.verb !== null &&
      !STREWN.has(c.verb.verb.id));
  const spoken = s.tokens.slice(Math.max(s.from, start - 2), from).map((t) => t.word);
  const polarity = polarityOf(s, c, from, to);
  const words = tableTokens(
    s.tokens
      .slice(from, to)
      .map((t) => t.word)
      .join(' '),
  );
  // an alternative behind another food: "water or oil"
  const or =
    s.tokens[start - 1]?.word === 'or' && s.named.slice(0, start - 1 - s.from).some((n) => n !== null);
  const alternative: Polarity = polarity === 'do' && or ? 'alternative' : polarity;
  // "9 butter lettuce leaves": so many of what comes of it
  const piece = start < from && PARTS_OF.has(s.tokens[to]?.word ?? '') ? 1 : 0;
  const same = sameMeasure(s, start, from);
  const phrase = same
    ? `${same}${textOf(source, s, from, to + piece)}`
    : `${shared ? `${shared} ` : ''}${textOf(source, s, start, to + piece)}`;
  let notes = '';
  if (s.tokens[to]?.word === ',' || s.tokens[to]?.word === '(') {
    const end = Math.min(s.to, to + 9);
    let k = to + 1;
    while (k < end && s.tokens[k]?.kind !== 'mark') k += 1;
    const behind = textOf(source, s, to + 1, k);
    const another = s.tokens
      .slice(to + 1, k)
      .some((t, n) => t.kind === 'number' || s.named[to + 1 + n - s.from]?.kind === 'food');
    // "(no, really)" refuses nothing
    const emphatic = /^(?:no|without)$/i.test(behind.trim()) && s.tokens[k]?.word === ',';
    if (
      !another &&
      !emphatic &&
      !FOR_SOME.test(behind) &&
      (AMOUNT_KEEPS.test(behind) || WEIGHED.test(behind))
    )
      notes = `, ${behind}`;
  } else if (['drained', 'rinsed'].includes(s.tokens[to]?.word ?? '')) notes = `, ${s.tokens[to]?.word}`;
  else if (CLAIMS.has(s.tokens[to]?.word ?? '')) {
    // "2 tins of tomatoes no salt": which ones
    let k = to + 1;
    while (
      k < Math.min(s.to, to + 4) &&
      s.tokens[k]?.kind === 'word' &&
      !CONJUNCTIONS.has(s.tokens[k]?.word ?? '')
    )
      k += 1;
    const behind = textOf(source, s, to, k);
    if (AMOUNT_KEEPS.test(behind) && !/\b(?:in|to|on)\b/.test(behind)) notes = `, ${behind}`;
  }
  // what is soaked goes in dry
  if (c.verb?.verb.id === 'soak' && SOAKED_DRY.has(food.kind) && !STATES.has(s.tokens[from - 1]?.word ?? ''))
    notes += ', dried';
  // "a pitta between two"
  const eaters = s.tokens[to + 1]?.word ?? '';
  const shares = s.tokens[to]?.word === 'between' && ['two', 'three', '2', '3'].includes(eaters);
  if (shares && start < from) notes = ` between ${eaters}${notes}`;
  let read: ReadLine | null = null;
  if (alternative === 'do' || alternative === 'optional' || alternative === 'alternative') {
    const serves = c.verb?.verb.id === 'serve' ? ', to serve' : '';
    // as many as are made are all of them
    const allPieces = scan.pieces !== scan.servings && PER_PIECE.test(textOf(source, s, s.from, s.to));
    const each = isForEach(s, to)
      ? ' each'
      : start < from
        ? onEach(s, c, start, from).replace(allPieces ? /, plus more$/ : /$^/, '')
        : '';
    const more = s.tokens.slice(start, from).some((t) => t.word === 'more')
      ? ''
      : furtherWords(source.text, s, c, to, start < from);
    // "take one butternut, about a kilo": counted, and weighed behind its name
    const heavy = start < from ? weightBehind(source, s, start, from, to) : '';
    notes += heavy;
    const end = s.tokens[to - 1]?.end ?? 0;
    const behind = source.text.slice(end, MOST_BEHIND + end);
    if (start < from) notes += OWN_WAY.exec(behind)?.[0] ?? '';
    const one = WEIGHS_EACH.exec(behind)?.[1];
    if (one && start < from) notes += ` (${one})`;
    // "a slice of rye each (40 g)"
    const ofEach = each && start < from && !one ? (EACH_WEIGHED.exec(behind)?.[1] ?? '') : '';
    const named = told ? `${textOf(source, s, start, from)} ${food.name.replace(/,.*$/, '')}` : phrase;
    const line = (text: string) => readPhrase(scan, text, allPieces ? scan.pieces : scan.servings);
    read = line(`${named}${notes}${serves}${each}${ofEach}${start < from ? more : ''}`);
    if (read.missing === 'food' && start < from) {
      // words that say how it looks stand between the amount and the name
      const plain = s.tokens
        .slice(start, from)
        .filter(
          (t) =>
            t.kind !== 'word' ||
            /^(?:an?|half|of|one|two|three|four|five|six|seven|eight|nine|ten|dozen|couple|few)$/.test(
              t.word,
            ) ||
            isMeasure(t.word),
        )
        .map((t) => t.word)
        .join(' ');
      const again = line(
        `${plain} ${s.tokens
          .slice(from, to)
          .map((t) => t.word)
          .join(' ')}${notes}${serves}${each}${more}`,
      );
      if (again.missing !== 'food') read = again;
    }
    const bare = s.tokens
      .slice(start, from)
      .every((t) => t.kind === 'word' && !isMeasure(t.word) && !OPENS_AMOUNT.has(t.word));
    // "a drizzle of syrup (I allow us a teaspoon each)": what is said by eye is said again in spoons
    const few =
      s.tokens.slice(start, from).every((t) => FEW.has(t.word)) ||
      (start < from &&
        read.words?.foods.every((f) => f.measures.every((m) => m.unit?.kind === 'vague')) === true);
    // "(in brine, 340 g drained)": what the line's own food weighs
    const lain = source.tail && s.tokens[from - 1]?.word === 'in';
    const later = (bare || few) && !lain ? amountBehind(s, to) : null;
    // "a few almonds (10 g each)" are not almonds of 10 g
    const lacks = read.missing === 'amount';
    const amount = later && (bare || few || lacks || later.states.some((w) => EACH.has(w))) ? later : null;
    if (amount && (few || !read.words?.foods.some((f) => f.measures.length > 0))) {
      const heads = amount.states.filter((w) => ['each', 'pp', 'apiece'].includes(w));
      const state = amount.states.filter((w) => !heads.includes(w)).join(' ');
      const again = line(
        `${textOf(source, s, amount.from, amount.to)} ${state} ${few ? textOf(source, s, from, to) : phrase}${kindInBracket(s, to)}${bracketed(source, s, amount.to)}${heads.length > 0 ? ' each' : onEach(s, c, amount.from, amount.to)}${betweenSome(s, amount.to)}${serves}${more}`,
      );
      if (again.missing === null) read = again;
    }
    // "a roll with it: wholemeal, one each"
    const [, between = '', which = '', count, unit = '', kindOf = ''] = COUNT_EACH.exec(behind) ?? [];
    const passed = between.split(/\s+/).filter(Boolean).length;
    const another = s.named.slice(to - s.from, to + passed - s.from).some((n) => n?.kind === 'food');
    if (count && !another) {
      const of = /slice|piece/.test(unit) ? `${unit.trim()} ` : '';
      const again = line(`${count} ${of}${which || kindOf} ${textOf(source, s, from, to)} each${serves}`);
      if (again.missing === null) read = again;
    }
    // "rice, short grain brown, 300 g"
    const [, kind, much] = (bare && !amount && KIND_THEN_AMOUNT.exec(behind)) || [];
    if (kind && much) {
      const heads = A_HEAD.exec(much)?.[0] ?? '';
      const again = line(
        `${much.slice(0, much.length - heads.length)}${/ (?:dry|raw|cooked|uncooked)/.exec(heads)?.[0] ?? ''} ${kind} ${textOf(source, s, from, to)}${heads ? ' each' : ''}${serves}`,
      );
      if (again.missing === null) read = again;
    }
    // "tortillas, 2 corn ones each"
    const ones =
      (bare || few) && !amount
        ? (onesBehind(s, to) ?? (scan.prose || few || s.tokens[to]?.word === '(' ? countBehind(s, to) : null))
        : null;
    if (ones) {
      const heads = EACH.has(s.tokens[ones.to + 1]?.word ?? '') ? ' each' : '';
      const again = line(
        `${textOf(source, s, ones.from, ones.to)} ${textOf(source, s, from, to)}${heads}${serves}`,
      );
      if (again.missing === null) read = again;
    }
    // "a tin of coconut milk, the light one, half of it"
    const inside = amount !== null && s.tokens[to]?.word === '(';
    const pieces = inside ? null : apposed(source, s, to, start < from);
    const whole = pieces === null ? null : line(`${named}${pieces}${notes}${serves}${each}`);
    // "a ladle of stock, the low salt kind, a litre and a half": of all of it
    const anew =
      pieces !== null && (few || saidByEye(whole))
        ? line(`${textOf(source, s, from, to)}${pieces}${notes}${serves}${each}`)
        : whole;
    const toldOf = anew?.missing === null && anew.foods.length === 1;
    if (toldOf) read = anew;
    // "rice, 60 g dry": what is said of it is more than what the plain word means in a sentence
    const said = toldOf || kind !== undefined || (amount !== null && amount.states.length > 0);
    if (!said && read.foods[0]?.food && read.foods[0].food.kind !== food.kind && ALIASES.at(s.tokens, from))
      read = null;
  }
  const measured =
    read?.words?.foods.some((f) => f.measures.some((m) => m.stated || m.unit !== null)) ?? false;
  return {
    food: read?.foods[0]?.food ?? food,
    from,
    to,
    words,
    polarity: alternative,
    definite,
    more: spoken.some((w) => MORE.has(w)),
    phrase: measured ? `${phrase}${shares ? ` between ${eaters}` : ''}` : textOf(source, s, from, to),
    phraseFrom: start,
    phraseTo: shares && measured ? to + 2 : to,
    read,
    stated: measured,
  };
}
