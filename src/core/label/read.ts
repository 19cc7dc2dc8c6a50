import { judge, limitFor, worst } from '@/core/audit/limits';
import type { Verdict } from '@/core/audit/schema';
import { showNumber, showRange } from '@/core/format/figures';
import { PROTOCOLS, type Limit, type Protocol } from '@/core/protocol';
import { range, scale, type Range } from '@/core/range/range';
import { judgeClaims } from './claims';
import { classesOf, type IngredientClass } from './classes';
import { readFigures, type PrintedFigures } from './figures';
import { euRange, usRange, type Printed } from './rounding';
import { NUTRIENTS, type Label, type LabelNutrient } from './schema';
import { readStatement, type Statement } from './statement';

type Figures = Record<LabelNutrient, Range | null>;

function bounded(
  map: ReadonlyMap<LabelNutrient, Printed>,
  by: (n: LabelNutrient, p: Printed) => Range,
): Figures {
  return Object.fromEntries(
    NUTRIENTS.map((n) => {
      const p = map.get(n);
      return [n, p ? by(n, p) : null];
    }),
  ) as Figures;
}

const isEmpty = (f: Figures) => NUTRIENTS.every((n) => f[n] === null);
const scaled = (f: Figures, factor: number): Figures =>
  Object.fromEntries(
    NUTRIENTS.map((n) => {
      const r = f[n];
      return [n, r ? scale(r, factor) : null];
    }),
  ) as Figures;

/** Where both columns are printed, each narrows the other: both are true of one product. */
function meet(a: Figures, b: Figures): Figures {
  return Object.fromEntries(
    NUTRIENTS.map((n) => {
      const x = a[n];
      const y = b[n];
      if (!x || !y) return [n, x ?? y];
      const low = Math.max(x.low, y.low);
      const high = Math.min(x.high, y.high);
      return [n, low <= high ? range(low, (low + high) / 2, high) : x];
    }),
  ) as Figures;
}

/** Figures per serving and per 100 g that the printed ones allow. */
function figuresOf(printed: PrintedFigures): { perServing: Figures; per100g: Figures } {
  const us = printed.layout === 'us';
  const serving = bounded(printed.perServing, us ? usRange : euRange);
  const hundred = bounded(printed.per100g, us ? usRange : euRange);
  const grams = printed.servingG;
  if (!grams) return { perServing: serving, per100g: hundred };
  const fromServing = scaled(serving, 100 / grams);
  const per100g = isEmpty(hundred) ? fromServing : meet(hundred, fromServing);
  return {
    per100g,
    perServing: isEmpty(serving) ? scaled(hundred, grams / 100) : meet(serving, scaled(hundred, grams / 100)),
  };
}

/** Fat's share of energy: 9 kcal a gram (EU 1169/2011 Annex XIV) over the energy printed, never above all of it. */
function fatShare(f: Figures): Range | null {
  const { fatG, energyKcal } = f;
  if (!fatG || !energyKcal || energyKcal.high <= 0) return null;
  const low = Math.min(100, (900 * fatG.low) / energyKcal.high);
  const high = energyKcal.low > 0 ? Math.min(100, (900 * fatG.high) / energyKcal.low) : 100;
  const best = energyKcal.best > 0 ? Math.min(100, (900 * fatG.best) / energyKcal.best) : high;
  return range(low, best, high);
}

function ratio(a: Range | null, b: Range | null): Range | null {
  if (!a || !b || b.low <= 0) return null;
  return range(a.low / b.high, b.best > 0 ? a.best / b.best : 0, a.high / b.low);
}

/** What each limit looks for in an ingredient statement. */
const LOOKS_FOR: Partial<Record<Limit['of'], IngredientClass>> = {
  oilG: 'oil',
  addedSodiumMg: 'salt',
  sweetG: 'sugar',
  refinedG: 'refined-starch',
  nutG: 'nut',
  flaxG: 'flax',
  animalG: 'animal',
};

