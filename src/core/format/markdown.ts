import type { ReadLine, ReadRecipe } from '@/core/read/types';

/** Lines of a list by the part they stand under, in the order they come. */
export function partsOf(
  read: ReadRecipe,
): { readonly section: string | null; readonly lines: readonly ReadLine[] }[] {
  const out: { section: string | null; lines: ReadLine[] }[] = [];
  for (const line of read.lines) {
    if (line.origin !== 'ingredients') continue;
    const { section } = line.line;
    const last = out.at(-1);
    if (last && last.section === section) last.lines.push(line);
    else out.push({ section, lines: [line] });
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
      ...lines.map((l) => `- ${l.line.text}`),
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
      ...lines.map((l) => l.line.text),
    ]),
    ...(recipe.steps.length > 0 ? ['', 'Method', ...recipe.steps.map((s, i) => `${i + 1}. ${s.text}`)] : []),
    ...(recipe.notes.length > 0 ? ['', 'Notes', ...recipe.notes.map((n) => n.text)] : []),
  ].join('\n')}\n`;
}
