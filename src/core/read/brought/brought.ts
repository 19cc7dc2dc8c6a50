import { SURE } from '@/core/food/find';
import { amongPlaces } from '@/core/recipe/among-places';
import { amountsNamedFirst } from '@/core/recipe/named-first';
import { amountBehind } from '@/core/recipe/behind';
import { ofAllBatches, onEachDay, standsInFor, styled } from '@/core/recipe/put-otherwise';
import { otherwiseIn, oursIn } from '@/core/recipe/told-again';
import { isNamed } from '@/core/recipe/title-said';
import type { Recipe } from '@/core/recipe/source';
import { TABLE_LARDER, type Larder } from '@/core/food/larder';
import { tokens } from '@/core/food/tokens';
import { remember } from '@/core/memo';
import { type Named, type Sentence, sentencesOf } from '@/core/step/clauses';
import { DETERMINERS, MADE, NEGATORS } from '@/core/step/lexicon';
import { polarityOf } from '@/core/step/polarity';
import { afterAll } from './after-all';
import { isBygone } from '@/core/step/bygone';
import { isRemark } from '@/core/step/remark';
import { isOthers } from '@/core/step/somebody';
import { answersNo, takesBack } from '@/core/step/taken-back';
import { tokensOf, wordAt } from '@/core/step/tokens';
import { coverOf, refersTo } from '../refer';
import { type ReadLine, type ReadServings, type ReadSettings } from '../types';
import { KINDS } from './apposed';
import { bringsItsOwn, MADE_THINGS, madeBehindDash, madeInBracket } from './made-of';
import { leftOver, leftOverOfRows } from './left-over';
import { deeds, otherMedium } from './deeds';
import { DAIRY, FATS, PROMISED } from './kinds';
import { numberOf } from '@/core/measure/quantity';
import { isMeasure } from './measured';
import { PRESSED } from './amount-before';
import { mentionOf, type Mention } from './mention';
import { ownShare } from './own-share';
import { larger } from './more';
import { namerOf } from './namer';
import { orphanAmounts } from './orphans';
import { type Scan, type Source, foodsOf, SURE_OF_KIND } from './scan';
import { strayAmounts } from './stray';
import { take } from './take';
import { unknowns } from './unknowns';
import { unnamed } from './unnamed';
import { vague } from './vague';

/** Characters of an ingredient line beyond which its end is not looked at again. */
const MOST_TAIL = 300;

