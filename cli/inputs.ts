import { readFileSync } from 'node:fs';
import type { Prices } from '../src/core/cost/cost';
import { larderOf, type Larder } from '../src/core/food/larder';
import { foodsOf } from '../src/core/label/packet';
import type { MeasureSettings } from '../src/core/measure/units';
import { PROTOCOLS, protocolById, ROLES, settled, type Protocol } from '../src/core/protocol';
import { MOST_SERVINGS } from '../src/core/recipe/limits';
import { tastesOf, type KitchenTastes } from '../src/core/swap/tastes';
import { readArchive } from '../src/data/archive';
import { readProtocol } from '../src/data/protocols';

export const USAGE = `usage:
  dulvet audit FILE… [--protocol ID|FILE.json] [--servings N] [--role ${ROLES.join('|')}] [--pot GRAMS] [--plate GRAMS]
               [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet adapt FILE [--protocol ID|FILE.json] [--also ID|FILE.json]… [--alternatives K] [--keep LINE]… [--change LINE]…
               [--allergens LIST] [--servings N] [--role R] [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet label FILE [--protocol ID] [--json]
  dulvet steps FILE… [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet cook FILE… [--at HH:MM] [--from HH:MM] [--cooks N] [--burners N] [--ovens N] [--times X] [--cup us|metric]
               [--larder KITCHEN] [--json]
  dulvet taste FILE --add "2 tsp tamari" [--add …]… [--protocol ID|FILE.json] [--servings N] [--cup us|metric]
               [--larder KITCHEN] [--json]
  dulvet week WEEK.json [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet shop FILE… | WEEK.json [--plates N] [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet convert FILE --to text|markdown|cooklang|jsonld|csv
  dulvet audit --jsonl < LINES
  dulvet protocols | foods QUERY | schema
FILE may be - for standard input; KITCHEN is a file saved under Settings, whose packets and words are used.`;

/** Says what is wrong on standard error; the exit code of what could not be read. */
export function complain(message: string): 2 {
  process.stderr.write(`${message}\n`);
  return 2;
}

export type Flags = Record<string, string | boolean | string[] | undefined>;

export const UNIT_MESSAGES = { servings: `a number of servings is above 0 and at most ${MOST_SERVINGS}` };

/** A shipped protocol by its id, one of the cook's own from its file, or what is wrong. */
export function protocolOf(name: string): Protocol | string {
  const shipped = protocolById(name);
  if (shipped) return shipped;
  if (!name.endsWith('.json'))
    return `there is no protocol "${name}"; there are ${PROTOCOLS.map((p) => p.id).join(', ')}, or a file saved from the Rules`;
  let text: string;
  try {
    text = readFileSync(name, 'utf8');
  } catch (error) {
    return `${name}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`;
  }
  const reading = readProtocol(text);
  if (!reading.ok) return `${name}: ${reading.message}`;
  return settled(reading.source) ?? `${name}: its rules cannot hold together`;
}

/** Packets, words and tastes of a kitchen that was saved to a file, or what is wrong with it. */
export function kitchenOf(
  file: string,
): { larder: Larder; tastes: KitchenTastes; prices: Prices; has: ReadonlySet<string> } | string {
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    return `${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`;
  }
  const reading = readArchive(text);
  if (!reading.ok) return `${file}: ${reading.message}`;
  const { packets, meanings, kitchen, swapUses } = reading.archive;
  return {
    larder: larderOf(foodsOf(packets), Object.fromEntries(meanings.map((m) => [m.words, m.foodId]))),
    tastes: tastesOf(kitchen, swapUses),
    prices: Object.fromEntries(kitchen.flatMap((k) => (k.price ? [[k.foodId, k.price]] : []))),
    has: new Set(kitchen.flatMap((k) => (k.has ? [k.foodId] : []))),
  };
}

/** A text that was read, by the name of its file. */
export interface FileText {
  readonly file: string;
  readonly text: string;
}

/** Texts of files; `-` is standard input. What cannot be read is complained about and counted. */
export function textsOf(files: readonly string[]): {
  readonly texts: readonly FileText[];
  readonly unread: number;
} {
  const texts: FileText[] = [];
  let unread = 0;
  for (const file of files) {
    try {
      texts.push({ file, text: readFileSync(file === '-' ? 0 : file, 'utf8') });
    } catch (error) {
      complain(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`);
      unread += 1;
    }
  }
  return { texts, unread };
}

/** What recipes are read with, by the flags of every command; or what is wrong with them. */
export function groundOf(
  command: string,
  flags: Flags,
):
  { readonly measures: MeasureSettings; readonly larder?: Larder; readonly tastes?: KitchenTastes } | string {
  if (flags.cup !== undefined && flags.cup !== 'us' && flags.cup !== 'metric')
    return `${command}: --cup ${String(flags.cup)}: us or metric`;
  const kitchen = typeof flags.larder === 'string' ? kitchenOf(flags.larder) : undefined;
  if (typeof kitchen === 'string') return kitchen;
  const measures = { cup: flags.cup === 'metric' ? 'metric' : 'us', tablespoon: 'us' } as const;
  return kitchen ? { measures, larder: kitchen.larder, tastes: kitchen.tastes } : { measures };
}
