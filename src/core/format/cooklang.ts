import type { ReadLine, ReadRecipe } from '@/core/read/types';
import { servingsRow } from './markdown';

/**
 * Recipes written in Cooklang, an open format for recipes as plain text: ingredients stand in the steps as
 * `@olive oil{2%tbsp}(warm)`, cookware as `#pan{}`, timers as `~{8%minutes}`, facts as `>> servings: 4` or YAML between
 * rules. What is read is the published syntax, with sections, notes, comments and the modifiers of later versions.
 */

const NAME = `[^@#~{}()\\n.,;:!?]`;
const INGREDIENT = new RegExp(
  `@([?&+\\-@]*)(?:\\([^)]*\\))?(?:((?:\\./|\\.\\./)?${NAME}*?(?:\\|${NAME}*?)?)\\{([^{}@]{0,200})\\}|([^\\s@#~{}().,;:!?]+))(?:\\(([^()@]{0,200})\\))?`,
  'g',
);
const WARE = new RegExp(
  `#(?:[?&+\\-@]*)(?:(${NAME}*?)\\{[^{}#@~]{0,200}\\}|([^\\s@#~{}().,;:!?]+))(?:\\([^()]{0,200}\\))?`,
  'g',
);
const TIMER = new RegExp(`~(?:(${NAME}*?)\\{([^{}~@#]{0,200})\\}|([^\\s@#~{}().,;:!?]+))`, 'g');

