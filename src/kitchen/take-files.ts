import { database } from '@/data/db';
import { takeIn } from '@/data/recipes';
import { keep } from '@/data/saving';
import { askLibrary } from '@/workers/library';
import type { NotBroughtIn } from './offered';

/** What became of some files. */
export interface Taken {
  readonly ids: readonly string[];
  readonly refused: readonly NotBroughtIn[];
  /** A kitchen in one file: it is asked about before anything of it is brought in. */
  readonly archive: File | null;
}

/** Files that are read together, so that the page stays smooth whatever their number. */
const AT_ONCE = 40;
/** No recipe is larger, and no kitchen: what is beyond is not even read. */
const LARGEST_RECIPE = 1_048_576;
const LARGEST_KITCHEN = 200 * LARGEST_RECIPE;
const IS_KITCHEN = /"dulvet\.archive\//;

async function wordsOf(file: File): Promise<{ name: string; text: string } | NotBroughtIn | File> {
  const mayBeKitchen = /\.json$/i.test(file.name);
  if (file.size > (mayBeKitchen ? LARGEST_KITCHEN : LARGEST_RECIPE))
    return { name: file.name, why: 'it is over 1 MiB, larger than any recipe' };
  try {
    const text = await file.text();
    if (mayBeKitchen && IS_KITCHEN.test(text.slice(0, 400))) return file;
    return { name: file.name, text };
  } catch {
    return { name: file.name, why: 'it cannot be read' };
  }
}

/**
 * Brings recipes of files onto the Shelf: text, Markdown, HTML, schema.org JSON-LD, Cooklang, Dulvet's table of figures. They are read in
 * a worker, part by part; what is refused is named and nothing of it is kept.
 *
 * @param onProgress told how many files are done
 * @param signal     stops it: what is in by then stays in
 */
export async function takeFiles(
  files: readonly File[],
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<Taken> {
  const ids: string[] = [];
  const refused: NotBroughtIn[] = [];
  let archive: File | null = null;
  for (let at = 0; at < files.length && !signal.aborted; at += AT_ONCE) {
    const read = await Promise.all(files.slice(at, at + AT_ONCE).map(wordsOf));
    const texts: { name: string; text: string }[] = [];
    for (const r of read)
      if (r instanceof File) archive ??= r;
      else if ('why' in r) refused.push(r);
      else texts.push(r);
    const found = texts.length > 0 ? await askLibrary((door) => door.texts(texts)) : [];
    for (const f of found) if (f.why !== null) refused.push({ name: f.name, why: f.why });
    const recipes = found.flatMap((f) => f.texts);
    if (recipes.length > 0) {
      const made = await keep('the recipes', () => takeIn(database(), recipes, Date.now()));
      if (!made) break;
      ids.push(...made.map((m) => m.id));
    }
    onProgress(Math.min(files.length, at + AT_ONCE));
  }
  return { ids, refused, archive };
}
