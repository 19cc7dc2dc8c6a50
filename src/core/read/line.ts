import { AT, zeros } from '@/core/food/nutrients';
import type { Corners } from '@/core/range/bounds';
import { TABLE_LARDER } from '@/core/food/larder';
import type { Food } from '@/core/food/table';
import { tokens } from '@/core/food/tokens';
import { unsaid, weigh, type Weighed } from '@/core/food/weigh';
import { claimEffect, preparationEffect } from '@/core/prepare/rules';
import { readUnit } from '@/core/measure/units';
import { exact, hull, scale, type Range } from '@/core/range/range';
import { numberOf } from '@/core/measure/quantity';
import { isForOne } from '@/core/recipe/heading';
import { readLineWords, type FoodWords, type LineWords } from '@/core/recipe/line';
import { FEWEST_BARE_GRAMS } from '@/core/recipe/bare-grams';
import type { SourceLine } from '@/core/recipe/source';
import { cornersOfLine, together, type Option } from './corners';
import { find, fromCan, mightBe, NOTHING, type Found } from './food-of';
import { tailFoods, withoutTail } from './tail';
import { correctionOf, type ReadFood, type ReadLine, type ReadSettings } from './types';

interface Item {
  readonly read: ReadFood;
  readonly options: readonly Option[] | null;
  readonly byPlate: boolean;
}

const PIECE_ONLY_ARTICLE = (words: FoodWords) =>
  words.measures.length === 1 &&
  words.measures[0]?.unit === null &&
  !words.measures[0].stated &&
  !words.measures[0].each;

/** More than this of counted pieces is in no kitchen's pot. */
const MOST_COUNTED_G = 15_000;
/** Numbers that are no count of anything: "oats 150", "soya milk 450". */
const LEAST_BARE = FEWEST_BARE_GRAMS;
const GRAM = readUnit('g', 'g', 0)?.unit ?? null;

/** "oats 150": of what does not come by the piece, grams, or as many millilitres. */
function withoutUnit(words: FoodWords, least = LEAST_BARE): FoodWords | null {
  const [m] = words.measures;
  if (!m || words.measures.length > 1 || m.unit !== null || m.each !== null || m.quantity[0] < least)
    return null;
  return {
    ...words,
    measures: [{ ...m, unit: GRAM, readings: [...m.readings, 'no unit: grams, or as many millilitres'] }],
  };
}

/** A food of a list that leaves its grams out; a small number of what comes by the piece is a count. */
function inGrams(words: FoodWords, { larder = TABLE_LARDER, measures }: ReadSettings): FoodWords {
  const { food } = find(words, larder);
  const counted = food !== null && weigh(words, food, measures) !== null;
  return withoutUnit(words, counted ? LEAST_BARE : 0) ?? words;
}

/** "a few pumpkin seeds": of what nobody counts, about a spoonful (common practice). */
function aFew(words: FoodWords, food: Food, settings: ReadSettings): Weighed | null {
  const [m] = words.measures;
  if (
    !m ||
    words.equivalent ||
    words.measures.length > 1 ||
    m.unit !== null ||
    !m.readings.some((r) => /\bfew\b/.test(r))
  )
    return null;
  const [spoon] = readLineWords(`1 tbsp ${words.food}`).foods;
  const one = spoon && weigh(spoon, food, settings.measures);
  if (!one) return null;
  const { low, best, high } = one.grams;
  return {
    ...one,
    grams: { ...one.grams, low: low * 0.3, best: best * 0.8, high: high * 2.5 },
    readings: ['“a few”: a teaspoon to two spoonfuls (common practice)'],
  };
}

/** "a dollop of yoghurt, to serve": one for the table, or one a plate. */
const isByEyeAtTable = (words: FoodWords, line: LineWords): boolean =>
  AT_TABLE.test(line.purpose ?? '') &&
  words.equivalent === null &&
  words.measures.length === 1 &&
  words.measures.every((m) => m.unit?.kind === 'vague' && m.quantity[2] <= 1);