/** Whether the ingredients hold a class of things: over, within, or open where one of them is not known. */
function judgeIngredients(
  statement: Statement,
  looked: string,
  banned: boolean,
): { verdict: Verdict; why: string | null } {
  if (statement.ingredients.length === 0) return { verdict: 'unknown', why: 'no ingredient statement' };
  const read = statement.ingredients.map((i) => ({ i, ...classesOf(i) }));
  const found = read.filter((r) => r.classes.has(looked)).map((r) => r.i.text);
  // how much of it is in there a packet does not say
  if (found.length > 0) return { verdict: banned ? 'over' : 'depends', why: found.join(', ') };
  const open = read.filter((r) => !r.known).map((r) => r.i.text);
  return open.length > 0
    ? { verdict: 'depends', why: `not known what is in: ${open.join(', ')}` }
    : { verdict: 'within', why: null };
}

/** Free sugar's share of energy: added sugar at least, all sugar at most; a packet says no more. */
function freeSugarShare({ addedSugarG, sugarG, energyKcal }: Figures): Range | null {
  if (!energyKcal || !sugarG || energyKcal.low <= 0) return null;
  const low = (400 * (addedSugarG?.low ?? 0)) / energyKcal.high;
  const best = (400 * (addedSugarG?.best ?? sugarG.best / 2)) / energyKcal.best;
  return range(low, best, (400 * sugarG.high) / energyKcal.low);
}

/** One protocol's word on the product itself, a serving of it judged as a main's part of the day. */
function verdictFor(
  protocol: Protocol,
  share: Range | null,
  figures: { perServing: Figures; basis: Figures },
  statement: Statement,
): Label['verdicts'][number] {
  const because: string[] = [];
  const limits = protocol.limits.map((limit): Label['verdicts'][number]['limits'][number] => {
    const bound = limitFor(limit, 'main');
    const shown = {
      id: limit.id,
      label: limit.label,
      unit: limit.unit,
      limit: bound,
      aim: limit.aim ?? null,
      value: null,
      atLeast: null,
      source: limit.source,
      bound: limit.bound,
      because: limit.because ?? null,
    };
    const looked = LOOKS_FOR[limit.of];
    if (looked) {
      const { verdict, why } = judgeIngredients(statement, looked, limit.limit === 0);
      if (why && verdict !== 'within') because.push(`${limit.label.toLowerCase()}: ${why}`);
      return { ...shown, verdict };
    }
    const value =
      limit.of === 'fatKcal'
        ? share
        : limit.of === 'freeSugarKcal'
          ? freeSugarShare(figures.basis)
          : limit.of === 'sodiumMg'
            ? figures.perServing.sodiumMg
            : null;
    const verdict = value ? judge(value, bound, null) : 'unknown';
    if (value && (verdict === 'over' || verdict === 'depends'))
      because.push(`${limit.label.toLowerCase()} ${showRange(value)} of ${showNumber(bound)} ${limit.unit}`);
    if (!value) because.push(`${limit.label.toLowerCase()}: not printed`);
    return { ...shown, value, verdict };
  });
  return { protocol: protocol.id, verdict: worst(limits.map((l) => l.verdict)), limits, because };
}

const STATEMENT = /\bingredients?\s*:/i;
/** "Ingredients" alone in its row, the statement below it. */
const BARE = /^\W*ingredients?\s*(?:list|statement)?\W*$/i;
/** What stands behind a statement in the same row or block and is no ingredient: the figures, a use-by date. */
const PANEL =
  /\b(?:nutrition(?:al)?\b|typical values\b|energy\s*:?\s*\d|per\s*100\s*(?:g|ml)\b|serving size\b|best before\b|store in\b)/i;

