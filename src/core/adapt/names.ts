import { escapePattern } from '@/core/escape';
import { clean } from '@/core/recipe/clean';
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

/** Where some words stand in a text, as they are written or as a row of it reads; null where they do not. */
function placeOf(text: string, words: string): { readonly at: number; readonly written: string } | null {
  const at = text.toLowerCase().indexOf(words.toLowerCase());
  if (at >= 0) return { at, written: text.slice(at, at + words.length) };
  let from = 0;
  for (const row of text.split('\n')) {
    const plain = row.replace(/^[#\s>*-]+/, '').trim();
    // "w tahini", "spread — makes 350 g": cleaned when it was read
    if (plain && clean(plain).toLowerCase() === words.toLowerCase())
      return { at: from + row.indexOf(plain), written: plain };
    from += row.length + 1;
  }
  return null;
}

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
    const { source } = read.recipe;
    const place = placeOf(source, name);
    if (!place) continue;
    const { at, written } = place;
    const put = retitled(written, read, changes, settings);
    if (put === written) continue;
    said.push({ from: written, to: put });
    read = readRecipe(parseRecipe(source.slice(0, at) + put + source.slice(at + written.length)), settings);
  }
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const promised = promisedBy(read);
    if (promised.length === 0) break;
    let { source } = read.recipe;
    const { title } = read.recipe;
    const inTitle = promised.filter((w) => placeOf(title, w) !== null);
    const sections = [...new Set(read.recipe.lines.flatMap((l) => (l.section ? [l.section] : [])))];
    for (const section of sections) {
      const word = promised.find((w) => placeOf(section, w) !== null);
      const place = word === undefined ? null : placeOf(source, section);
      if (word === undefined || !place) continue;
      const put = without(place.written, word);
      source = source.slice(0, place.at) + put + source.slice(place.at + place.written.length);
      said.push({ from: place.written, to: put });
    }
    const place = placeOf(source, title);
    if (round === 0 && inTitle.length > 0 && place) {
      const put = `${place.written} (made without ${inTitle.join(' or ').toLowerCase()})`;
      said.push({ from: place.written, to: put });
      source = source.slice(0, place.at) + put + source.slice(place.at + place.written.length);
    }
    if (source === read.recipe.source) break;
    read = readRecipe(parseRecipe(source), settings);
  }
  return { read, said };
}