const upTo = (one: Range, servings: number): Range => ({
  low: one.low,
  best: one.best * Math.max(1, servings / 2),
  high: one.high * Math.max(1, servings),
});

const AMOUNT_LEFT =
  /^(?:(?!\b(?:in|on|to|for)\b)[^\d])*\d[\d./]* ?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|g|kg|ml|oz|lbs?)\b/;
const CUBE = /\b(?:cube|tablet|pot)$/;

/** Kinds of which even very much brings nothing that a limit looks at. */
const MATTERS_LITTLE = new Set(['water', 'herb', 'spice', 'acid', 'leaf']);

/** An amount that is written and not understood, of a food that matters little: up to four times the most that is usual. */
function anyAmount(food: Food, servings: number): Weighed | null {
  const usual = unsaid(food, null, servings);
  return usual
    ? {
        ...usual,
        grams: { ...usual.grams, low: 0, high: usual.grams.high * 4 },
        readings: ['the amount could not be read; even much of it matters little'],
      }
    : null;
}

function readFood(
  words: FoodWords,
  found: Found,
  line: LineWords,
  settings: ReadSettings,
  servings: number,
): Item {
  const { food, confidence, candidates } = found;
  const base = { text: words.food, phrase: found.phrase, food, confidence, candidates, cycle: found.cycle };
  if (!food)
    return { read: { ...base, grams: null, readings: [], might: [] }, options: null, byPlate: false };
  const amountOf = (f: Food): Weighed | null => {
    const weighed = weigh(words, f, settings.measures);
    // "peas 500" are grams: nobody counts so many
    const grams = (weighed?.grams.best ?? 0) > MOST_COUNTED_G ? withoutUnit(words) : null;
    if (grams) return weigh(grams, f, settings.measures);
    const few = aFew(words, f, settings);
    if (weighed && few && weighed.grams.high < few.grams.high)
      return { ...few, grams: { ...hull(weighed.grams, few.grams), best: few.grams.best } };
    if (weighed) return weighed;
    // "stock cube, in 500 ml water": one of them
    if (words.measures.length === 0 && f.kind === 'stock' && CUBE.test(words.food)) {
      const one = readLineWords(`1 ${words.food}`).foods[0];
      const of = one && weigh(one, f, settings.measures);
      if (of) return { ...of, readings: ['no number: one'] };
    }
    if (words.measures.length === 0 || PIECE_ONLY_ARTICLE(words)) {
      // an amount that stands among its words was not understood
      if (AMOUNT_LEFT.test(words.food)) return MATTERS_LITTLE.has(f.kind) ? anyAmount(f, servings) : null;
      return unsaid(f, line.purpose, servings);
    }
    if (few) return few;
    const purposed =
      line.purpose !== null && words.measures.every((m) => m.unit === null)
        ? unsaid(f, line.purpose, servings)
        : null;
    if (purposed) return purposed;
    const bare = withoutUnit(words);
    if (bare) return weigh(bare, f, settings.measures);
    return MATTERS_LITTLE.has(f.kind) ? anyAmount(f, servings) : null;
  };
  const one = amountOf(food);
  // what is not said at all is by the plate already
  const everyone = line.perHead && (words.equivalent !== null || words.measures.length > 0);
  const main = !one
    ? one
    : everyone
      ? { ...one, grams: scale(one.grams, servings) }
      : isByEyeAtTable(words, line)
        ? { ...one, grams: upTo(one.grams, servings) }
        : one;
  let byPlate = everyone || one?.byPlate === true || line.plusMore !== null;
  const readings: string[] = [...(main?.readings ?? []), ...(everyone ? [`for each of ${servings}`] : [])];
  // an amount that is said is not all eaten where it goes into the water
  const purpose = words.measures.length > 0 && line.purpose ? `, ${line.purpose}` : '';
  const said = `${words.food}, ${words.notes}${purpose}`;
  const as = candidates[0]?.as ?? food.name;
  const effectsOf = (f: Food) =>
    [
      preparationEffect(f, said, fromCan(words) || f.kind === 'canned-bean'),
      claimEffect(f, f === food ? as : f.name, said),
    ].filter((e) => e !== null);
  const sodiumAfter = (effects: ReturnType<typeof effectsOf>): Option['sodium'] =>
    effects.reduce<Option['sodium']>(
      ([low, best, high], e) => [low * e.sodium[0], best * e.sodium[1], high * e.sodium[2]],
      [1, 1, 1],
    );
  const effects = effectsOf(food);
  for (const effect of effects) readings.push(`${effect.says} (${effect.source})`);
  const larder = settings.larder ?? TABLE_LARDER;
  if (found.meant)
    readings.unshift(
      food.id.startsWith('recipe-')
        ? `your recipe “${food.name}”`
        : `by “${words.food}” you mean ${food.name.toLowerCase()}`,
    );
  const might = found.meant ? [] : mightBe(food, words, as, larder, candidates);
  const options: Option[] = [];
  if (main) {
    options.push({
      food,
      grams: withMore(main.grams, food, line, servings),
      sodium: sodiumAfter(effects),
      natural: settings.natural,
    });
    for (const other of might) {
      // the same measure of a like food, where the table has no weight of its own for it
      const single = amountOf(other) ?? (other.kind === food.kind ? one : null);
      const weighed = single && everyone ? { ...single, grams: scale(single.grams, servings) } : single;
      byPlate ||= single?.byPlate === true;
      // a food that cannot be measured this way is not what the words mean
      if (weighed)
        options.push({
          food: other,
          grams: withMore(weighed.grams, other, line, servings),
          sodium: sodiumAfter(effectsOf(other)),
          natural: settings.natural,
        });
    }
  }
  const first = options[0];
  const others = options.slice(1).map((o) => o.food);
  if (others.length > 0)
    readings.push(`the words may also mean ${others.map((f) => f.name.toLowerCase()).join(' or ')}`);
  if (line.plusMore !== null && first && main && first.grams.high > main.grams.high)
    readings.push(`“${line.plusMore}”: more goes in`);
  const grams: Range | null = first ? first.grams : null;
  return {
    read: { ...base, grams, readings, might: others },
    options: options.length > 0 ? options : null,
    byPlate,
  };
}

