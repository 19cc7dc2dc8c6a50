import { parseArgs } from 'node:util';
import { z } from 'zod';
import { AdaptationSchema } from '../src/core/adapt/schema';
import { readAllergens } from '../src/core/allergen/allergen';
import { AuditSchema, type RecipeAudit } from '../src/core/audit/schema';
import { auditText, withRecipes } from '../src/core/audit/text';
import { TABLE_LARDER } from '../src/core/food/larder';
import { foodRows } from '../src/core/food/list';
import { recipeText } from '../src/core/format/text';
import { readLabel } from '../src/core/label/read';
import { LabelSchema } from '../src/core/label/schema';
import { PROTOCOLS, ROLES, type Protocol, type RoleId } from '../src/core/protocol';
import { isGrams, isServings, MOST_GRAMS } from '../src/core/recipe/limits';
import { StepsSchema, type Steps } from '../src/core/steps/schema';
import { textSteps } from '../src/core/steps/steps';
import { adaptText, tastesOf } from '../src/server/adapt-text';
import { convertFile } from './convert';
import { cookFiles, tasteFile } from './cook';
import { complain, groundOf, protocolOf, textsOf, UNIT_MESSAGES, USAGE, type Flags } from './inputs';
import { auditLines } from './jsonl';
import { adaptationTable, auditTable, labelTable, stepsTable } from './table';
import { shopFiles, weekFile } from './week';

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
  const ground = groundOf('audit', flags);
  if (typeof ground === 'string') return complain(ground);
  const [potG, plateG] = [flags.pot, flags.plate].map((g) => (g === undefined ? undefined : Number(g)));
  for (const grams of [potG, plateG])
    if (grams !== undefined && !isGrams(grams))
      return complain(`audit: --pot and --plate are grams above 0, at most ${MOST_GRAMS}`);
  const read = textsOf(files);
  const { texts } = read;
  let { unread } = read;
  const options = { servings, role, measures: ground.measures, potG, plateG };
  // recipes named together may be ingredients of each other
  const shelf = withRecipes(
    texts.map((t) => t.text),
    ground.larder ?? TABLE_LARDER,
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
  const ground = groundOf('steps', flags);
  if (typeof ground === 'string') return complain(ground);
  const recipes: Steps['recipes'] = [];
  const inputs = textsOf(files);
  let { unread } = inputs;
  for (const { file, text } of inputs.texts) {
    const read = textSteps(text, file, ground);
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
  const [input] = textsOf([file]).texts;
  if (!input) return 2;
  const { text } = input;
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
  const [input] = textsOf([file]).texts;
  if (!input) return 2;
  const { text } = input;
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
  const ground = groundOf('adapt', flags);
  if (typeof ground === 'string') return complain(ground);
  const [locked, forced] = [flags.keep, flags.change].map((f) => (Array.isArray(f) ? f : []));
  const settings = { measures: ground.measures, corrections: {}, servings, larder: ground.larder };
  const result = await adaptText(
    text,
    [protocol, ...(others as Protocol[])].map((p) => ({ protocol: p, allergens })),
    settings,
    { role, source: file, alternatives, locked, forced, tastes: ground.tastes },
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
      : adaptationTable(adaptation, protocol, tastesOf(text, adaptation.plans, protocol, settings, role)),
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
        add: { type: 'string', multiple: true },
        at: { type: 'string' },
        from: { type: 'string' },
        cooks: { type: 'string' },
        burners: { type: 'string' },
        ovens: { type: 'string' },
        times: { type: 'string' },
        plates: { type: 'string' },
        to: { type: 'string' },
        jsonl: { type: 'boolean' },
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
      return values.jsonl ? auditLines() : audit(rest, values);
    case 'adapt':
      return adaptFile(rest, values);
    case 'label':
      return label(rest, values);
    case 'steps':
      return steps(rest, values);
    case 'cook':
      return cookFiles(rest, values);
    case 'week':
      return weekFile(rest, values);
    case 'shop':
      return shopFiles(rest, values);
    case 'convert':
      return convertFile(rest, values);
    case 'taste':
      return tasteFile(rest, values);
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
