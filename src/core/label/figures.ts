import type { LabelNutrient } from './schema';
import type { Printed } from './rounding';

/** The printed figures of a packet, as they stand. */
export interface PrintedFigures {
  readonly layout: 'us' | 'eu' | 'unknown';
  readonly servingG: number | null;
  readonly perServing: ReadonlyMap<LabelNutrient, Printed>;
  readonly per100g: ReadonlyMap<LabelNutrient, Printed>;
  readonly problems: readonly string[];
}

const ROWS: readonly (readonly [LabelNutrient, RegExp])[] = [
  ['addedSugarG', /\badded sugars?\b/i],
  ['saturatedFatG', /\bsaturate[sd]?(?: fat)?\b|\bsat\.? fat\b/i],
  ['sugarG', /\bsugars?\b/i],
  ['fibreG', /\b(?:dietary )?fib(?:re|er)\b/i],
  ['carbohydrateG', /\b(?:total )?carb(?:ohydrate|s)?s?\b/i],
  ['proteinG', /\bproteins?\b/i],
  ['sodiumMg', /\bsodium\b|\bsalt\b/i],
  ['energyKcal', /\b(?:energy|calories)\b|\bkcal\b/i],
  ['fatG', /\b(?:total )?fats?\b/i],
];
const NOT_OURS =
  /\b(?:trans|polyunsaturated|monounsaturated|unsaturated|polyols|starch|cholesterol|vitamin|potassium|calories from|iron|calcium)\b/i;
const NUMBER = /(<|less than|under)? {0,3}(?<!\d)(\d{1,9}(?:[.,]\d{1,6})?) {0,3}(kcal|kj|cal|mg|g|%)?/gi;

interface Cell {
  readonly value: number;
  readonly unit: string;
  readonly lessThan: boolean;
}

function cellsOf(text: string): Cell[] {
  return [...text.matchAll(NUMBER)]
    .map((m) => ({
      value: Number((m[2] ?? '').replace(',', '.')),
      unit: (m[3] ?? '').toLowerCase(),
      lessThan: m[1] !== undefined,
    }))
    .filter((c) => c.unit !== '%');
}

/** One figure in this table's unit: kcal from kJ (÷ 4.184), mg sodium from salt (g ÷ 2.5) or g. */
function convert(nutrient: LabelNutrient, row: string, cell: Cell): Printed | null {
  let { value } = cell;
  if (nutrient === 'energyKcal') {
    if (cell.unit === 'kj') value /= 4.184;
  } else if (nutrient === 'sodiumMg') {
    const salt = /\bsalt\b/i.test(row) && !/\bsodium\b/i.test(row);
    if (salt) value *= cell.unit === 'mg' ? 0.4 : 400;
    else if (cell.unit === 'g') value *= 1000;
  } else if (cell.unit === 'mg') value /= 1000;
  return Number.isFinite(value) ? { value, lessThan: cell.lessThan } : null;
}

/** Energy cells: kcal beats kJ; a pair of both is one figure. */
function energyCells(cells: readonly Cell[]): readonly Cell[] {
  const kcal = cells.filter((c) => c.unit === 'kcal' || c.unit === 'cal');
  if (kcal.length > 0) return kcal;
  return cells;
}

