import { TABLE_LARDER, type Larder } from '@/core/food/larder';
import type { SourceLine } from '@/core/recipe/source';
import { readLine, sectionSays } from './line';
import { correctionOf, type ReadLine, type ReadSettings } from './types';

const caches = new WeakMap<Larder, Map<string, Map<string, ReadLine>>>();
const CACHE_LIMIT = 2500;
/** Characters of a line beyond which its reading is not kept. */
const MOST_REMEMBERED = 1000;

const measureKeys = new WeakMap<ReadSettings['measures'], string>();
/** The cook's measures as a word, made once. */
export function measuresKey(measures: ReadSettings['measures']): string {
  let key = measureKeys.get(measures);
  if (key === undefined)
    measureKeys.set(
      measures,
      (key = `${measures.cup}|${measures.tablespoon}|${JSON.stringify(measures.hand ?? null)}`),
    );
  return key;
}

/** Reads a line, or gives the reading it had: lines depend on nothing but their words and what their part's name says. */
export function remembered(line: SourceLine, settings: ReadSettings, servings: number): ReadLine {
  if (correctionOf(settings, line.text) || line.text.length > MOST_REMEMBERED)
    return readLine(line, settings, servings);
  const larder = settings.readingsOf ?? settings.larder ?? TABLE_LARDER;
  let cache = caches.get(larder);
  if (!cache) caches.set(larder, (cache = new Map()));
  const setting = `${servings}|${settings.natural === true}|${measuresKey(settings.measures)}`;
  let lines = cache.get(setting);
  if (!lines) cache.set(setting, (lines = new Map()));
  // the same words under "Optional" or "For each" are read otherwise
  const under = line.section === null ? null : sectionSays(line.section);
  const as =
    under?.each || under?.optional || (under?.plates ?? 1) > 1
      ? `${under?.each} ${under?.optional} ${under?.plates} ${line.text}`
      : line.text;
  const key = line.bareGrams ? `grams ${as}` : as;
  const known = lines.get(key);
  const shelf = settings.larder?.recipes;
  // a recipe may have come onto the shelf since the line was read
  if (known && !(shelf && known.foods.some((f) => shelf.has(f.text))))
    return known.line === line ? known : { ...known, line };
  const read = readLine(line, settings, servings);
  // what a recipe brings depends on which ones are being read
  if (read.foods.some((f) => f.cycle || f.food?.id.startsWith('recipe-'))) return read;
  if (lines.size >= CACHE_LIMIT) lines.clear();
  lines.set(key, read);
  if (cache.size > 40) cache.clear();
  return read;
}
