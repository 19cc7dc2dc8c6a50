import { fromCooklang, isCooklang } from './cooklang';
import { plainWords, readHtml } from './html';

/** Largest text that is read, in bytes of UTF-8 (1 MiB). */
export const MOST_BYTES = 1024 * 1024;

export type RecipeTexts =
  | { readonly ok: true; readonly recipes: readonly string[] }
  | {
      readonly ok: false;
      readonly code: 'empty' | 'too-large' | 'binary' | 'no-recipe';
      readonly message: string;
    };

/** Bytes of a text in UTF-8. */
export const byteLength = (text: string): number => new TextEncoder().encode(text).length;

/**
 * The recipes in a text, as plain text: what is HTML, schema.org JSON-LD or Cooklang is turned into lines first;
 * scripts and styles are dropped, nothing in them is run. Empty, enormous and binary input is refused.
 */
export function recipeText(input: string): RecipeTexts {
  if (input.length > MOST_BYTES || byteLength(input) > MOST_BYTES)
    return {
      ok: false,
      code: 'too-large',
      message: 'This is over 1 MiB, larger than any recipe: paste the recipe alone.',
    };
  if (isBinary(input))
    return {
      ok: false,
      code: 'binary',
      message: 'This is not text: it may be a picture or a document file. Paste the words of the recipe.',
    };
  const text = input.replace(/^\ufeff/, '').replace(/\r\n?/g, '\n');
  if (!text.trim())
    return { ok: false, code: 'empty', message: 'There is nothing here yet: paste a recipe.' };
  const json = text.trimStart();
  if (json.startsWith('{') || json.startsWith('[')) {
    const found = fromJsonLd(json);
    if (found.length > 0) return { ok: true, recipes: found };
  }
  if (
    /<\s*(?:!doctype|html|head|body|script|style|p|div|ul|ol|li|br|h[1-6]|span|table|article|section|img|a)\b/i.test(
      text,
    )
  ) {
    const page = readHtml(text);
    const linked = page.linked.flatMap(fromJsonLd);
    if (linked.length > 0) return { ok: true, recipes: linked };
    if (!page.words) return { ok: false, code: 'no-recipe', message: 'This page holds no words to read.' };
    return { ok: true, recipes: [page.words] };
  }
  return { ok: true, recipes: [isCooklang(text) ? fromCooklang(text) : text] };
}

/** NUL bytes, or more control and replacement characters than text has. */
export function isBinary(text: string): boolean {
  if (text.includes('\u0000')) return true;
  const sample = text.slice(0, 20_000);
  const odd = sample.match(/[\u0001-\u0008\u000e-\u001f\u007f\ufffd]/g)?.length ?? 0;
  return odd > 4 && odd > sample.length * 0.02;
}

type Json = Record<string, unknown>;

/** Sections in sections beyond this are no recipe's. */
const MOST_DEPTH = 8;

function fromJsonLd(source: string): string[] {
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