/** Where a line's tail begins; the stroke of "stir-fry veg" opens none. */
const TAIL_OPENS = /(?:[,(;]|(?<![a-z])-|-(?![a-z])).*$/i;

/** `Chickpea "tuna"`: what is called so is not. */
const SO_CALLED =
  /["“”][^"“”]{2,30}["“”]|\b[a-z]+-(?:ish|esque|like|style)\b|\([^()]{2,30} ish\)|\((?:sort of|kind of|a sort of|a kind of|almost|nearly|not quite|a bit like|like|aka|a\.k\.a\.)[^()]{2,30}\)/gi;

/** "half cashews half hazelnuts": how a food is mixed. */
const HALF_OF_EACH = /\bhalf (?!an? |of )[a-z]+(?:,| and| &)? half (?!an? |of )[a-z]+/gi;
/** "12 rolls / 4 people": the pieces that it makes are none of its foods. */
const PIECES_MADE =
  /^\W*(?:makes |about )*\d+(?:\s*[-–]\s*\d+)?\s+[a-z ]{2,24}?(?=\s*(?:[/(,=;–-]|\bor\b|\bfor\b)\s*(?:about |serves |feeds |for |enough )*\d+(?:\s*[-–]\s*\d+)?\s+(?:people|servings|portions|eaters|diners|plates|of us)\b)/i;
/** A whole row in quotation marks: somebody else's words. */
const QUOTED = /^\s*["“][^"“”]+["”]\s*$/;
/** "What I actually do: …": what is told before it in somebody else's words is not done here. */
const OURS =
  /^\W*(?:(?:what|how) (?:i|we) (?:actually |really |now )*(?:do|make|cook|use)\b|(?:my|our) (?:own )?(?:way|version)\b)/i;
/** "Garlic: 1 clove, raw": a food that is its own label, and how much of it. */
const FOOD_LABEL = /(?<=^|[.!?;]\s+)([A-Z][a-z' -]{2,24}):(?=\s+([^,.;!?()]{1,24})(?:[,.;!?(]|$))/g;
/** "Crushed peanuts on top? 1 tbsp, optional": what is asked is answered by how much. */
const ASKED_HOW_MUCH =
  /(?<=^|[.!?;]\s+)((?!(?:what|how|why|who|whom|when|where|which|can|could|do|does|did|is|are|was|should|would|will|shall|have|has)\b)[a-z][^.?!;:]{2,40})\?(?=\s+(?:about |around |just |only |say |maybe )?(?:\d|half\b|an? (?!no\b)|one\b|two\b|three\b|optional\b|if you\b))/gi;
const withAmounts = (text: string): string =>
  otherwiseIn(
    ofAllBatches(onEachDay(standsInFor(styled(oursIn(amongPlaces(amountsNamedFirst(text), true)), true)))),
  )
    .replace(ASKED_HOW_MUCH, '$1,')
    .replace(FOOD_LABEL, (all: string, name: string, told: string) => {
      const said = told
        .trim()
        .toLowerCase()
        .replace(/ (?:each|apiece|pp|(?:a|per) (?:head|person|plate))$/, '');
      // "Oil: the recipe has 80 ml" tells, and is no label with its amount
      return amountBehind('', said)?.before === '' && isNamed(name, SURE) ? `${name},` : all;
    });

const blank = (said: string): string => ' '.repeat(said.length);

const MOST_OF_NAME = 9;
/** A sentence of a few words without a deed or a number. */
const isName = (s: Sentence): boolean =>
  s.to - s.from <= MOST_OF_NAME &&
  s.label.length === 0 &&
  s.clauses.every((c) => c.verb === null) &&
  s.tokens
    .slice(s.from, s.to)
    .every((t) => t.kind !== 'number' && t.word !== ':' && !isMeasure(t.word) && !NEGATORS.has(t.word)) &&
  s.named.filter((n) => n?.kind === 'food').length <= 4;

type Told = Pick<Recipe, 'steps' | 'title'> & Partial<Pick<Recipe, 'notes' | 'lines'>>;

/** Lines below a heading by which it is a part that is made of them. */
const FEWEST_OF_PART = 2;
const NAMES_PART = /^(?:for )?(?:the|my|our|your|her|his) [a-z][a-z' -]{2,24}$/i;
const IS_QUOTED = /^["“'].*["”']$/;
/**
 * What the parts of a list are called, each once. "for the feta" over tofu and miso is what is made of them, and no cheese;
 * "“cheese”" is only called so.
 */
function partNames(lines: readonly { readonly section: string | null }[]): string[] {
  const many = new Map<string, number>();
  for (const { section } of lines) if (section) many.set(section, (many.get(section) ?? 0) + 1);
  return [...many].flatMap(([name, count]) =>
    IS_QUOTED.test(name) || (NAMES_PART.test(name.trim()) && count >= FEWEST_OF_PART) ? [] : [name],
  );
}

const MADE_OF = new Set(['is', 'are', '=', 'was', "'s"]);
const FEWEST_FOODS = 2;
/** "the dressing is lemon + vinegar + oregano": what a part that is made here is called; null where none is told. */
function partToldIn(s: Sentence): string | null {
  const labelled = s.label.length > 0 && s.label.length <= 3 ? s.label.at(-1) : undefined;
  const opensAt = (k: number): boolean => {
    const before = s.tokens[k - 1];
    return k <= s.from + 2 || before?.kind === 'mark' || DETERMINERS.has(before?.word ?? '');
  };
  const at = s.tokens
    .slice(s.from, s.to)
    .findIndex(
      (t, n, all) => MADE.has(t.normal) && MADE_OF.has(all[n + 1]?.word ?? '') && opensAt(s.from + n),
    );
  const subject = at < 0 ? undefined : s.from + at;
  const part = labelled && MADE.has(labelled.normal) ? labelled : s.tokens[subject ?? -1];
  if (!part) return null;
  const from = subject === undefined ? s.from : subject + 2;
  const foods = new Set(s.named.slice(from - s.from).filter((n) => n?.kind === 'food'));
  // "dressing: just balsamic"
  const only = ['just', 'only', 'simply'].includes(s.tokens[from]?.word ?? '') && foods.size > 0;
  const refused = s.tokens.slice(from, from + 2).some((t) => NEGATORS.has(t.word));
  return (only || foods.size >= FEWEST_FOODS) && !refused ? part.normal : null;
}

const parsed = new WeakMap<Larder, (text: string) => readonly Sentence[]>();

/** The sentences of a text by the foods of a larder, parsed once: a method is read again with nearly all of it as it was. */
function sentencesBy(larder: Larder): (text: string) => readonly Sentence[] {
  let parse = parsed.get(larder);
  if (!parse) {
    const namer = namerOf(larder);
    parsed.set(larder, (parse = remember((text) => sentencesOf(tokensOf(text), namer))));
  }
  return parse;
}

/** All sentences of a recipe parsed, with what its list accounts for; what they bring is not read yet. */
export function scanOf(
  recipe: Told,
  lines: readonly ReadLine[],
  settings: ReadSettings,
  plates: ReadServings,
): Scan {
  const larder = settings.larder ?? TABLE_LARDER;
  const parse = sentencesBy(larder);
  const sections = partNames(recipe.lines ?? []);
  const told = [...recipe.steps, ...(recipe.notes ?? [])];
  const ours = told.find((x) => OURS.test(x.text))?.start ?? -1;
  const isTheirs = (x: { text: string; start: number }) => x.start < ours && QUOTED.test(x.text);
  const sources: Source[] = [
    ...recipe.steps.map((x, step) => ({
      ...x,
      text: withAmounts(x.text),
      step,
      names: false,
      tail: false,
    })),
    ...(recipe.notes ?? []).map((x) => ({
      ...x,
      text: withAmounts(x.text.replace(PIECES_MADE, blank)),
      step: null,
      names: false,
      tail: false,
    })),
    ...lines.flatMap((l): Source[] => {
      const tail = l.line.text.length > MOST_TAIL ? null : TAIL_OPENS.exec(l.line.text);
      return tail && tail.index > 2
        ? [
            {
              text: tail[0].slice(1).replace(HALF_OF_EACH, blank),
              start: l.line.start + tail.index + 1,
              end: l.line.end,
              step: null,
              names: false,
              tail: true,
              line: l,
            },
          ]
        : [];
    }),
    ...(settings.names === false
      ? []
      : [recipe.title.replace(SO_CALLED, ' '), ...sections].map((text) => ({
          text,
          start: 0,
          end: 0,
          step: null,
          names: true,
          tail: false,
        }))),
  ];
  // told in prose, what comes first is said first
  if (lines.length === 0) sources.sort((a, b) => Number(a.names) - Number(b.names) || a.start - b.start);
  const sentences = sources.flatMap((source) =>
    (isTheirs(source) ? [] : parse(source.text)).map((sentence) => ({ source, sentence })),
  );
  // "Right, tomato and lentil pasta.": told without a list, what it is called
  const opens = sentences.findIndex(({ source }) => !source.names);
  const first = sentences[opens];
  if (lines.length === 0 && first && sentences.length > opens + 2 && isName(first.sentence))
    sentences[opens] = { ...first, source: { ...first.source, names: true } };
  const cover = coverOf(lines, recipe.title);
  const parts = sentences.flatMap(({ sentence }) => partToldIn(sentence) ?? []);
  return {
    recipe,
    lines,
    cover: parts.length > 0 ? { ...cover, partHeads: new Set([...cover.partHeads, ...parts]) } : cover,
    settings,
    larder,
    servings: plates.range.best,
    pieces: plates.pieces ?? plates.range.best,
    prose: lines.length === 0,
    out: [],
    said: new Map(),
    sentences,
    fat: false,
    noFat: false,
  };
}

/**
 * Foods that the sentences of a recipe bring and no ingredient line accounts for, as lines of their own: found by the same
 * finder, their amounts read by the same reader. Covers by meaning, adds up amounts said in several sentences, and takes a
 * technique that means fat at its word. One that is not understood is a line that is said not to be.
 *
 * @param plates how many it feeds, for readings a plate
 */
export function broughtBy(
  recipe: Told,
  lines: readonly ReadLine[],
  settings: ReadSettings,
  plates: ReadServings,
): ReadLine[] {
  const scan = scanOf(recipe, lines, settings, plates);
  const { sentences } = scan;
  const back = new Set<unknown>();
  sentences.forEach(({ source, sentence }, i) => {
    const next = sentences[i + 1];
    const last = sentence.clauses.at(-1);
    // "… brush them with oil: skip that": what the last clause told is not done
    if (last && next?.source === source && takesBack(next.sentence, sentence)) {
      back.add(last);
      // "she uses 6 tbsp of oil and she'd say that's light. I use none."
      for (const c of sentence.clauses) if (isOthers(sentence, c)) back.add(c);
    }
    const asked =
      sentence.asks &&
      next?.source === source &&
      answersNo(next.sentence) &&
      !tellsAnother(sentence, next.sentence);
    // "tahini sauce: 3 tbsp tahini, lemon, water": what it is called that is made of them
    const heads =
      next?.source === source &&
      (isMadeBelow(sentence, next.sentence, isMadeThing(scan, sentence)) ||
        isKindBelow(scan, sentence, next.sentence) ||
        isDeniedBelow(sentence, next.sentence) ||
        isTemperedDry(sentence, next.sentence));
    // "We had it with bread and marg. Now it's oatcakes."
    const bygone = next?.source === source && isNowAnother(sentence, next.sentence);
    if (asked || heads || bygone) for (const c of sentence.clauses) back.add(c);
  });
  let asked: { source: Source; s: Sentence } | null = null;
  for (const { source, sentence: s } of sentences) {
    // "Salt? Not needed."
    const answer = s.tokens[s.from]?.word ?? '';
    const refuses = NEGATORS.has(answer) || ['none', 'skip', 'nope', 'unnecessary'].includes(answer);
    if (asked && refuses && !tellsAnother(asked.s, s)) {
      asked = null;
      continue;
    }
    if (asked) foodsIn(scan, asked.source, asked.s, back);
    asked = null;
    if (s.asks && s.clauses.every((c) => c.verb === null)) {
      asked = { source, s };
      continue;
    }
    foodsIn(scan, source, s, back);
  }
  if (asked)
    foodsIn(
      scan,
      (asked as { source: Source; s: Sentence }).source,
      (asked as { source: Source; s: Sentence }).s,
      back,
    );
  sentences.forEach(({ source, sentence }, i) => {
    const before = sentences[i - 1];
    afterAll(scan, source, sentence, before?.source === source ? before.sentence : undefined);
  });
  sentences.forEach(({ source, sentence }, i) => {
    const previous = sentences[i - 1];
    const before = previous?.source === source ? previous.sentence : undefined;
    for (const c of isFigures(sentence) ? [] : sentence.clauses) {
      if (back.has(c)) continue;
      deeds(scan, source, sentence, c);
      unknowns(scan, source, sentence, c);
      strayAmounts(scan, source, sentence, c, before);
    }
  });
  sentences.forEach(({ source, sentence }, i) => {
    const previous = sentences[i - 1];
    if (isFigures(sentence) || sentence.clauses.some((c) => back.has(c))) return;
    orphanAmounts(scan, source, sentence, previous?.source === source ? previous.sentence : undefined);
    unnamed(scan, source, sentence);
    vague(scan, source, sentence);
  });
  sentences.forEach(({ source, sentence }, i) => {
    if (isFigures(sentence)) return;
    const earlier = sentences
      .slice(Math.max(0, i - 3), i)
      .reverse()
      .filter((x) => !x.source.names && !x.source.tail);
    ownShare(scan, source, sentence, earlier, back);
  });
  for (const { source, sentence } of sentences)
    if (!isFigures(sentence)) leftOver(scan, source, sentence, back);
  leftOverOfRows(scan, sentencesBy(scan.larder));
  larger(scan);
  return scan.out.filter((line) => !toldAgain(line, scan.out));
}

/** Kinds of which a mention and an amount of the same are one: never of what is added by feeling. */
const TOLD_ONCE = new Set(['whole-grain', 'refined-grain', 'starch', 'bean', 'vegetable', 'leaf', 'fruit']);
const unsaidAmount = (line: ReadLine): boolean =>
  line.foods.some((f) => f.readings.some((r) => r.startsWith('no amount')));

/** "feeds four with rice, 75 g brown rice each": the rice that is named first is the one that is weighed. */
function toldAgain(line: ReadLine, all: readonly ReadLine[]): boolean {
  const [food] = line.foods;
  if (!food?.food || line.foods.length > 1 || !TOLD_ONCE.has(food.food.kind) || !unsaidAmount(line))
    return false;
  const named = tokens(food.text);
  return all.some((other) => {
    const [weighed] = other.foods;
    if (other === line || !weighed?.food || !weighed.grams || other.optional || unsaidAmount(other))
      return false;
    const words = tokens(weighed.text);
    // "whisk the flour with water" is the half cup that is told elsewhere; a squeeze of lime is one more
    const same = words.length === named.length && weighed.food.kind.endsWith('-grain');
    return (
      (same || words.length > named.length) &&
      TOLD_ONCE.has(weighed.food.kind) &&
      named.every((w) => words.includes(w))
    );
  });
}

/** Words before an amount that tell what the line's own food is made of or weighs, not what goes in beside it. */
const OF_ITS_OWN = new Set([
  'from',
  'made',
  'or',
  'equals',
  'yields',
  'gives',
  'like',
  'than',
  'was',
  'were',
  'into',
]);

const closedBefore = (s: Sentence, at: number): boolean =>
  s.tokens.slice(s.from, at).some((t) => t.word === ')');

/** Foods behind a line's own that its reader did not take in: fats, and whatever has an amount of its own. */
function inTail(source: Source, s: Sentence, m: Mention): boolean {
  const { food } = m;
  const { line } = source;
  if (!line || line.words?.none) return false;
  const own = [...line.foods, ...line.alternatives].flatMap((f) => (f.food ? [f.food, ...f.might] : []));
  if (own.some((f) => f.id === food.id)) return false;
  if (FATS.has(food.kind) || food.kindClass === 'oil' || food.adds.includes('oil'))
    return !own.some((f) => FATS.has(f.kind) || f.adds.includes('oil'));
  if (!m.stated || m.polarity === 'alternative' || food.kind === 'water') return false;
  const sameKind = own.some((f) => f.kind === food.kind);
  // "with a strip of nori": a piece of something says less than "3 tbsp of it"
  const measured = m.read?.words?.foods.some((f) =>
    f.measures.some(
      (x) =>
        x.stated || x.unit?.kind === 'volume' || x.unit?.kind === 'mass' || (x.unit?.package && !sameKind),
    ),
  );
  if (!measured) return false;
  // "2 flax eggs (2 tbsp flaxseed + 5 tbsp water)": a bracket that opens with an amount tells what it is made of
  const bracketed = line.line.text[source.start - line.line.start - 1] === '(';
  const first = s.tokens[s.from];
  if (bracketed && (first?.kind === 'number' || isMeasure(first?.word ?? '')) && !closedBefore(s, m.from))
    return false;
  if ([1, 2].some((k) => OF_ITS_OWN.has(s.tokens[m.phraseFrom - k]?.word ?? ''))) return false;
  // "4 tomatoes, 400 g plum tomatoes": the same in other words
  const head = m.words.at(-1);
  return !line.foods.some((f) => f.food !== null && tokens(`${f.text} ${f.food.name}`).includes(head ?? ''));
}

/** What a food is that its own words leave open, and words before them told. */
const kinOf = new WeakMap<Named, string>();

/** "rice (180 g short grain brown)": which of its kind, and how much, in the bracket behind it. */
function inBracket(scan: Scan, s: Sentence, first: Named, second: Named): string | null {
  if (s.tokens[first.to]?.word !== '(' || s.tokens[first.to + 1]?.kind !== 'number') return null;
  let to = second.from;
  while (to < s.to && s.tokens[to]?.kind === 'word') to += 1;
  const between = s.tokens.slice(first.to + 1, second.from);
  if (![')', ','].includes(s.tokens[to]?.word ?? '') || between.some((t) => t.kind === 'mark')) return null;
  const words = (from: number, end: number) => s.tokens.slice(from, end).map((t) => t.word);
  let from = first.to + 1;
  while (s.tokens[from]?.kind === 'number' || isMeasure(s.tokens[from]?.word ?? '')) from += 1;
  const name = [...words(from, to), ...words(first.from, first.to)].join(' ');
  const found = scan.larder.finder.find(name, '', 1)[0];
  return found && found.confidence >= SURE_OF_KIND ? found.food.id : null;
}
const BEFORE_KIND = new Set(', ( - – — : the each apiece good nice thick it is all seeded'.split(' '));
const BEHIND_KIND = new Set(', ( ) - – — : ; . ! one ones kind sort stuff bread each please'.split(' '));
/** "toast each, seeded wholemeal", "bread - the rye one": which one the food before it is. */
function whichOf(scan: Scan, s: Sentence, first: Named, second: Named): string | null {
  const words = (from: number, to: number) => s.tokens.slice(from, to).map((t) => t.word);
  const between = words(first.to, second.from);
  const [kind, behind] = [words(second.from, second.to), s.tokens[second.to]];
  if (!between.every((w) => BEFORE_KIND.has(w)) || !between.some((w) => /\W/.test(w))) return null;
  if (!kind.every((w) => KINDS.has(w)) || (behind && second.to < s.to && !BEHIND_KIND.has(behind.word)))
    return null;
  const named = [...kind, ...words(first.from, first.to)].join(' ');
  const found = scan.larder.finder.find(named, '', 1)[0];
  return found && found.confidence >= SURE_OF_KIND ? found.food.id : null;
}

/** "brown rice, about a cup of cooked rice each": the first is the second, which says how much; the kind is the first's. */
function appositions(scan: Scan, s: Sentence): ReadonlySet<Named> {
  const out = new Set<Named>();
  const foods = s.clauses.flatMap((c) => foodsOf(s, c));
  foods.forEach((first, i) => {
    const second = foods[i + 1];
    if (!second || second.from - first.to > 12) return;
    const within = inBracket(scan, s, first, second);
    if (within) {
      kinOf.set(second, within);
      out.add(first);
      return;
    }
    const which = whichOf(scan, s, first, second);
    if (which) {
      kinOf.set(first, which);
      out.add(second);
      return;
    }
    const head = s.tokens[first.to - 1]?.normal;
    const stated = s.tokens
      .slice(first.to, second.from)
      .some((t) => t.kind === 'number' || isMeasure(t.word));
    if (head !== s.tokens[second.to - 1]?.normal || !stated || first.id === second.id) return;
    // "mustard seeds and 1 tsp cumin seeds" are two: only a plainer word for the first is the first
    const named = new Set(s.tokens.slice(first.from, first.to).map((t) => t.normal));
    const plainer = s.tokens
      .slice(second.from, second.to)
      .every((t) => named.has(t.normal) || ['cooked', 'dried', 'canned'].includes(t.normal));
    if (!plainer) return;
    const own = scan.larder.foodById(first.id);
    const cooked = s.tokens.slice(first.to, second.to).some((t) => t.word === 'cooked');
    const kin =
      own && cooked ? scan.larder.finder.find(`cooked ${own.name.replace(/,.*$/, '')}`, '', 1)[0]?.food : own;
    if (kin) kinOf.set(second, kin.id);
    out.add(first);
  });
  return out;
}

/** "juice of half a lemon": a juice whose fruit is named behind it. */
function isPressed(s: Sentence, juice: Named): boolean {
  if (juice.to !== juice.from + 1) return false;
  // "juice and zest of a lemon"
  const also =
    ['and', '&'].includes(s.tokens[juice.to]?.word ?? '') && PRESSED.has(s.tokens[juice.to + 1]?.word ?? '');
  const of = also ? juice.to + 2 : juice.to;
  if (s.tokens[of]?.word !== 'of') return false;
  for (let k = of + 1; k < Math.min(s.to, of + 6); k += 1) {
    if (s.tokens[k]?.kind === 'mark') return false;
    if (s.named[k - s.from]?.kind === 'food') return true;
  }
  return false;
}

/** "320 kcal, 9 g fat per portion": what a portion holds, and nothing that goes in. */
const FIGURES = new Set(['cal', 'cals', 'kcal', 'calories', 'kilojoules', 'kj', 'nutrition', 'macros']);

const TEMPERING = new Set(['tadka', 'tarka', 'chaunk']);

/** "for the tadka I use no ghee or oil", "make the tadka in a dry pan": spices let go of their taste without fat. */
function isDryTempering(scan: Scan, s: Sentence, c: Sentence['clauses'][number], named: Named): boolean {
  if (!TEMPERING.has(s.tokens[named.from]?.word ?? '')) return false;
  // a part so called is what its own lines say
  if (scan.lines.some((l) => l.line.section?.toLowerCase().includes(s.tokens[named.from]?.word ?? '')))
    return true;
  const refused = s.clauses.some((x) =>
    foodsOf(s, x).some(
      (f) =>
        f !== named &&
        FATS.has(scan.larder.foodById(f.id)?.kind ?? '') &&
        polarityOf(s, x, f.from, f.to) === 'not',
    ),
  );
  return refused || otherMedium(s, c);
}

/** "Tadka: dry roast the seeds": what is told under its label goes without fat. */
const isTemperedDry = (s: Sentence, next: Sentence): boolean =>
  next.label[0] === s.tokens[s.from] &&
  TEMPERING.has(s.tokens[s.from]?.word ?? '') &&
  next.clauses.some((c) => otherMedium(next, c));

/** True where a sentence is the label of the next one, which lists what is in it by amounts. */
const isMadeBelow = (s: Sentence, next: Sentence, made: boolean): boolean =>
  next.label.length > 0 &&
  next.label[0] === s.tokens[s.from] &&
  s.clauses.every((c) => c.verb === null) &&
  (made || next.clauses.every((c) => c.verb === null || c.verb.form !== 'base' || c.verbAt > c.from + 2)) &&
  next.tokens.slice(next.from, next.to).some((t) => t.kind === 'number') &&
  next.named.filter((n, k) => n?.kind === 'food' && next.named[k - 1] !== n).length > 1;

const isMadeThing = ({ larder }: Scan, s: Sentence): boolean =>
  s.clauses.every((c) => foodsOf(s, c).every((n) => MADE_THINGS.has(larder.foodById(n.id)?.kind ?? '')));

/** "Buns: wholemeal baps (4)": a label that the food behind it is one of. */
function isKindBelow({ larder }: Scan, s: Sentence, next: Sentence): boolean {
  if (next.label[0] !== s.tokens[s.from] || s.clauses.length !== 1) return false;
  const kinds = (x: Sentence) =>
    x.clauses.flatMap((c) => foodsOf(x, c)).map((n) => larder.foodById(n.id)?.kind);
  const [kind, ...others] = kinds(s);
  const bread = (k: string | undefined) => k === 'whole-grain' || k === 'refined-grain';
  const isKin = (k: string | undefined) => k !== undefined && (k === kind || (bread(k) && bread(kind)));
  return kind !== undefined && others.length === 0 && isKin(kinds(next)[0]);
}

/** "Maple syrup: used to be a good squirt, now nothing": a label that what follows takes back. */
const isDeniedBelow = (s: Sentence, next: Sentence): boolean =>
  next.label.length > 0 &&
  next.label[0] === s.tokens[s.from] &&
  s.clauses.every((c) => c.verb === null) &&
  (answersNo(next) ||
    // "Oil for your hands: use water."
    (next.clauses[0]?.verb?.verb.id === 'use' &&
      next.clauses[0].verbAt === next.from &&
      ['water', 'stock'].includes(wordAt(next.tokens, next.from + 1))) ||
    next.clauses.every((c) => isRemark(next, c) || isBygone(next, c.to) || isOthers(next, c)));

const NOW = new Set(['now', 'nowadays', 'today', 'these']);
/** True where a sentence tells how it was had, and the next how it is now. */
const isNowAnother = (s: Sentence, next: Sentence): boolean =>
  NOW.has(next.tokens[next.from]?.word ?? '') &&
  next.named.some((n) => n?.kind === 'food') &&
  s.tokens
    .slice(s.from, s.to)
    .some((t, i, all) => t.word === 'had' && ['it', 'this', 'them'].includes(all[i + 1]?.word ?? ''));

/** "2 tbsp miso? No, one is enough": an amount that is asked about, and another in the answer. */
const tellsAnother = (asked: Sentence, answer: Sentence): boolean =>
  [asked, answer].every((s) =>
    s.tokens
      .slice(s.from, s.to)
      .some((t) => t.kind === 'number' || (!['a', 'an'].includes(t.word) && numberOf(t.word) !== null)),
  );

/** A sentence of what a portion holds: "430 cal, 3 g fat". */
const isFigures = (s: Sentence): boolean =>
  [...s.label, ...s.tokens.slice(s.from, s.to)].some((t) => FIGURES.has(t.word)) &&
  s.clauses.every((c) => !c.verb?.verb.brings);

function foodsIn(scan: Scan, source: Source, s: Sentence, back?: ReadonlySet<unknown>): void {
  if (isFigures(s)) return;
  let skip: unknown = null;
  const said = appositions(scan, s);
  // where the bracket ends that lists what a thing is made of
  let madeTo = -1;
  for (const c of s.clauses)
    for (const named of back?.has(c) ? [] : foodsOf(s, c)) {
      if (said.has(named)) continue;
      if (named.from < c.from) continue;
      if (madeBehindDash(scan, s, named)) {
        madeTo = s.to;
        continue;
      }
      const made = madeInBracket(scan, s, named);
      if (made > 0) {
        madeTo = bringsItsOwn(scan, s, named.to, made) ? made : -1;
        continue;
      }
      // "butter each slice": the word is the deed
      if (named.from === c.verbAt && named.to === c.verbAt + 1) continue;
      // "juice of half a lemon": the fruit says whose
      if (PRESSED.has(s.tokens[named.from]?.word ?? '') && isPressed(s, named)) continue;
      const next = s.named[named.to - s.from];
      const m = mentionOf(
        scan,
        source,
        s,
        c,
        named.from,
        named.to,
        kinOf.get(named) ?? named.id,
        kinOf.has(named),
      );
      if (!m || (source.tail && !inTail(source, s, m))) continue;
      // "the bean cream": one food made of another
      if (
        next?.kind === 'food' &&
        next.from === named.to &&
        (DAIRY.has(s.tokens[next.from]?.normal ?? '') || MADE.has(s.tokens[next.from]?.word ?? ''))
      ) {
        if (refersTo(m.food, m.words, m.definite, scan.cover).length > 0) skip = next;
        else if (PROMISED.has(m.food.kind)) take(scan, source, s, c, m);
        continue;
      }
      if (named === skip) continue;
      // "lentil sausage rolls": a title calls it by what it is like
      if (source.names && m.food.kindClass !== 'animal' && next?.kind === 'food' && next.from === named.to)
        if (scan.larder.foodById(next.id)?.kindClass === 'animal') skip = next;
      if (isDryTempering(scan, s, c, named)) continue;
      take(scan, source, s, c, m, named.from < madeTo);
    }
}
