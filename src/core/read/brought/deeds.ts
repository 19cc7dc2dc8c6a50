import { foodById } from '@/core/food/table';
import { type Range, range } from '@/core/range/range';
import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import {
  DEFINITE,
  DETERMINERS,
  NEGATORS,
  STEP_WORDS,
  verbById,
  verbOf,
  type VerbHit,
} from '@/core/step/lexicon';
import { isRemark } from '@/core/step/remark';
import { type Polarity, isOptional, polarityOf, verbNegated } from '@/core/step/polarity';
import { type Token } from '@/core/step/tokens';
import { FATS, OTHER_MEDIUM, TASTING } from './kinds';
import { sprayed } from './take';
import { dressed } from './vague';
import { type Scan, type Source, foodsOf, lineOf, textOf, usual } from './scan';

const HEATS = new Set(['heat', 'warm', 'bring', 'pour']);
const LIQUID = new Set(['water', 'stock', 'broth', 'wine', 'aquafaba', 'vinegar', 'juice']);

/** "Heat a splash of stock in a pan and fry the onion": what was heated is what it is fried in. */
function heatedBefore(s: Sentence, c: ClauseSpan): boolean {
  const before = s.clauses[s.clauses.indexOf(c) - 1];
  return (
    before !== undefined &&
    HEATS.has(before.verb?.verb.id ?? '') &&
    !verbNegated(s, before) &&
    s.tokens.slice(before.from, before.to).some((t) => LIQUID.has(t.word))
  );
}

/** Whether another medium than fat is said near a deed: "in a dry pan", "in a splash of water". */
export function otherMedium(s: Sentence, c: ClauseSpan): boolean {
  if (heatedBefore(s, c)) return true;
  const at = s.clauses.indexOf(c);
  const next = s.clauses[at + 1];
  const end =
    next && next.opener === null && (next.verb?.verb.id === 'add' || next.verb?.form === 'ing')
      ? next.to
      : c.to;
  for (let k = c.from; k < end; k += 1) {
    const t = s.tokens[k] as Token;
    if (OTHER_MEDIUM.has(t.word) || t.word === 'nonstick') return true;
    // "in 2 tbsp of it", "in the sauce": another thing than fat
    if (t.word === 'in' || t.word === 'with') {
      const behind = s.named.slice(k + 1 - s.from, Math.min(end, k + 7) - s.from);
      if (t.word === 'in' && behind.some((n) => n?.kind === 'food')) return true;
      if (
        t.word === 'in' &&
        s.tokens
          .slice(k + 1, Math.min(end, k + 6))
          .some(
            (x) =>
              ['it', 'that', 'them', 'sauce', 'liquid', 'juices', 'marinade'].includes(x.word) ||
              (x.word === 'of' && s.tokens[k + 1]?.kind === 'number'),
          )
      )
        return true;
    }
    if (t.word === 'stick' && t.glued && s.tokens[k - 1]?.word === 'non') return true;
    if (s.named[k - s.from]?.id === 'air fryer') return true;
  }
  return false;
}

const FAT_PHRASE = { pan: 'fried', pool: 'shallow-fried', deep: 'deep-fried' } as const;

/** "wiped with an oily paper", "in salty water": oiled, salted, in other words. */
function asDone(word: string, next: string): VerbHit | undefined {
  const done = AS_DONE.get(word);
  const verb = done?.of.includes(next) ? verbById(done.verb) : undefined;
  return verb && { verb, form: 'ed' };
}
const AS_DONE = new Map(Object.entries(STEP_WORDS.as_done));
/** What water is like that has salt in it: "tastes of the sea", "as salty as tears". */
const LIKE_THE_SEA = new Set(['sea', 'ocean', 'tears', 'seawater']);
const SAYS_SALT = new Set(['salty', 'seasoned', 'water', 'taste', 'tastes']);

