import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { readAllergens } from '../src/core/allergen/allergen';
import { AuditSchema, type RecipeAudit } from '../src/core/audit/schema';
import { auditText, withRecipes } from '../src/core/audit/text';
import { larderOf, TABLE_LARDER, type Larder } from '../src/core/food/larder';
import { foodRows } from '../src/core/food/list';
import { PROTOCOLS, protocolById, ROLES, settled, type Protocol, type RoleId } from '../src/core/protocol';
import { isGrams, isServings, MOST_GRAMS, MOST_SERVINGS } from '../src/core/recipe/limits';
import { recipeText } from '../src/core/format/text';
import { foodsOf } from '../src/core/label/packet';
import { readLabel } from '../src/core/label/read';
import { LabelSchema } from '../src/core/label/schema';
import { readArchive } from '../src/data/archive';
import { readProtocol } from '../src/data/protocols';
import { adaptText } from '../src/server/adapt-text';
import { AdaptationSchema } from '../src/core/adapt/schema';
import { tastesOf, type KitchenTastes } from '../src/core/swap/tastes';
import { US_MEASURES } from '../src/core/measure/units';
import { StepsSchema, type Steps } from '../src/core/steps/schema';
import { textSteps } from '../src/core/steps/steps';
import { adaptationTable, auditTable, labelTable, stepsTable } from './table';

const USAGE = `usage:
  dulvet audit FILE… [--protocol ID|FILE.json] [--servings N] [--role ${ROLES.join('|')}] [--pot GRAMS] [--plate GRAMS]
               [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet adapt FILE [--protocol ID|FILE.json] [--also ID|FILE.json]… [--alternatives K] [--keep LINE]… [--change LINE]…
               [--allergens LIST] [--servings N] [--role R] [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet label FILE [--protocol ID] [--json]
  dulvet steps FILE… [--cup us|metric] [--larder KITCHEN] [--json]
  dulvet protocols | foods QUERY | schema
FILE may be - for standard input; KITCHEN is a file saved under Settings, whose packets and words are used.`;

function complain(message: string): 2 {
  process.stderr.write(`${message}\n`);
  return 2;
}

type Flags = Record<string, string | boolean | string[] | undefined>;

const UNIT_MESSAGES = { servings: `a number of servings is above 0 and at most ${MOST_SERVINGS}` };

/** A shipped protocol by its id, one of the cook's own from its file, or what is wrong. */
function protocolOf(name: string): Protocol | string {
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
function kitchenOf(file: string): { larder: Larder; tastes: KitchenTastes } | string {
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
  };
}

