import { Parser } from 'htmlparser2';

/** What a page holds: its words, a row for each block, and the data that it links (JSON-LD). */
export interface Page {
  readonly words: string;
  readonly linked: readonly string[];
}

const DROPPED = new Set([
  'script',
  'style',
  'noscript',
  'template',
  'svg',
  'head',
  'iframe',
  'object',
  'select',
]);
const BLOCKS = new Set(
  'address article aside blockquote br caption dd details dialog div dl dt fieldset figcaption figure footer form header hr main nav ol p pre section summary table tbody tfoot thead tr ul'.split(
    ' ',
  ),
);
const VOID = new Set(['br', 'hr']);
const HEADING = /^h[1-6]$/;
/** Properties of schema.org's Recipe in microdata or RDFa, as rows of a recipe; `above` heads the first of its kind. */
const PROPERTIES: Readonly<Record<string, { readonly above?: string; readonly lead: string }>> = {
  recipeIngredient: { above: '## Ingredients', lead: '- ' },
  ingredients: { above: '## Ingredients', lead: '- ' },
  recipeInstructions: { above: '## Method', lead: '' },
  recipeYield: { lead: 'Serves: ' },
};
const LINKED = 'application/ld+json';

/** Takes a page apart in one pass; entities are read, nothing in it is run. */
export function readHtml(html: string): Page {
  const rows: string[] = [];
  const linked: string[] = [];
  let row = '';
  let data: string | null = null;
  let dropped = 0;
  /** Properties of the open elements, the innermost last. */
  const open: (string | null)[] = [];
  const headed = new Set<string>();
  const flush = (next = '') => {
    rows.push(row);
    row = next;
  };
  const parser = new Parser(
    {
      onopentag(name, attributes) {
        const own = (attributes.itemprop ?? attributes.property ?? '').replace(/^schema:/, '');
        const property = PROPERTIES[own] && !open.includes(own) ? own : null;
        open.push(property);
        if (name === 'script' && (attributes.type ?? '').toLowerCase().includes(LINKED)) data = '';
        if (DROPPED.has(name)) dropped += 1;
        if (dropped > 0) return;
        const rule = property === null ? undefined : PROPERTIES[property];
        if (rule) {
          flush();
          if (rule.above && !headed.has(rule.above)) flush(rule.above);
          if (rule.above) headed.add(rule.above);
          flush(rule.lead);
        } else if (HEADING.test(name)) {
          flush();
          flush('# ');
        } else if (name === 'li') flush('- ');
        else if (name === 'td' || name === 'th') row += ' ';
        else if (BLOCKS.has(name)) flush();
      },
      ontext(text) {
        if (data !== null) data += text;
        else if (dropped === 0) row += text;
      },
      onclosetag(name) {
        const property = open.pop();
        if (property && dropped === 0) flush();
        if (name === 'script' && data !== null) {
          linked.push(data);
          data = null;
        }
        if (DROPPED.has(name)) dropped = Math.max(0, dropped - 1);
        else if (dropped === 0 && !VOID.has(name) && (BLOCKS.has(name) || HEADING.test(name))) flush();
      },
    },
    { decodeEntities: true, lowerCaseTags: true },
  );
  parser.write(html);
  parser.end();
  flush();
  const plain = rows
    .flatMap((r) => r.split('\n'))
    .map((r) => r.replace(/\s+/g, ' ').trim())
    .map((r) => (r === '-' || r === '#' ? '' : r));
  // no more than one blank row between two
  return {
    words: plain
      .filter((r, i) => r !== '' || plain[i - 1] !== '')
      .join('\n')
      .trim(),
    linked,
  };
}

/** The words of a fragment with tags and entities, in one row. */
export const plainWords = (html: string): string =>
  /[<&]/.test(html) ? readHtml(html).words.replace(/\s*\n\s*/g, ' ') : html.replace(/\s+/g, ' ').trim();