const AT_A_TIME = /\bat a time\b/;
/** "A little at a time": so often, at most (common practice). */
const MOST_TIMES = 4;

/** "plus more for dusting", "or to taste": what else may go in. */
function withMore(grams: Range, food: Food, line: LineWords, servings: number): Range {
  // "1 tsp salt, or to taste": the cook's tongue decides
  if (line.toTaste && line.plusMore === null && line.foods.some((f) => f.measures.length > 0))
    return { low: grams.low * 0.25, best: grams.best, high: grams.high * 1.5 };
  if (line.plusMore === null) return grams;
  const more = unsaid(food, line.plusMore, servings);
  // "¼ tsp at a time": how many times is the cook's tongue's to say
  if (AT_A_TIME.test(line.plusMore))
    return { ...grams, high: Math.max(more?.grams.high ?? 0, grams.high * MOST_TIMES) };
  // an extra is no more than the amount itself
  const low = Math.min(more?.grams.low ?? 0, grams.low * 0.1);
  const high = Math.min(more?.grams.high ?? grams.high * 0.5, grams.high);
  return { low: grams.low, best: grams.best + low, high: grams.high + high };
}

/** "red or green pepper": the first half borrows the second half's noun. */
function withBorrowedNoun(words: FoodWords, alternatives: LineWords['alternatives']): FoodWords | null {
  const other = alternatives[0];
  if (!other) return null;
  const noun = other.food.split(' ').slice(1).join(' ');
  if (!noun) return null;
  return { ...words, food: `${words.food} ${noun}`.trim() };
}

