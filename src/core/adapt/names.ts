import { escapePattern } from '@/core/escape';
import { parseRecipe } from '@/core/recipe/parse';
import { FROM_THE_TITLE } from '@/core/read/brought/scan';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { retitled } from './retitle';
import type { Change } from './schema';

/** A recipe's text whose title and headings promise nothing that is not in it, and what was said otherwise. */
export interface Named {
  readonly read: ReadRecipe;
  readonly said: readonly { readonly from: string; readonly to: string }[];
}

const MOST_ROUNDS = 4;
const promisedBy = (read: ReadRecipe): string[] => [
  ...new Set(read.lines.flatMap((l) => (l.line.section === FROM_THE_TITLE ? [l.line.text] : []))),
];

/** Where some words stand in a text as they are written, whatever their case; -1 where they do not. */
const placeOf = (text: string, words: string): number => text.toLowerCase().indexOf(words.toLowerCase());

/** "Peanut dressing" without its peanut is a dressing; a name of nothing else is a sauce. */
function without(name: string, word: string): string {
  const rest = name
    .replace(new RegExp(`\\b${escapePattern(word)}\\b`, 'i'), ' ')
    .replace(/\s+(?:and|&|with)\s*$|^\s*(?:and|&|with)\s+/i, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const left = /^(?:for (?:the|a)|the|a)?$/i.test(rest) ? `${rest} sauce`.trim() : rest;
  return /^[A-Z]/.test(name) ? left.charAt(0).toUpperCase() + left.slice(1) : left;
}

/**
 * Says in the title what the dish is made without, and calls its parts by what is in them: a name that promises what a
 * plan took out would be read, by cooks and by the audit, as if it were still there.
 */
export function withTrueNames(text: string, settings: ReadSettings, changes: readonly Change[] = []): Named {
  let read = readRecipe(parseRecipe(text), settings);
  const said: { from: string; to: string }[] = [];
  const names = [read.recipe.title, ...new Set(read.recipe.lines.flatMap((l) => l.section ?? []))];
  for (const name of names) {
    const put = retitled(name, read, changes, settings);
    const { source } = read.recipe;
    const at = put === name ? -1 : placeOf(source, name);
    if (at < 0) continue;
    const from = source.slice(at, at + name.length);
    said.push({ from, to: put });
    read = readRecipe(parseRecipe(source.slice(0, at) + put + source.slice(at + name.length)), settings);
  }
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const promised = promisedBy(read);
    if (promised.length === 0) break;
    let { source } = read.recipe;
    const { title } = read.recipe;
    const inTitle = promised.filter((w) => placeOf(title, w) >= 0);
    const sections = [...new Set(read.recipe.lines.flatMap((l) => (l.section ? [l.section] : [])))];
    for (const section of sections) {
      const word = promised.find((w) => placeOf(section, w) >= 0);
      const at = word === undefined ? -1 : placeOf(source, section);
      if (word === undefined || at < 0) continue;
      const name = source.slice(at, at + section.length);
      const put = without(name, word);
      source = source.slice(0, at) + put + source.slice(at + name.length);
      said.push({ from: name, to: put });
    }
    const at = placeOf(source, title);
    if (round === 0 && inTitle.length > 0 && at >= 0) {
      const put = `${source.slice(at, at + title.length)} (made without ${inTitle.join(' or ').toLowerCase()})`;
      said.push({ from: source.slice(at, at + title.length), to: put });
      source = source.slice(0, at) + put + source.slice(at + title.length);
    }
    if (source === read.recipe.source) break;
    read = readRecipe(parseRecipe(source), settings);
  }
  return { read, said };
}
