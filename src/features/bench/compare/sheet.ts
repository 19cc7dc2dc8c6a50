import { allergenWords } from '@/core/format/allergens';
import type { Change } from '@/core/adapt/schema';
import type { Column } from './columns';
import { figuresOf, shown } from './figures';

/** A change in words: what became what, and why. */
const changeWords = (c: Change): string =>
  `${c.from || 'new'} → ${c.to || 'left out'}: ${c.technique}${c.because ? ` (${c.because})` : ''}`;

const MARKS = {
  within: 'may eat it',
  near: 'may eat it, close to a limit',
  over: 'over',
  depends: 'depends',
  unknown: 'not known',
} as const;

/** The sheet as Markdown, for printing and sending on. */
export function sheetOf(title: string, protocol: string, columns: readonly Column[]): string {
  const cell = (text: string) => text.replace(/\|/g, '\\|').replace(/\n/g, ' ');
  const row = (cells: readonly string[]) => `| ${cells.map(cell).join(' | ')} |`;
  const rows = (label: string, of: (c: Column) => string) => row([label, ...columns.map(of)]);
  const rule = row(['---', ...columns.map(() => '---')]);
  const names = [...new Set(columns.flatMap((c) => c.eats.map((e) => e.name)))];
  const figures = (per: 'plate' | '100g') => [
    row([per === 'plate' ? 'A plate' : '100 g as eaten', ...columns.map((c) => c.name)]),
    rule,
    ...figuresOf(per).map(([label, of]) => rows(label, (c) => shown(of(c.audit)))),
  ];
  return [
    `# ${title}: side by side`,
    '',
    `Judged by ${protocol}. Figures are a kitchen estimate, a range where the words leave one.`,
    '',
    ...figures('plate'),
    rows('500 kcal buy, g', (c) => shown(c.gramsFor500)),
    ...(columns.some((c) => c.cost !== null) ? [rows('Cost', (c) => c.cost ?? 'not known')] : []),
    rows('Allergens', (c) => allergenWords(c.audit)),
    ...names.map((name) =>
      rows(name, (c) => {
        const eats = c.eats.find((e) => e.name === name);
        if (!eats) return 'not known';
        if (eats.unsafe.length > 0) return `must not: ${eats.unsafe.join(', ')}`;
        return eats.doubts.length > 0 ? 'must not: allergens not known' : MARKS[eats.mark];
      }),
    ),
    '',
    ...figures('100g'),
    '',
    ...columns.flatMap((c) => [
      `## ${c.name}`,
      '',
      ...c.changes.map((change) => `- ${changeWords(change)}`),
      ...(c.bland ? [`- Likely bland: ${c.bland}.`] : []),
      ...(c.starter
        ? [
            `- ${c.starter.name} (${c.starter.lines.join('; ')}): the meal is then ${shown(c.starter.mealDensity)} kcal in 100 g.`,
          ]
        : []),
      ...(c.changes.length + (c.bland ? 1 : 0) + (c.starter ? 1 : 0) > 0 ? [''] : []),
      ...c.text
        .trim()
        .split('\n')
        .map((row) => `> ${row}`.trimEnd()),
      '',
    ]),
  ].join('\n');
}