/** How sure a name must be that the cook's word and the line's noun make together. */
const LENT_NAME = 0.98;
const SUCH = /\b(?:the|powders?|cubes?|granules|paste|ones?|kind|sort|stuff|versions?|types?)\b/g;

/** "veg stock (I use the no-salt powder)": the cook's words say which of the food, not another one. */
function ofItsKind(
  own: string,
  first: FoodWords,
  look: (words: FoodWords) => Found,
): { words: FoodWords; found: Found } | null {
  const which = own.replace(SUCH, ' ').replace(/\s+/g, ' ').trim();
  if (!which) return null;
  const words = { ...first, food: `${which} ${first.food}` };
  const found = look(words);
  // "soured cream (the oat one)": a name by itself, whatever its first word means alone
  const named = found.confidence >= LENT_NAME && !which.includes(' ') && !which.endsWith('s');
  if (!named && look({ ...first, food: own }).food) return null;
  return found.food ? { words, found } : null;
}

/** What is eaten beside the dish; oil, salt, nuts and sweets that are said count all the same. */
const AT_SIDE = /\b(?:serve|serving)\b/;
const AT_TABLE = /\b(?:to serve|serving|at the table|for the table|to finish|finishing|sprinkl|to garnish)/;

/** Salt that each takes at the table, or to taste: what some schools do not count with the dish. */
const isTableSalt = (words: LineWords, items: readonly Item[]): boolean =>
  (words.toTaste || AT_TABLE.test(words.purpose ?? '')) &&
  items.some((i) => i.read.food?.kindClass === 'salt');

/** Corners whose sodium stands on the table. */
function atTheTable(corners: Corners): Corners {
  return corners.map((corner) => {
    const v = Float64Array.from(corner);
    v[AT.tableSodiumMg] = v[AT.sodiumMg] as number;
    return v;
  });
}

