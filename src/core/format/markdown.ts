import type { ReadRecipe } from '@/core/read/types';

/** Lines of a list by the part they stand under, in the order they come. */
export function partsOf(
  read: ReadRecipe,
): { readonly section: string | null; readonly lines: readonly string[] }[] {
  const out: { section: string | null; lines: string[] }[] = [];
  for (const { line, origin } of read.lines) {
    if (origin !== 'ingredients') continue;
    const last = out.at(-1);
    if (last && last.section === line.section) last.lines.push(line.text);
    else out.push({ section: line.section, lines: [line.text] });
  }
  return out;
}

/** What a recipe says of how many it feeds, as a row that is read as that; null where it says nothing. */
export function servingsRow(read: ReadRecipe): string | null {
  const said = read.recipe.servings?.text.trim();
  if (!said) return null;
  return /[a-z]/i.test(said) ? said : `Serves ${said}`;
}

/** A recipe as Markdown: its title, servings, list by parts, steps with numbers, notes. */
export function toMarkdown(read: ReadRecipe): string {
  const { recipe } = read;
  const serves = servingsRow(read);
  return `${[
    `# ${recipe.title}`,
    ...(serves ? ['', serves] : []),
    '',
    '## Ingredients',
    ...partsOf(read).flatMap(({ section, lines }) => [
      ...(section ? ['', `### ${section}`] : []),
      ...lines.map((l) => `- ${l}`),
    ]),
    ...(recipe.steps.length > 0
      ? ['', '## Method', ...recipe.steps.map((s, i) => `${i + 1}. ${s.text}`)]
      : []),
    ...(recipe.notes.length > 0 ? ['', '## Notes', ...recipe.notes.map((n) => `- ${n.text}`)] : []),
  ].join('\n')}\n`;
}

/** A recipe as plain text, as it is written on a card. */
export function toPlainText(read: ReadRecipe): string {
  const { recipe } = read;
  const serves = servingsRow(read);
  return `${[
    recipe.title,
    ...(serves ? [serves] : []),
    '',
    'Ingredients',
    ...partsOf(read).flatMap(({ section, lines }) => [
      ...(section ? ['', `${section.replace(/:$/, '')}:`] : []),
      ...lines,
    ]),
    ...(recipe.steps.length > 0 ? ['', 'Method', ...recipe.steps.map((s, i) => `${i + 1}. ${s.text}`)] : []),
    ...(recipe.notes.length > 0 ? ['', 'Notes', ...recipe.notes.map((n) => n.text)] : []),
  ].join('\n')}\n`;
}