/** Words of the statement, and what else the packet says, row by row. */
function partsOf(text: string): { statement: string; others: string[] } {
  const lines = text.split(/\r?\n/).map((l) => l.trim());
  const at = lines.findIndex((l) => STATEMENT.test(l) || BARE.test(l));
  if (at < 0) return { statement: '', others: rowsOf(lines) };
  const head = lines[at] ?? '';
  const bare = BARE.test(head);
  let from = at + 1;
  // the statement may stand a blank row below its heading
  if (bare || STATEMENT.exec(head)?.[0].length === head.length)
    while (from < lines.length && !lines[from]) from += 1;
  let end = from;
  while (end < lines.length && lines[end] && !PANEL.test(lines[end] ?? '')) end += 1;
  const inRow = bare ? '' : head.slice(STATEMENT.exec(head)?.index ?? 0);
  const before = bare ? '' : head.slice(0, STATEMENT.exec(head)?.index ?? 0);
  const cut = PANEL.exec(inRow)?.index ?? inRow.length;
  const rest = lines.slice(from, end);
  const words = `Ingredients: ${[inRow.slice(0, cut).replace(STATEMENT, ''), ...rest].join(' ')}`.trim();
  const after = lines.slice(end).filter((l) => /^(?:contains|may contain|allergens?|allergy)\b/i.test(l));
  const statement = /^ingredients:\s*\.?$/i.test(words) ? '' : [words, ...after].join(' ');
  return {
    statement,
    others: rowsOf(
      [...lines.slice(0, at), before, inRow.slice(cut), ...lines.slice(end)].filter((l) => l !== ''),
    ),
  };
}

/** Names that open a figure; a label typed in one row is cut before each. */
const FIGURE_NAMES =
  /(?<![\w-])(?:(?:of which|sat\.|total|dietary|added|trans|poly|mono) )?(?:(?:mono|poly)?(?:un)?saturated )?(?:energy|calories|fat|saturates|carbohydrates?|carbs?|sugars?|fib(?:re|er)|protein|salt|sodium|includes)\b[^a-z\d]{0,4}(?:<|less than )?\s{0,3}\d/gi;

/** A row that holds several figures becomes a row for each: "Energy 2580kJ / 622kcal, Fat 51g, Salt 0.1g". */
function rowsOf(lines: readonly string[]): string[] {
  return lines.flatMap((line) => {
    if (line.length > 4000) return [line];
    const cuts = [...line.matchAll(FIGURE_NAMES)].map((m) => m.index);
    if (cuts.length < 2) return [line];
    const places = [0, ...cuts.filter((c) => c > 0), line.length];
    return places
      .slice(0, -1)
      .map((from, i) =>
        line
          .slice(from, places[i + 1])
          .replace(/[\s,;.|/]+$/, '')
          .trim(),
      )
      .filter(Boolean);
  });
}

/**
 * Reads a packet: what its printed figures can mean after rounding, what its ingredients hide, whether its
 * claims are possible, and what each protocol says of it.
 *
 * @param text the packet's words: name, claims, figures in rows, "Ingredients: …"
 */
export function readLabel(text: string, protocols: readonly Protocol[] = PROTOCOLS): Label {
  const { statement: statementText, others } = partsOf(text);
  const statement: Statement = statementText
    ? readStatement(statementText)
    : { ingredients: [], mayContain: [], contains: [] };
  const printed = readFigures(others);
  const { perServing, per100g } = figuresOf(printed);
  const basis = isEmpty(per100g) ? perServing : per100g;
  const share = fatShare(printed.layout === 'us' && !isEmpty(perServing) ? perServing : basis);
  const hidden = new Set(statement.ingredients.flatMap((i) => i.hidden.map((h) => h.class)));
  const name =
    others.find((l) => l && !/\d\s{0,3}(?:g|mg|kcal|kj)\b|\bper\b|^nutrition/i.test(l)) ?? 'Packet';
  const problems = [...printed.problems];
  if (!statementText) problems.push('No ingredient statement was found: begin it with “Ingredients:”.');
  return {
    schema: 'dulvet.label/1',
    name,
    layout: printed.layout,
    servingG: printed.servingG,
    perServing,
    per100g,
    fatSharePercent: share,
    sodiumMgPerKcal: ratio(basis.sodiumMg, basis.energyKcal),
    ingredients: statement.ingredients.map(({ text: words, depth, share: part, hidden: h, plain }) => ({
      text: words,
      depth,
      share: part,
      hidden: [...h],
      plain,
    })),
    mayContain: [...statement.mayContain],
    contains: [...statement.contains],
    claims: judgeClaims(others.join('\n'), {
      perServing,
      per100g,
      hidden,
      hasStatement: statement.ingredients.length > 0,
    }),
    verdicts: protocols.map((p) => verdictFor(p, share, { perServing, basis }, statement)),
    problems,
  };
}
