import Papa from 'papaparse';
import type { RecipeAudit } from '@/core/audit/schema';
import type { ReadRecipe } from '@/core/read/types';
import { servingsRow } from './markdown';

const FIGURES = [
  'energyKcal',
  'fatG',
  'sodiumMg',
  'addedSugarG',
  'freeSugarG',
  'fibreG',
  'proteinG',
] as const;
const ENDS = ['low', 'best', 'high'] as const;
const COLUMNS = [
  'kind',
  'section',
  'text',
  'food',
  ...ENDS.map((e) => `grams ${e}`),
  ...FIGURES.flatMap((f) => ENDS.map((e) => `${f} ${e}`)),
];

type Row = Readonly<Record<string, string | number | null>>;

const spread = (name: string, range: { low: number; best: number; high: number } | null): Row =>
  Object.fromEntries(ENDS.map((end) => [`${name} ${end}`, range ? Number(range[end].toPrecision(6)) : null]));

/** A recipe as a table of figures: a row each line and step, with what it brings as low, best and high; figures not known are empty. */
export function toCsv(read: ReadRecipe, audit: RecipeAudit): string {
  const serves = servingsRow(read);
  const rows: Row[] = [
    { kind: 'title', text: read.recipe.title },
    ...(serves ? [{ kind: 'servings', text: serves }] : []),
    ...audit.lines.map((l): Row => ({
      kind: l.origin === 'method' ? 'from the method' : 'line',
      section: l.section ?? '',
      text: l.text,
      food: l.food?.name ?? '',
      ...spread('grams', l.grams),
      ...Object.assign({}, ...FIGURES.map((f) => spread(f, l.contribution[f]))),
    })),
    ...read.recipe.steps.map((s) => ({ kind: 'step', text: s.text })),
    ...read.recipe.notes.map((n) => ({ kind: 'note', text: n.text })),
    {
      kind: 'a serving',
      text: audit.verdict,
      ...spread('grams', audit.perServing.weightG),
      ...Object.assign({}, ...FIGURES.map((f) => spread(f, audit.perServing[f]))),
    },
  ];
  return `${Papa.unparse({ fields: COLUMNS, data: rows.map((r) => COLUMNS.map((c) => r[c] ?? '')) }, { newline: '\n' })}\n`;
}

/** True for a table that `toCsv` wrote. */
export const isRecipeCsv = (text: string): boolean =>
  /^\s*"?kind"?,"?section"?,"?text"?(?:,|\s*$)/m.test(text.slice(0, 80));

/** The recipe of such a table, as plain text; its figures are worked out anew. */
export function fromCsv(text: string): string {
  const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true });
  const of = (kind: string) => data.filter((r) => r.kind === kind);
  let section = '';
  const lines = of('line').flatMap((r) => {
    const own = r.section ?? '';
    const head = own && own !== section ? ['', `### ${own}`] : [];
    section = own;
    return [...head, `- ${r.text ?? ''}`];
  });
  const steps = of('step').map((r, i) => `${i + 1}. ${r.text ?? ''}`);
  const notes = of('note').map((r) => `- ${r.text ?? ''}`);
  return `${[
    `# ${of('title')[0]?.text ?? 'Untitled recipe'}`,
    '',
    ...of('servings').map((r) => `${r.text ?? ''}\n`),
    '## Ingredients',
    ...lines,
    ...(steps.length > 0 ? ['', '## Method', ...steps] : []),
    ...(notes.length > 0 ? ['', '## Notes', ...notes] : []),
  ].join('\n')}\n`;
}