/** True where a text is written in it: an ingredient in braces, or marked words under its facts. */
export const isCooklang = (text: string): boolean =>
  /(?:^|[\s("'])@[?&+\-@]*(?:\([^)]*\))?[^\s@{}][^@{}\n]*\{[^}\n]*\}/.test(text) ||
  (/^>>[ \t]?[\w.-][\w .-]{0,60}:/m.test(text) && /(?:^|\s)@\w/.test(text));

interface Ingredient {
  readonly line: string;
  readonly section: string | null;
}

/** "2%tbsp" → "2 tbsp"; a fixed amount is marked with "=". */
const amountOf = (inside: string): string => {
  const [quantity = '', unit = ''] = inside.replace(/^=/, '').split('%');
  return `${quantity.trim()} ${unit.trim()}`.trim();
};

/** Facts of YAML between rules and of ">>" lines; the text without them. */
function factsOf(text: string): { facts: ReadonlyMap<string, string>; rest: string } {
  const facts = new Map<string, string>();
  const take = (row: string) => {
    const at = row.indexOf(':');
    const name = row.slice(0, Math.max(0, at)).trim();
    const value = row.slice(at + 1).trim();
    if (name && value && /^[\w .-]{1,60}$/.test(name))
      facts.set(name.toLowerCase(), value.replace(/^["']|["']$/g, ''));
  };
  const front = /^\s*---\n([\s\S]*?)\n---\s*(?:\n|$)/.exec(text);
  front?.[1]?.split('\n').forEach(take);
  const rest = (front ? text.slice(front[0].length) : text).replace(/^>>(.*)$/gm, (_, row: string) => {
    take(row);
    return '';
  });
  return { facts, rest };
}

/** "== Dough ==" → "Dough". */
function withoutRule(row: string): string {
  let from = 0;
  let to = row.length;
  while (from < to && (row[from] === '=' || row[from] === ' ' || row[from] === '\t')) from += 1;
  while (to > from && (row[to - 1] === '=' || row[to - 1] === ' ' || row[to - 1] === '\t')) to -= 1;
  return row.slice(from, to);
}

/** Without what stands between "[-" and "-]", in one pass. */
function withoutBlocks(text: string): string {
  let out = '';
  let from = 0;
  for (;;) {
    const open = text.indexOf('[-', from);
    const close = open < 0 ? -1 : text.indexOf('-]', open + 2);
    if (close < 0) return out + text.slice(from);
    out += text.slice(from, open);
    from = close + 2;
  }
}
const withoutComments = (text: string): string => withoutBlocks(text).replace(/(^|\s)--(?!-).*$/gm, '$1');

/**
 * A Cooklang recipe as a cook would write it out: title, servings, the list of ingredients by section, and the method
 * in plain words.
 */
export function fromCooklang(source: string): string {
  const { facts, rest } = factsOf(withoutComments(source.replace(/^﻿/, '')));
  const ingredients: Ingredient[] = [];
  const steps: string[] = [];
  const notes: string[] = [];
  let section: string | null = null;

  const step = (text: string) => {
    const plain = text
      .replace(
        INGREDIENT,
        (_, modifiers: string, braced: string | undefined, inside = '', bare = '', prep = '') => {
          const [path = '', alias] = (braced ?? bare).split('|');
          const name = (path.split('/').at(-1) ?? '').trim();
          // what is named again, or must not show, is no ingredient more
          if (!/[&-]/.test(modifiers)) {
            const amount = amountOf(inside);
            const optional = modifiers.includes('?') ? ' (optional)' : '';
            const line = `${amount} ${name}${prep ? `, ${prep}` : ''}${optional}`.trim();
            // "salt" here and "salt" there without amounts is one line
            if (amount || !ingredients.some((i) => i.line === line)) ingredients.push({ line, section });
          }
          return (alias ?? name).trim();
        },
      )
      .replace(WARE, (_, braced: string | undefined, bare = '') => (braced ?? bare).trim())
      .replace(TIMER, (_, name: string | undefined, inside: string | undefined, bare = '') =>
        inside === undefined ? bare : amountOf(inside) || (name ?? '').trim(),
      )
      .replace(/\s+/g, ' ')
      .trim();
    // a row that only sets ingredients out is a list, no deed
    const bare = text.replace(INGREDIENT, '').replace(/\b(?:and|set out)\b|[\s,.]/gi, '');
    if (plain && bare !== '') steps.push(plain);
  };

  for (const block of rest.split(/\n\s*\n/)) {
    let open: string[] = [];
    const close = () => {
      if (open.length > 0) step(open.join(' '));
      open = [];
    };
    for (const row of block.split('\n')) {
      if (row.trimStart().startsWith('=')) {
        close();
        section = withoutRule(row) || null;
      } else if (/^\s*>\s?/.test(row)) {
        close();
        notes.push(row.replace(/^\s*>\s?/, '').trim());
      } else if (row.trim()) open.push(row.trim());
    }
    close();
  }

  const title = facts.get('title') ?? facts.get('name') ?? 'Recipe';
  const serves = facts.get('servings') ?? facts.get('serves') ?? facts.get('yield');
  const list: string[] = [];
  let last: string | null = null;
  for (const i of ingredients) {
    if (i.section !== last && i.section) list.push('', `## ${i.section}`);
    last = i.section;
    list.push(`- ${i.line}`);
  }
  return [
    `# ${title}`,
    '',
    ...(serves ? [/^\d/.test(serves) ? `Serves ${serves}` : serves, ''] : []),
    '## Ingredients',
    ...list,
    '',
    '## Method',
    ...steps.map((s, i) => `${i + 1}. ${s}`),
    ...(notes.length > 0 ? ['', '## Notes', ...notes.map((n) => `- ${n}`)] : []),
    '',
  ].join('\n');
}

/** Signs that mean something in Cooklang, and cannot stand in a name, in braces, in brackets. */
const NOT_IN_NAME = /[@#~{}().,;:!?|/]/;
const NOT_IN_BRACES = /[{}@%]/;
const NOT_IN_BRACKETS = /[()@]/;

/** A line as a marked ingredient; null where the syntax cannot hold its words. */
function marked(read: ReadLine): string | null {
  const { text } = read.line;
  const name = read.words?.foods[0]?.food;
  const at = name ? text.toLowerCase().indexOf(name.toLowerCase()) : -1;
  if (!name || at < 0) return NOT_IN_NAME.test(text) ? null : `@${text}{}`;
  const amount = text.slice(0, at).trim();
  const rest = text.slice(at + name.length);
  const own = text.slice(at, at + name.length);
  const prep = rest.replace(/^,\s*/, '').trim();
  const simple = /^([\d½⅓⅔¼¾⅛⅜⅝⅞ ./–-]+) ([a-z]+)$/i.exec(amount);
  if (NOT_IN_NAME.test(own) || NOT_IN_BRACES.test(amount) || NOT_IN_BRACKETS.test(prep)) return null;
  // what is not behind a comma belongs to the name
  if (rest && !rest.startsWith(',')) return NOT_IN_NAME.test(own + rest) ? null : `@${own}${rest}{${amount}}`;
  return `@${own}{${simple ? `${simple[1] ?? ''}%${simple[2] ?? ''}` : amount}}${prep ? `(${prep})` : ''}`;
}

/** A recipe in Cooklang, with what the syntax cannot hold, in words. */
export function toCooklang(read: ReadRecipe): { readonly text: string; readonly lost: readonly string[] } {
  const { recipe } = read;
  const lost: string[] = [];
  const facts = [`title: ${recipe.title.replace(/\n/g, ' ')}`];
  const serves = servingsRow(read);
  if (serves) facts.push(`servings: ${serves}`);
  const lines = read.lines.filter((l) => l.origin === 'ingredients');
  const sections = [...new Set(lines.map((l) => l.line.section))];
  const blocks: string[] = [];
  for (const section of sections) {
    const own = lines.filter((l) => l.line.section === section);
    const words = own.flatMap((l) => {
      const mark = marked(l);
      if (mark === null)
        lost.push(
          `the line “${l.line.text}” holds signs that mean something else there: its words are kept as a name`,
        );
      return [
        mark ??
          `@${l.line.text
            .replace(/[@#~{}().,;:!?|/]+/g, ' ')
            .replace(/\s+/g, ' ')
            .trim()}{}`,
      ];
    });
    blocks.push(
      `${section ? `== ${section.replace(/=/g, '').replace(/:\s*$/, '')} ==\n\n` : ''}Set out ${words.join(', ')}`,
    );
  }
  if (sections.some((s) => s !== null) && recipe.steps.length > 0) blocks.push('== Method ==');
  for (const { text } of recipe.steps) {
    // a step that would be read as marked up is written without its marks
    if (/[@#~]/.test(text)) lost.push(`the signs @, # and ~ in “${text.slice(0, 60)}”`);
    blocks.push(text.replace(/[@#~]/g, '').replace(/(^|\s)--(?!-)/g, '$1– '));
  }
  for (const { text } of recipe.notes) blocks.push(`> ${text}`);
  return { text: `${facts.map((f) => `>> ${f}`).join('\n')}\n\n${blocks.join('\n\n')}\n`, lost };
}
