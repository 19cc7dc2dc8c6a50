import type { RecipeAudit } from '@/core/audit/schema';
import type { ReadRecipe } from '@/core/read/types';
import { showRange } from './figures';
import { plainWords, readHtml } from './html';
import { partsOf, servingsRow } from './markdown';

type Json = Record<string, unknown>;

/** Sections in sections beyond this are no recipe's. */
const MOST_DEPTH = 8;

/** Recipes of schema.org in a JSON-LD text, as plain text; none where it holds none. */
export function fromJsonLd(source: string): string[] {
  let value: unknown;
  try {
    value = JSON.parse(source);
  } catch {
    return [];
  }
  const out: string[] = [];
  const visit = (node: unknown, depth: number) => {
    if (depth > 6 || node === null || typeof node !== 'object') return;
    if (Array.isArray(node)) {
      for (const item of node) visit(item, depth + 1);
      return;
    }
    const json = node as Json;
    const type = json['@type'];
    if (type === 'Recipe' || (Array.isArray(type) && type.includes('Recipe'))) out.push(textOf(json));
    else for (const key of ['@graph', 'mainEntity', 'itemListElement', 'item']) visit(json[key], depth + 1);
  };
  visit(value, 0);
  return out;
}

const words = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? plainWords(String(value)) : '';
const rows = (value: string): string[] => (/[<&]/.test(value) ? readHtml(value).words : value).split('\n');
const list = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined || value === null ? [] : [value];

/** "Fry in olive oil", "Toss with salt". */
const TELLS = /^[A-Z]?[a-z]+(?: [a-z]+){0,3} (?:in|with|using)\b/;

function textOf(recipe: Json): string {
  const yields = list(recipe.recipeYield).map(words).filter(Boolean);
  const said = yields.find((y) => /[a-z]/i.test(y)) ?? yields[0];
  const serves = said
    ? /^\d[\d\s–-]*$/.test(said)
      ? `Serves ${said}`
      : /^(?:serves|makes|yield|feeds)/i.test(said) || /serving|people|portion/i.test(said)
        ? said
        : `Makes ${said}`
    : null;
  const ingredients = [...list(recipe.recipeIngredient), ...list(recipe.ingredients)]
    // some write the whole list as one text, a row each
    .flatMap((i) => (typeof i === 'string' ? rows(i) : [i]))
    .map(words)
    .filter(Boolean);
  const steps: string[] = [];
  /** Names of sections, by the step they stand before. */
  const sections = new Map<number, string>();
  const visit = (step: unknown, depth = 0) => {
    if (depth > MOST_DEPTH) return;
    if (typeof step === 'string') steps.push(...rows(step).filter((r) => r.trim()));
    else if (Array.isArray(step)) step.forEach((s) => visit(s, depth + 1));
    else if (step && typeof step === 'object') {
      const { text, name, itemListElement } = step as Json;
      const called = words(name);
      const told = rows(typeof text === 'string' ? text : '')
        .map(words)
        .filter(Boolean);
      // "Fry in 2 tbsp oil" may stand in the name alone; "Step 1" says nothing
      const says =
        called &&
        !/^(?:step|part|section)\s*\d*$/i.test(called) &&
        !told.some((t) => t.toLowerCase().startsWith(called.toLowerCase().replace(/(?:\.{3}|…)$/, '')));
      if (itemListElement) {
        if (says) sections.set(steps.length, called);
        list(itemListElement).forEach((s) => visit(s, depth + 1));
      } else {
        const all = says ? [`${called.replace(/[.:]\s*$/, '')}.`, ...told] : told;
        if (all.length > 0) steps.push(all.join(' '));
      }
    }
  };
  visit(recipe.recipeInstructions);
  return [
    `# ${words(recipe.name) || 'Untitled recipe'}`,
    ...(serves ? ['', serves] : []),
    '',
    '## Ingredients',
    ...ingredients.map((i) => `- ${i}`),
    '',
    '## Method',
    ...steps.flatMap((s, i) => {
      const section = sections.get(i);
      const step = s.replace(/^\d+[.)]\s*/, '');
      if (!section) return [`${i + 1}. ${step}`];
      // a section called by what is done in it is read as a sentence
      return TELLS.test(section)
        ? [`${i + 1}. ${section}. ${step}`]
        : [`### ${section}`, `${i + 1}. ${step}`];
    }),
    '',
  ].join('\n');
}

/** Figures of one serving in the words of schema.org: the best reading, the range behind it. */
const grams = (r: { low: number; best: number; high: number } | null, unit: string): string | undefined =>
  r ? `${Number(r.best.toPrecision(3))} ${unit}${r.low === r.high ? '' : ` (${showRange(r)})`}` : undefined;

/** A recipe as schema.org Recipe (JSON-LD), with nutrition a serving and its range in words. */
export function toJsonLd(read: ReadRecipe, audit: RecipeAudit): string {
  const { recipe } = read;
  const { perServing: n } = audit;
  const serves = servingsRow(read);
  const value = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: recipe.title,
    ...(serves ? { recipeYield: serves } : {}),
    ...(recipe.notes.length > 0 ? { description: recipe.notes.map((t) => t.text).join('\n') } : {}),
    recipeIngredient: partsOf(read).flatMap((p) => p.lines.map((l) => l.line.text)),
    recipeInstructions: recipe.steps.map((s) => ({ '@type': 'HowToStep', text: s.text })),
    nutrition: {
      '@type': 'NutritionInformation',
      servingSize: 'one serving',
      calories: grams(n.energyKcal, 'kcal'),
      fatContent: grams(n.fatG, 'g'),
      saturatedFatContent: grams(n.saturatedFatG, 'g'),
      carbohydrateContent: grams(n.carbohydrateG, 'g'),
      fiberContent: grams(n.fibreG, 'g'),
      sugarContent: grams(n.sugarG, 'g'),
      proteinContent: grams(n.proteinG, 'g'),
      sodiumContent: grams(n.sodiumMg, 'mg'),
    },
  };
  return `${JSON.stringify(value, null, 2)}\n`;
}