/** Audits files; 0 all within, 1 some not, 2 some could not be read. */
function audit(files: readonly string[], flags: Flags): number {
  if (files.length === 0) return complain(`audit: no file is named\n${USAGE}`);
  const protocol = protocolOf(typeof flags.protocol === 'string' ? flags.protocol : 'heart-strict');
  if (typeof protocol === 'string') return complain(`audit: ${protocol}`);
  const servings = flags.servings === undefined ? undefined : Number(flags.servings);
  if (servings !== undefined && !isServings(servings))
    return complain(`audit: --servings ${String(flags.servings)}: ${UNIT_MESSAGES.servings}`);
  const role = flags.role as RoleId | undefined;
  if (role !== undefined && !ROLES.includes(role))
    return complain(`audit: --role ${role}: one of ${ROLES.join(', ')}`);
  if (flags.cup !== undefined && flags.cup !== 'us' && flags.cup !== 'metric')
    return complain(`audit: --cup ${String(flags.cup)}: us or metric`);
  const cup = flags.cup === 'metric' ? 'metric' : 'us';
  const [potG, plateG] = [flags.pot, flags.plate].map((g) => (g === undefined ? undefined : Number(g)));
  for (const grams of [potG, plateG])
    if (grams !== undefined && !isGrams(grams))
      return complain(`audit: --pot and --plate are grams above 0, at most ${MOST_GRAMS}`);
  const kitchen = typeof flags.larder === 'string' ? kitchenOf(flags.larder) : undefined;
  if (typeof kitchen === 'string') return complain(kitchen);
  const texts: { file: string; text: string }[] = [];
  let unread = 0;
  for (const file of files) {
    try {
      texts.push({ file, text: readFileSync(file === '-' ? 0 : file, 'utf8') });
    } catch (error) {
      complain(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`);
      unread += 1;
    }
  }
  const options = { servings, role, measures: { cup, tablespoon: 'us' } as const, potG, plateG };
  // recipes named together may be ingredients of each other
  const shelf = withRecipes(
    texts.map((t) => t.text),
    kitchen?.larder ?? TABLE_LARDER,
    options.measures,
  );
  const recipes: RecipeAudit[] = [];
  texts.forEach(({ file, text }, i) => {
    const result = auditText(text, protocol, { ...options, source: file, larder: shelf, id: String(i) });
    if (!result.ok) {
      complain(`${file}, line 1: ${result.message}`);
      unread += 1;
    } else recipes.push(...result.audit.recipes);
  });
  const all = { schema: 'dulvet.audit/1' as const, protocol: protocol.id, recipes };
  if (flags.json) process.stdout.write(`${JSON.stringify(AuditSchema.parse(all), null, 2)}\n`);
  else for (const recipe of recipes) process.stdout.write(`${auditTable(recipe, protocol)}\n`);
  if (unread > 0) return 2;
  return recipes.every((r) => r.verdict === 'within' || r.verdict === 'near') ? 0 : 1;
}

/** What each clause of the method does; 0 where every file was read, 2 where one could not be. */
function steps(files: readonly string[], flags: Flags): number {
  if (files.length === 0) return complain(`steps: no file is named\n${USAGE}`);
  if (flags.cup !== undefined && flags.cup !== 'us' && flags.cup !== 'metric')
    return complain(`steps: --cup ${String(flags.cup)}: us or metric`);
  const kitchen = typeof flags.larder === 'string' ? kitchenOf(flags.larder) : undefined;
  if (typeof kitchen === 'string') return complain(kitchen);
  const cup = flags.cup === 'metric' ? 'metric' : 'us';
  const recipes: Steps['recipes'] = [];
  let unread = 0;
  for (const file of files) {
    let text: string;
    try {
      text = readFileSync(file === '-' ? 0 : file, 'utf8');
    } catch (error) {
      complain(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`);
      unread += 1;
      continue;
    }
    const read = textSteps(text, file, { measures: { cup, tablespoon: 'us' }, larder: kitchen?.larder });
    if (read.ok) recipes.push(...read.recipes);
    else {
      complain(`${file}, line 1: ${read.message}`);
      unread += 1;
    }
  }
  const all: Steps = { schema: 'dulvet.steps/1', recipes };
  process.stdout.write(
    flags.json ? `${JSON.stringify(StepsSchema.parse(all), null, 2)}\n` : recipes.map(stepsTable).join('\n'),
  );
  return unread > 0 ? 2 : 0;
}