/** Fat and salt that a deed brings without naming them. */
export function deeds(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): void {
  const { out, servings, lines } = scan;
  const kinds = (set: ReadonlySet<string>) =>
    lines.some((l) => l.foods.some((f) => f.food && set.has(f.food.kind)));
  const place = (i: number, j: number): [number, number] => [
    s.tokens[i]?.start ?? 0,
    s.tokens[j - 1]?.end ?? 0,
  ];
  const remark =
    isRemark(s, c) ||
    c.opener === 'until' ||
    c.opener === 'till' ||
    c.opener === 'if' ||
    c.opener === 'unless';
  if (remark || source.names) return;
  const optional: Polarity = isOptional(s, c) ? 'optional' : 'do';
  for (let i = c.from; i < c.to; i += 1) {
    const token = s.tokens[i] as Token;
    if (token.kind !== 'word') continue;
    const name = s.named[i - s.from];
    if (
      name?.id === 'fryer' &&
      name.kind === 'tool' &&
      name.from === i &&
      polarityOf(s, c, i, name.to) === 'do'
    ) {
      const oil = foodById('vegetable-oil');
      const { grams, why } = usual('deep', servings);
      if (oil && !scan.fat)
        out.push(
          lineOf(scan, source, place(i, name.to), textOf(source, s, c.from, c.to), oil, grams, why, optional),
        );
      scan.fat = true;
      i = name.to - 1;
      continue;
    }
    if (name && (name.to - name.from > 1 || i !== c.verbAt)) continue;
    const joined =
      i > s.from && ['deep', 'stir', 'pan', 'shallow', 'air'].includes(s.tokens[i - 1]?.word ?? '')
        ? verbOf((s.tokens[i - 1]?.word ?? '') + token.word)
        : undefined;
    const hit = joined ?? verbOf(token.word) ?? asDone(token.word, s.tokens[i + 1]?.word ?? '');
    if (source.tail && hit?.verb.id === 'roast' && hit.form === 'ed') {
      // bought or made roasted: perhaps in oil, unless the method says how
      const said = scan.sentences.some(
        (x) => x.source.step !== null && x.sentence.clauses.some((k) => k.verb?.verb.id === 'roast'),
      );
      const oil = foodById('vegetable-oil');
      const dry =
        (i > s.from && OTHER_MEDIUM.has(s.tokens[i - 1]?.word ?? '')) ||
        polarityOf(s, c, i, i + 1) === 'not' ||
        s.tokens
          .slice(i + 1, i + 5)
          .some((t) => NEGATORS.has(t.word) || t.word === 'without' || t.word === 'dry');
      if (oil && !said && !dry && !kinds(FATS) && !scan.fat)
        out.push(
          lineOf(
            scan,
            source,
            place(i, i + 1),
            `roasted: ${source.line?.line.text ?? ''}`,
            oil,
            range(0, 0, usual('coat', servings).grams.high),
            'roasted, and nothing says whether in oil',
            'optional',
          ),
        );
      continue;
    }
    if (hit?.verb.id === 'dress' && !source.tail && (i === c.verbAt || hit.form === 'ed')) {
      dressed(scan, source, s, c, i);
      continue;
    }
    if (!hit || (!hit.verb.fat && !hit.verb.food)) continue;
    const deed =
      i === c.verbAt ||
      hit.form === 'ed' ||
      hit.form === 'ing' ||
      (hit.verb.fat !== null && hit.form === 'base') ||
      // "a spritz" of nothing that is said
      (hit.verb.as === 'spray' &&
        ['a', 'another'].includes(s.tokens[i - 1]?.word ?? '') &&
        s.tokens[i + 1]?.word !== 'of');
    if (!deed) continue;
    // "a bag of stir-fry veg": what it is sold for
    if (source.tail && hit.form === 'base' && s.tokens[i + 1]?.kind === 'word' && i !== c.verbAt) continue;
    if (source.tail && joined && s.tokens[i]?.glued === true && hit.form === 'base') continue;
    if (
      hit.form === 'base' &&
      hit.verb.as !== 'spray' &&
      i !== c.verbAt &&
      s.tokens[i - 1]?.kind === 'word' &&
      DETERMINERS.has(s.tokens[i - 1]?.word ?? '')
    )
      continue;
    // "dry-fry", "water-sauté", "oil-free fried": the medium is in the word
    const before = s.tokens[i - 1];
    if (
      before &&
      i > c.from - 1 &&
      (OTHER_MEDIUM.has(before.word) ||
        before.word === 'un' ||
        (NEGATORS.has(before.word) && (before.word === 'no' || hit.form === 'ed')))
    )
      continue;
    const polarity = polarityOf(s, c, i, i + 1);
    if (polarity === 'not' || polarity === 'remark') continue;
    if (verbNegated(s, c) && !s.tokens.slice(c.from, i).some((t) => t.word === 'without')) continue;
    const fatsHere = s.clauses
      .flatMap((x) => foodsOf(s, x))
      .filter((f) => FATS.has(scan.larder.foodById(f.id)?.kind ?? ''))
      // "bread, oil-free, fried": what it was bought without
      .filter((f) => !source.tail || f.from > i || polarityOf(s, c, f.from, f.to) !== 'not');
    if (hit.verb.fat) {
      // "add the fried tofu": fried before
      if (hit.form === 'ed' && !source.tail && DEFINITE.has(before?.word ?? '')) continue;
      if (otherMedium(s, c) || fatsHere.length > 0) continue;
      const amount = usual(hit.verb.fat, servings);
      if (hit.verb.fat === 'deep') {
        const enough = lines.some((l) =>
          l.foods.some((f) => f.food && FATS.has(f.food.kind) && (f.grams?.high ?? 0) >= 15),
        );
        if (enough) continue;
      } else if (
        kinds(FATS) ||
        scan.fat ||
        out.some((l) => l.foods.some((f) => f.food && FATS.has(f.food.kind)))
      )
        continue;
      // a dish that says it goes without oil is fried without
      else if (scan.noFat) continue;
      const food = foodById('vegetable-oil');
      if (food)
        out.push(
          lineOf(
            scan,
            source,
            place(i, i + 1),
            source.tail
              ? `${FAT_PHRASE[hit.verb.fat]}: ${source.text.trim()}`
              : textOf(source, s, c.from, Math.min(c.to, i + 6)),
            food,
            amount.grams,
            `${token.word} means in fat where nothing else is said; ${amount.why}`,
            optional,
          ),
        );
      scan.fat = true;
      continue;
    }
    if (source.tail) continue;
    implied(
      scan,
      source,
      s,
      c,
      i,
      hit.verb.as ?? 'film',
      hit.verb.food ?? '',
      hit.form,
      optional,
      foodsOf(s, c).some((f) => FATS.has(scan.larder.foodById(f.id)?.kind ?? '')),
    );
  }
  // "water as salty as the sea", "seasoned like the sea"
  const words = s.tokens.slice(c.from, c.to).map((t) => t.word);
  const already = out.some((l) => l.step === source.step && l.foods[0]?.food?.id === 'salt');
  const sea = c.from + words.findIndex((w) => LIKE_THE_SEA.has(w));
  const refused = sea >= c.from && (words[0] === 'no' || polarityOf(s, c, sea, sea + 1) === 'not');
  if (!already && sea >= c.from && !refused && words.some((w) => SAYS_SALT.has(w))) {
    const salt = foodById('salt');
    const { grams, why } = usual('water', servings);
    if (salt)
      out.push(
        lineOf(
          scan,
          source,
          place(c.from, c.to),
          textOf(source, s, c.from, c.to),
          salt,
          grams,
          why,
          optional,
        ),
      );
  }
}