const SERVING_WORD = /\b(?:serving(?: size)?|portion|per (?:serving|portion|pot|bar|slice))\b/gi;
const SERVING_WEIGHT = /(?<![\d.,])(\d{1,6}(?:[.,]\d{1,3})?) {0,2}(g|ml|oz)\b/i;
/** What may stand between: "size: 1/2 cup (about ". */
const BETWEEN = /^[^\d(\n]{0,40}(?:[\d./ ]{0,12}[a-z ]{0,24})?\(? {0,2}(?:about |approx\.? )?$/i;
const PER_SERVING = /\bper {1,3}(\d{1,6}(?:[.,]\d{1,3})?) {0,2}(g|ml|oz) {1,3}(?:serving|portion)\b/i;
/** Characters behind "serving size" in which its weight stands. */
const NEAR = 80;

/** The weight of a serving as printed: "Serving size 1/2 cup (120 g)", "per 30 g serving". */
function servingIn(all: string): { value: string; unit: string } | null {
  const per = PER_SERVING.exec(all);
  if (per?.[1] && per[2]) return { value: per[1], unit: per[2] };
  for (const word of all.matchAll(SERVING_WORD)) {
    const behind = all.slice(word.index + word[0].length, word.index + word[0].length + NEAR);
    const weight = SERVING_WEIGHT.exec(behind);
    if (weight?.[1] && weight[2] && BETWEEN.test(behind.slice(0, weight.index)))
      return { value: weight[1], unit: weight[2] };
  }
  return null;
}

function columnsOf(lines: readonly string[]): ('serving' | '100g')[] {
  for (const line of lines) {
    const at100 = /\bper\s*100\s*(?:g|ml)\b|\b100\s*(?:g|ml)\b/i.exec(line)?.index ?? -1;
    const atServing =
      /\bper\s+(?:serving|portion|pot|bar|slice|\d+(?:[.,]\d+)?\s*(?:g|ml)\s*(?:serving|portion)?)|\bserving\b|\bportion\b/i.exec(
        line.replace(/\bper\s*100\s*(?:g|ml)\b/i, (m) => ' '.repeat(m.length)),
      )?.index ?? -1;
    if (at100 >= 0 && atServing >= 0) return at100 < atServing ? ['100g', 'serving'] : ['serving', '100g'];
  }
  const all = lines.join('\n');
  if (/\bper\s*100\s*(?:g|ml)\b/i.test(all)) return ['100g'];
  return ['serving'];
}

/** Reads the figures of a US, EU or Codex panel, typed or pasted, in any order of rows. */
export function readFigures(lines: readonly string[]): PrintedFigures {
  const problems: string[] = [];
  const all = lines.join('\n');
  const serving = servingIn(all);
  let servingG = serving ? Number(serving.value.replace(',', '.')) : null;
  if (servingG !== null && serving?.unit.toLowerCase() === 'oz') servingG *= 28.3495;
  if (servingG === 0) {
    problems.push('The serving weighs nothing.');
    servingG = null;
  }
  const columns = columnsOf(lines);
  const layout = /\b(?:nutrition facts|serving size|calories)\b/i.test(all)
    ? 'us'
    : /\bkj\b|per\s*100\s*(?:g|ml)/i.test(all)
      ? 'eu'
      : 'unknown';
  const found = { serving: new Map<LabelNutrient, Printed>(), '100g': new Map<LabelNutrient, Printed>() };
  for (const line of lines) {
    if (NOT_OURS.test(line) || /\bserving size\b|\bservings per\b/i.test(line) || !/\d/.test(line)) continue;
    const row = ROWS.find(([, name]) => name.test(line));
    if (!row) continue;
    const [nutrient] = row;
    const after = line.replace(/\bper\s*100\s*(?:g|ml)\b/gi, ' ');
    const cells = nutrient === 'energyKcal' ? energyCells(cellsOf(after)) : cellsOf(after);
    cells.slice(0, columns.length).forEach((cell, i) => {
      const printed = convert(nutrient, line, cell);
      const into = found[columns[i] ?? 'serving'];
      if (printed && !into.has(nutrient)) into.set(nutrient, printed);
    });
  }
  if (found.serving.size + found['100g'].size === 0)
    problems.push('No figures were found: type them as on the packet, a row each.');
  for (const map of [found.serving, found['100g']]) {
    const fat = map.get('fatG');
    const sat = map.get('saturatedFatG');
    if (fat && sat && !sat.lessThan && sat.value > fat.value + 0.5)
      problems.push('More saturated fat than fat is printed: one of them is misread.');
    const carb = map.get('carbohydrateG');
    const sugar = map.get('sugarG');
    if (carb && sugar && !sugar.lessThan && sugar.value > carb.value + 1)
      problems.push('More sugar than carbohydrate is printed: one of them is misread.');
  }
  return { layout, servingG, perServing: found.serving, per100g: found['100g'], problems };
}