/** Reads a packet; 0 where the protocol lets it pass, 1 where not or not surely, 2 where it cannot be read. */
function label(files: readonly string[], flags: Flags): number {
  const [file] = files;
  if (!file || files.length > 1) return complain(`label: name one file\n${USAGE}`);
  const chosen = typeof flags.protocol === 'string' ? protocolOf(flags.protocol) : undefined;
  if (typeof chosen === 'string') return complain(`label: ${chosen}`);
  let text: string;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    return complain(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`);
  }
  const plain = recipeText(text);
  if (!plain.ok) return complain(`${file}, line 1: ${plain.message}`);
  const read = readLabel(plain.recipes[0] ?? '', chosen ? [chosen] : PROTOCOLS);
  process.stdout.write(
    flags.json ? `${JSON.stringify(LabelSchema.parse(read), null, 2)}\n` : labelTable(read),
  );
  return read.verdicts.every((v) => v.verdict === 'within' || v.verdict === 'near') ? 0 : 1;
}

/** Adapts a recipe; 0 with a plan after which it is within, 1 where there is none, 2 where it cannot be read. */
async function adaptFile(files: readonly string[], flags: Flags): Promise<number> {
  const [file] = files;
  if (!file || files.length > 1) return complain(`adapt: name one file\n${USAGE}`);
  const protocol = protocolOf(typeof flags.protocol === 'string' ? flags.protocol : 'heart-strict');
  if (typeof protocol === 'string') return complain(`adapt: ${protocol}`);
  const alternatives = flags.alternatives === undefined ? 2 : Number(flags.alternatives);
  if (!Number.isInteger(alternatives) || alternatives < 0 || alternatives > 20)
    return complain('adapt: --alternatives is a whole number from 0 to 20');
  const servings = flags.servings === undefined ? undefined : Number(flags.servings);
  if (servings !== undefined && !isServings(servings))
    return complain(`adapt: --servings ${String(flags.servings)}: ${UNIT_MESSAGES.servings}`);
  const role = flags.role as RoleId | undefined;
  if (role !== undefined && !ROLES.includes(role))
    return complain(`adapt: --role ${role}: one of ${ROLES.join(', ')}`);
  let text: string;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    return complain(`${file}: cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`);
  }
  const mustNot = readAllergens(
    typeof flags.allergens === 'string'
      ? flags.allergens
          .split(/[,;]/)
          .map((w) => w.trim())
          .filter(Boolean)
      : [],
  );
  if (!mustNot.ok) return complain(`adapt: --allergens: ${mustNot.message}`);
  const allergens = mustNot.ids;
  const others = (Array.isArray(flags.also) ? flags.also : []).map(protocolOf);
  const unknown = others.find((p) => typeof p === 'string');
  if (unknown !== undefined) return complain(`adapt: ${unknown}`);
  if (flags.cup !== undefined && flags.cup !== 'us' && flags.cup !== 'metric')
    return complain(`adapt: --cup ${String(flags.cup)}: us or metric`);
  const kitchen = typeof flags.larder === 'string' ? kitchenOf(flags.larder) : undefined;
  if (typeof kitchen === 'string') return complain(kitchen);
  const [locked, forced] = [flags.keep, flags.change].map((f) => (Array.isArray(f) ? f : []));
  const result = await adaptText(
    text,
    [protocol, ...(others as Protocol[])].map((p) => ({ protocol: p, allergens })),
    {
      measures: flags.cup === 'metric' ? { cup: 'metric', tablespoon: 'us' } : US_MEASURES,
      corrections: {},
      servings,
      larder: kitchen?.larder,
    },
    { role, source: file, alternatives, locked, forced, tastes: kitchen?.tastes },
  );
  if (!result.ok)
    return complain(
      result.path
        ? `adapt: --${result.path.split('.')[0]}: ${result.message}`
        : `${file}, line 1: ${result.message}`,
    );
  const { adaptation } = result;
  process.stdout.write(
    flags.json
      ? `${JSON.stringify(AdaptationSchema.parse(adaptation), null, 2)}\n`
      : adaptationTable(adaptation, protocol),
  );
  return adaptation.plans.length > 0 ? 0 : 1;
}

function protocols(json: boolean): number {
  if (json) process.stdout.write(`${JSON.stringify(PROTOCOLS, null, 2)}\n`);
  else
    for (const p of PROTOCOLS) {
      process.stdout.write(`${p.id}  ${p.name}: ${p.says}\n`);
      for (const l of p.limits)
        process.stdout.write(
          `    ${l.label}: ${l.limit === 0 ? 'none' : `at most ${l.limit} ${l.per === 'day' ? l.unit.replace('a serving', 'a day') : l.unit}`}  (${l.source})\n`,
        );
    }
  return 0;
}

function foods(query: string, json: boolean): number {
  if (!query.trim()) return complain('foods: say what to look for');
  const rows = foodRows(query);
  if (json) process.stdout.write(`${JSON.stringify(rows, null, 2)}\n`);
  else if (rows.length === 0) process.stdout.write(`nothing is called "${query}" here\n`);
  else
    for (const r of rows)
      process.stdout.write(
        `${r.confidence.toFixed(2)}  ${r.id.padEnd(24)} ${r.name}: ${r.energyKcal} kcal, ${r.fatG ?? '?'} g fat, ${r.sodiumMg ?? '?'} mg sodium in 100 g (${r.source})\n`,
      );
  return rows.length > 0 ? 0 : 1;
}

async function main(argv: string[]): Promise<number> {
  let parsed;
  try {
    parsed = parseArgs({
      args: argv,
      allowPositionals: true,
      options: {
        protocol: { type: 'string' },
        servings: { type: 'string' },
        role: { type: 'string' },
        pot: { type: 'string' },
        plate: { type: 'string' },
        cup: { type: 'string' },
        alternatives: { type: 'string' },
        keep: { type: 'string', multiple: true },
        change: { type: 'string', multiple: true },
        also: { type: 'string', multiple: true },
        allergens: { type: 'string' },
        larder: { type: 'string' },
        json: { type: 'boolean' },
        help: { type: 'boolean' },
      },
    });
  } catch (error) {
    return complain(`${(error as Error).message}\n${USAGE}`);
  }
  const [command, ...rest] = parsed.positionals;
  const { values } = parsed;
  if (values.help || command === undefined) {
    process.stdout.write(`${USAGE}\n`);
    return command === undefined && !values.help ? 2 : 0;
  }
  switch (command) {
    case 'audit':
      return audit(rest, values);
    case 'adapt':
      return adaptFile(rest, values);
    case 'label':
      return label(rest, values);
    case 'steps':
      return steps(rest, values);
    case 'protocols':
      return protocols(values.json ?? false);
    case 'foods':
      return foods(rest.join(' '), values.json ?? false);
    case 'schema':
      process.stdout.write(`${JSON.stringify(z.toJSONSchema(AuditSchema), null, 2)}\n`);
      return 0;
    default:
      return complain(`there is no command "${command}"\n${USAGE}`);
  }
}

void main(process.argv.slice(2)).then((code) => {
  process.exitCode = code;
});