/** Grease, oil, butter, salt, season as deeds: what they bring by what they act on. */
function implied(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  i: number,
  as: string,
  id: string,
  form: string,
  optional: Polarity,
  fatNamed: boolean,
): void {
  const { out, servings, lines } = scan;
  const food = foodById(id);
  if (!food) return;
  const next = s.tokens[i + 1];
  const words = s.tokens.slice(c.from, c.to).map((t) => t.word);
  const wet =
    next?.word === 'water' ||
    (next?.word === 'boiling' && s.tokens[i + 2]?.word === 'water') ||
    (['the', 'your', 'cooking', 'pasta'].includes(next?.word ?? '') &&
      s.tokens.slice(i + 1, i + 4).some((t) => t.word === 'water'));
  const water = wet ? s.tokens.findIndex((t, k) => k > i && t.word === 'water') + 1 : 0;
  let until = water > 0 ? water : Math.min(c.to, i + 5);
  while (until > i + 1 && s.tokens[until - 1]?.kind === 'mark') until -= 1;
  const span: [number, number] = [s.tokens[i]?.start ?? 0, s.tokens[until - 1]?.end ?? 0];
  const push = (which: string, grams?: Range) => {
    const amount = which === 'spray' ? sprayed(scan, words) : usual(which, servings);
    const at = textOf(source, s, i, until);
    if (out.some((l) => l.step === source.step && l.line.start === source.start + span[0])) return;
    out.push(lineOf(scan, source, span, at, food, grams ?? amount.grams, amount.why, optional));
  };
  if (food.kind === 'salt') {
    if (wet) {
      // "1 tbsp salt, in the water": it is on the list
      const onList = lines.some(
        (l) => l.foods.some((f) => f.food?.kind === 'salt') && /\bwater\b/i.test(l.line.text),
      );
      if (!onList && !out.some((l) => l.foods[0]?.readings[0]?.includes('from the pot'))) push('water');
      return;
    }
    const others = foodsOf(s, c).filter((f) => f.from > i);
    const withAt = words.indexOf('with', i - c.from + 1);
    if (as === 'season') {
      // "season with salt and pepper" names it; "with pepper only", "with lemon" leaves it out
      if (withAt >= 0 && withAt > i - c.from && others.length > 0) return;
      if (
        withAt > i - c.from &&
        words.slice(withAt).some((w) => w === 'free' || w === 'herbs' || w === 'spices' || w === 'pepper')
      )
        return;
      // "mine is seasoned", "a well seasoned skillet": the pan is
      if (
        form === 'ed' &&
        (words[0] === 'mine' ||
          s.named[i - 1 - s.from]?.kind === 'tool' ||
          s.named.slice(c.from - s.from, i - s.from).some((n) => n?.kind === 'tool') ||
          s.named[i + 1 - s.from]?.kind === 'tool')
      )
        return;
      if (form === 'ed' && s.tokens[i - 1] && DETERMINERS.has(s.tokens[i - 1]?.word ?? '')) return;
    } else if (others.some((f) => f.id === 'salt')) return;
    const listed = lines.some((l) => l.foods.some((f) => f.food?.kind === 'salt'));
    const said = out.some((l) => l.foods.some((f) => f.food?.kind === 'salt'));
    if (listed || said) {
      if (listed && words.some((w) => TASTING.has(w))) push(as, range(0, 0, 0.5 * servings));
      return;
    }
    if (form === 'ed' && as === 'salting' && !next) return;
    push(as);
    return;
  }
  if (id === 'sugar') {
    if (foodsOf(s, c).some((f) => f.from > i) && words.includes('with')) return;
    push(as);
    return;
  }
  // oil, butter: what stands behind "with" is the fat, or no fat at all
  if (fatNamed && as !== 'spray') return;
  if (words.some((w) => w === 'water') && as === 'spray') return;
  const withAt = words.indexOf('with', i - c.from + 1);
  if (as !== 'film' && withAt > i - c.from && foodsOf(s, c).some((f) => f.from > c.from + withAt)) return;
  const tool =
    s.named.slice(i + 1 - s.from, Math.min(c.to, i + 7) - s.from).some((n) => n?.kind === 'tool') ||
    ['hands', 'foil', 'paper'].includes(next?.word ?? '') ||
    words.includes('hands');
  const greasing = lines.some(
    (l) =>
      l.foods.some((f) => f.food && FATS.has(f.food.kind)) &&
      /greas|brush|tin|tray|spray|film|wip/i.test(l.line.text),
  );
  const sprays = lines.some(
    (l) => l.foods.some((f) => f.food && FATS.has(f.food.kind)) && /spray|spritz/i.test(l.line.text),
  );
  if ((greasing && tool) || (sprays && as === 'spray')) return;
  if (out.some((l) => l.foods[0]?.readings[0]?.includes('greased tin')) && tool) return;
  scan.fat = scan.fat || !tool;
  push(as === 'spray' ? 'spray' : tool ? 'film' : 'coat');
}
