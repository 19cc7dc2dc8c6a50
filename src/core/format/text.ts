import { fromCooklang, isCooklang } from './cooklang';
import { fromCsv, isRecipeCsv } from './csv';
import { readHtml } from './html';
import { fromJsonLd } from './jsonld';

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
  if (isRecipeCsv(text)) return { ok: true, recipes: [fromCsv(text)] };
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