/** "Dressing (does 4 bowls)": of a list that is else for one. */
const FOR_PLATES =
  /[(,:–-]\s*(?:makes )?(?:does|for|enough for|feeds|serves|covers)\s+(?:about )?(\d{1,2}|two|three|four|five|six|eight) (?:bowls|people|plates|of us|servings|jars|portions|glasses)\b/i;
/** A part of what stands in a line. */
const partOf = (words: FoodWords, plates: number): FoodWords => ({
  ...words,
  measures: words.measures.map((m) => ({
    ...m,
    factor: [m.factor[0] / plates, m.factor[1] / plates, m.factor[2] / plates],
  })),
});

/** What a part's name says of all that stands under it: for each who eats, for so many plates, or as one likes. */
export const sectionSays = (
  section: string | null,
): { readonly each: boolean; readonly optional: boolean; readonly plates: number } => ({
  each: isForOne(section ?? ''),
  plates: numberOf(FOR_PLATES.exec(section ?? '')?.[1]?.toLowerCase()) ?? 1,
  optional: /(?:^|\()(?:optional|if you (?:like|want|wish))\b/i.test(section ?? ''),
});

/** Reads one ingredient line: which foods, how many grams, and all that its words allow. */
export function readLine(line: SourceLine, settings: ReadSettings, servings: number): ReadLine {
  const told = readLineWords(line.text);
  // "100 rye", "8 salt" on a list that leaves its grams out
  const said = line.bareGrams ? { ...told, foods: told.foods.map((f) => inGrams(f, settings)) } : told;
  const under = sectionSays(line.section);
  const one = servings === 1 && under.plates > 1;
  const words = {
    ...said,
    ...(one ? { foods: said.foods.map((f) => partOf(f, under.plates)) } : {}),
    perHead: said.perHead || under.each,
    optional: said.optional || under.optional,
  };
  const correction = correctionOf(settings, line.text);
  const larder = settings.larder ?? TABLE_LARDER;
  const look = (w: FoodWords) => find(w, larder);
  let foods = [...words.foods];
  let found = foods.map(look);
  if (foods.length > 1) {
    const whole: FoodWords = { ...(foods[0] as FoodWords), food: words.together };
    const wholeFound = look(whole);
    const each = found.every((f) => f.food !== null);
    // "basil and 4 tsp pesto" is no basil pesto
    const counted = words.foods.some(
      (f, i) => i > 0 && f.measures.length > 0 && f.measures !== words.foods[0]?.measures,
    );
    const wholeIsName = !counted && (wholeFound.candidates[0]?.confidence ?? 0) >= 0.9;
    // "peeled and diced potatoes" is one food; "salt and pepper" are two
    if (!each || wholeIsName) {
      foods = [whole];
      found = [wholeFound];
      if (!wholeFound.food) {
        const only = words.foods
          .map((f) => ({ f, hit: look(f) }))
          .filter(({ f, hit }) => hit.food !== null || !/^[a-z]+(?:ed|ly)$/.test(f.food));
        const telling = only.length === 1 ? only[0] : undefined;
        if (telling?.hit.food) {
          foods = [
            {
              ...telling.f,
              measures: words.foods[0]?.measures ?? [],
              equivalent: words.foods[0]?.equivalent ?? null,
            },
          ];
          found = [telling.hit];
        }
      }
    }
  }
  const plain = foods.map((f) => withoutTail(f, larder));
  const tails = tailFoods(words.cleaned, plain, larder);
  const bare = !found[0]?.food && look(plain[0] as FoodWords).food !== null;
  if (tails.length > 0 || bare) {
    // what the whole line names is kept where its plain words name nothing
    const bareFound = plain.map(look);
    foods = plain.map((f, i) => (bareFound[i]?.food || !found[i]?.food ? f : (foods[i] as FoodWords)));
    found = foods.map(look);
  }
  let first = foods[0] as FoodWords;
  let alternatives = [...words.alternatives];
  const own = words.own === null ? null : ofItsKind(words.own, first, look);
  if (own) {
    first = own.words;
    foods[0] = own.words;
    found[0] = own.found;
    alternatives = alternatives.filter((alt) => alt.food !== words.own);
  }
  if (alternatives.length > 0) {
    // "4 cloves garlic or 1 tsp garlic powder": what has an amount of its own lends no noun
    const shared = alternatives[0]?.measures === first.measures;
    const borrowed = shared ? withBorrowedNoun(first, alternatives) : null;
    const hit = borrowed ? look(borrowed) : NOTHING;
    // "red or green pepper", "soy or almond milk": two words that name a food of their own
    if (
      borrowed &&
      hit.food &&
      (!found[0]?.food || (hit.confidence >= 0.95 && hit.food !== found[0].food && !first.food.includes(' ')))
    ) {
      foods[0] = borrowed;
      found[0] = hit;
    } else if (
      !found[0]?.food &&
      alternatives[0] &&
      /^[a-z-]*(?: ?(?:fresh|frozen|dried|canned|chopped|sliced|raw|toasted|ground))?$/.test(first.food)
    ) {
      // "fresh or frozen peas": the second half is the food
      const alt = alternatives[0];
      const altFound = look(alt);
      if (altFound.food && tokens(first.food).every((t) => !larder.finder.find(t, '', 1)[0])) {
        foods[0] = { ...first, food: alt.food };
        found[0] = look(foods[0]);
        alternatives = alternatives.slice(1);
      }
    }
  }
  if (correction?.foodId) {
    const chosen = larder.foodById(correction.foodId) ?? null;
    if (chosen) {
      foods = [foods[0] as FoodWords];
      found = [{ ...(found[0] ?? NOTHING), food: chosen, confidence: 1, meant: false }];
      alternatives = [];
    }
  }
  let items = foods.map((f, i) => readFood(f, found[i] ?? NOTHING, words, settings, servings));
  if (correction?.foodId) items = items.map(settled);
  if (correction?.grams !== undefined)
    items = items.map((item, i) => (i === 0 ? weighed(item, correction.grams as number) : item));
  if (!correction?.foodId)
    items.push(
      ...tails
        .filter(
          (t) =>
            (t.words.measures.length > 0 && !foods.some((f, i) => isSame(t, f, found[i]))) ||
            !items.some((i) => i.read.food !== null && i.read.food.id === t.found.food?.id),
        )
        .map((t) => readFood(t.words, t.found, t.line, settings, servings)),
    );
  const altItems = alternatives
    .map((alt) => readFood(alt, look(alt), words, settings, servings))
    .filter((a) => a.read.food !== null || a.read.candidates.length > 0 || a.read.text.length > 2);
  const nothing =
    correction?.grams === undefined &&
    words.foods.some((f) =>
      f.measures.some((m) => m.quantity[2] <= 0 || (m.each !== null && m.each.quantity[2] <= 0)),
    );
  if (nothing) items = items.map((i) => ({ ...i, options: null, read: { ...i.read, grams: null } }));
  const missing = items.some((i) => !i.read.food) ? 'food' : items.some((i) => !i.options) ? 'amount' : null;
  const altMissing = altItems.some((i) => !i.options);
  const optional = words.optional;
  const assumed =
    !optional && AT_SIDE.test(words.purpose ?? '') && items.every((i) => !i.read.food?.kindClass);
  let corners: Corners | null = null;
  if (missing === null && !altMissing) {
    const [head, ...others] = items;
    const options = [...(head?.options ?? []), ...altItems.flatMap((a) => a.options ?? [])];
    corners = cornersOfLine(options, optional || assumed);
    for (const other of others)
      corners = together(corners, cornersOfLine(other.options ?? [], optional || assumed));
  }
  if (words.none) {
    corners = [zeros()];
    items = items.map((i) => ({ ...i, read: { ...i.read, grams: exact(0), might: [] } }));
  }
  if (corners && isTableSalt(words, items)) corners = atTheTable(corners);
  return {
    line,
    words,
    origin: 'ingredients',
    step: null,
    span: null,
    foods: items.map((i) => i.read),
    alternatives: altItems.map((i) => i.read),
    optional,
    assumed,
    share: null,
    toTaste: words.toTaste,
    corrected: correction?.foodId !== undefined || correction?.grams !== undefined,
    role: correction?.role ?? null,
    byPlate: [...items, ...altItems].some((i) => i.byPlate),
    nothing,
    corners,
    missing: words.none
      ? null
      : (missing ?? (altMissing ? (altItems.some((a) => !a.read.food) ? 'food' : 'amount') : null)),
  };
}

/** "+ 1 tsp of their brine": read with the line's own foods already. */
const isSame = (t: { words: FoodWords; found: Found }, own: FoodWords, found: Found | undefined): boolean =>
  t.found.food !== null &&
  t.found.food === found?.food &&
  JSON.stringify(t.words.measures) === JSON.stringify(own.measures);

/** The cook said which food it is: nothing else is meant. */
function settled(item: Item): Item {
  return {
    ...item,
    read: {
      ...item.read,
      might: [],
      readings: [...item.read.readings.filter((r) => !r.startsWith('the words may')), 'you chose this food'],
    },
    options: item.options ? item.options.slice(0, 1) : null,
  };
}

/** The cook weighed it. */
function weighed(item: Item, grams: number): Item {
  const { food } = item.read;
  if (!food) return item;
  const kept = item.options?.length
    ? item.options
    : [{ food, grams: exact(grams), sodium: [1, 1, 1] as const }];
  return {
    read: { ...item.read, grams: exact(grams), readings: [...item.read.readings, `you said ${grams} g`] },
    options: kept.map((o) => ({ ...o, grams: exact(grams) })),
    byPlate: false,
  };
}

/** Widest grams of a line over all its options, for showing. */
export const widestGrams = (line: ReadLine): Range | null =>
  [...line.foods, ...line.alternatives].reduce<Range | null>(
    (sum, f) => (f.grams ? (sum ? hull(sum, f.grams) : f.grams) : sum),
    null,
  );
