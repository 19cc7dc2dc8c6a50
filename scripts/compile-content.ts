/**
 * Compiles `content/` into `content/compiled/*.json`: reads the CSV and YAML that a cook can edit, checks
 * every row with the core's schemas, completes what a kind of food implies, and takes measured figures
 * from the Indian Food Composition Tables 2017 where a row names their code. Stops at the first file with
 * mistakes and says where they are.
 */
import { copyFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { z } from 'zod';
import { AdaptationSchema } from '../src/core/adapt/schema';
import { AllergenFile } from '../src/core/allergen/schema';
import { AuditSchema } from '../src/core/audit/schema';
import { AisleFile, ShopFile, ShoppingSchema } from '../src/core/buy/schema';
import { BuyingFile, Units, Vague, Words } from '../src/core/food/schema';
import { resolveProtocol } from '../src/core/protocol/resolve';
import { ProtocolFile } from '../src/core/protocol/schema';
import { BeliefFile, CautionFile } from '../src/core/caution/schema';
import { CookSchema, LedgerKey, TaskFile } from '../src/core/cook/schema';
import { TastingSchema } from '../src/core/cook/taste-schema';
import { LabelNames } from '../src/core/label/schema';
import { PreparationFile, YieldFile } from '../src/core/prepare/schema';
import { StepWordsFile, VerbFile } from '../src/core/step/schema';
import { StepsSchema } from '../src/core/steps/schema';
import { AdditionRow, FlavourFile, StarterRow, SwapFile } from '../src/core/swap/schema';
import { GroupFile } from '../src/core/week/groups-schema';
import { WeekPlanSchema, WeekSchema } from '../src/core/week/schema';
import { demo } from './content-demo';
import { fail, out, root, write, yaml } from './content-files';
import { withVariants } from './content-families';
import { foods, nameWords, kinds, packed } from './content-foods';

function swaps(foodIds: Set<string>) {
  const file = yaml('swaps.yaml', SwapFile);
  const seen = new Set<string>();
  for (const swap of file.swaps) {
    if (seen.has(swap.id)) fail('swaps.yaml', `"${swap.id}" stands twice`);
    seen.add(swap.id);
    for (const id of [...(swap.from.foods ?? []), ...swap.to.map((t) => t.food).filter((f) => f !== 'same')])
      if (!foodIds.has(id)) fail(`swaps.yaml, ${swap.id}`, `"${id}" is no food`);
    for (const kind of swap.from.kinds ?? [])
      if (!kinds[kind]) fail(`swaps.yaml, ${swap.id}`, `"${kind}" is no kind`);
  }
  return file;
}

/** A file whose foods all stand in the table. */
function named<T>(
  file: string,
  value: T,
  foodIds: ReadonlySet<string>,
  foodsIn: (value: T) => readonly string[],
): T {
  for (const id of foodsIn(value)) if (!foodIds.has(id)) fail(file, `"${id}" is no food`);
  return value;
}

function protocols() {
  const file = yaml('protocols.yaml', ProtocolFile);
  for (const source of file.protocols) {
    const resolved = resolveProtocol(source, file.switches);
    if (!resolved.ok) fail(`protocols.yaml, ${source.id}, ${resolved.path}`, resolved.message);
    for (const [id, question] of Object.entries(file.switches))
      for (const option of question.options) {
        const turned = resolveProtocol(
          { ...source, switches: { ...source.switches, [id]: option.id } },
          file.switches,
        );
        if (!turned.ok) fail(`protocols.yaml, ${source.id} with ${id} ${option.id}`, turned.message);
      }
  }
  return file;
}

function yields(foodIds: Set<string>) {
  const file = yaml('yields.yaml', YieldFile);
  const named = [
    ...file.absorb.flatMap((a) => [...a.foods, ...(a.cooked ? [a.cooked] : [])]),
    ...file.liquids.foods,
    ...file['baked-dough'].flour,
  ];
  for (const id of named) if (!foodIds.has(id)) fail('yields.yaml', `"${id}" is no food`);
  for (const kind of [...file.liquids.kinds, ...file.unsaid.kinds, ...file.cooked.flatMap((c) => c.kinds)])
    if (!kinds[kind]) fail('yields.yaml', `"${kind}" is no kind`);
  return file;
}

function buying(foodIds: Set<string>) {
  const file = yaml('buying.yaml', BuyingFile);
  for (const rule of file.rules) {
    for (const id of rule.foods ?? []) if (!foodIds.has(id)) fail('buying.yaml', `"${id}" is no food`);
    for (const kind of rule.kinds ?? []) if (!kinds[kind]) fail('buying.yaml', `"${kind}" is no kind`);
  }
  return file;
}

mkdirSync(out, { recursive: true });
const table = foods();
const ids = new Set(table.foods.map((f) => f.id));
write('foods', packed(table));
// the finder's words, so that no page works them out at its start; `tokens` reads the words just written
write('words', yaml('words.yaml', Words));
const { tokens } = createRequire(__filename)(
  '../src/core/food/tokens',
) as typeof import('../src/core/food/tokens');
write('names', nameWords(table.foods, tokens));
/** Writes knowledge about foods, for their variants too. */
const writeAbout = (name: string, content: unknown) => write(name, withVariants(table.foods, content));
const allergens = yaml('allergens.yaml', AllergenFile);
const allergenIds = new Set(allergens.allergens.map((a) => a.id));
for (const food of table.foods)
  for (const id of food.allergens)
    if (!allergenIds.has(id)) fail(`foods, ${food.id}`, `"${id}" is no allergen of allergens.yaml`);
for (const [group, members] of Object.entries(allergens.groups))
  for (const id of members)
    if (!allergenIds.has(id)) fail(`allergens.yaml, ${group}`, `"${id}" is no allergen`);
write('allergens', allergens);
write('units', yaml('units.yaml', Units));
write('vague', yaml('vague.yaml', Vague));
write('protocols', protocols());
writeAbout('preparations', yaml('preparations.yaml', PreparationFile));
writeAbout('yields', yields(ids));
writeAbout('buying', buying(ids));
writeAbout(
  'cautions',
  named('cautions.yaml', yaml('cautions.yaml', CautionFile), ids, (f) =>
    f.cautions.flatMap((c) => [...(c.foods ?? []), ...(c.figure?.foods ?? [])]),
  ),
);
writeAbout(
  'beliefs',
  named('beliefs.yaml', yaml('beliefs.yaml', BeliefFile), ids, (f) =>
    f.beliefs.flatMap((b) => b.foods ?? []),
  ),
);
writeAbout(
  'flavour',
  named('flavour.yaml', yaml('flavour.yaml', FlavourFile), ids, (f) => [
    ...Object.values(f.senses).flatMap((s) => Object.keys(s.foods)),
    ...[...Object.values(f.back), ...Object.values(f.sweetBack)].flatMap((all) => all.map((b) => b.food)),
  ]),
);
writeAbout(
  'additions',
  named('additions.yaml', yaml('additions.yaml', z.array(AdditionRow)), ids, (f) => f.map((a) => a.food)),
);
write(
  'headroom',
  named('headroom.yaml', yaml('headroom.yaml', z.array(z.string())), ids, (f) => f),
);
write('starters', yaml('starters.yaml', z.array(StarterRow)));
const stepWords = yaml('step-words.yaml', StepWordsFile);
for (const [word, id] of Object.entries(stepWords.aliases))
  if (!ids.has(id)) fail(`step-words.yaml, aliases, ${word}`, `"${id}" is no food`);
for (const [word, of] of Object.entries(stepWords.families))
  for (const kind of of) if (!kinds[kind]) fail(`step-words.yaml, families, ${word}`, `"${kind}" is no kind`);
write('step-words', stepWords);
const verbs = yaml('verbs.yaml', VerbFile);
for (const [id, verb] of Object.entries(verbs.verbs)) {
  if (verb.food !== null && !ids.has(verb.food)) fail(`verbs.yaml, ${id}`, `"${verb.food}" is no food`);
  for (const tool of verb.tools)
    if (!(tool in stepWords.tools) && !['grater', 'board', 'freezer'].includes(tool))
      fail(`verbs.yaml, ${id}`, `"${tool}" is no tool of step-words.yaml`);
}
write('verbs', verbs);
const tasks = yaml('tasks.yaml', TaskFile);
for (const id of [
  ...tasks.joins,
  ...tasks.gathers,
  ...tasks.silent,
  ...tasks.works,
  ...tasks.stays,
  ...tasks.leaves,
  ...Object.keys(tasks.holds),
])
  if (!(id in verbs.verbs)) fail('tasks.yaml', `"${id}" is no verb of verbs.yaml`);
for (const kind of [
  ...tasks.lines.flatMap((l) => l.kinds ?? []),
  ...tasks['at-once'].kinds,
  ...tasks['leaves-wait'].kinds,
  ...tasks.unscaled.flatMap((u) => u.kinds ?? []),
])
  if (!kinds[kind]) fail('tasks.yaml', `"${kind}" is no kind`);
writeAbout('tasks', tasks);
const aisles = yaml('aisles.yaml', AisleFile);
for (const kind of [...aisles.aisles.flatMap((a) => a.kinds), ...Object.keys(aisles.packages.kinds)])
  if (!kinds[kind]) fail('aisles.yaml', `"${kind}" is no kind`);
for (const kind of Object.keys(kinds))
  if (!aisles.aisles.some((a) => a.kinds.includes(kind))) fail('aisles.yaml', `no aisle holds "${kind}"`);
for (const id of [...Object.keys(aisles.packages.foods), ...aisles.aisles.flatMap((a) => a.foods)])
  if (!ids.has(id)) fail('aisles.yaml', `"${id}" is no food`);
writeAbout('aisles', aisles);

const shop = yaml('shop.yaml', ShopFile);
for (const product of shop)
  for (const id of product.foods) if (!ids.has(id)) fail('shop.yaml', `${product.id}: "${id}" is no food`);
write('shop', shop);
write(
  'ledger',
  named('ledger.yaml', yaml('ledger.yaml', z.array(LedgerKey)), ids, (f) => f.map((k) => k.food)),
);
write(
  'counterparts',
  named('counterparts.yaml', yaml('counterparts.yaml', z.record(z.string(), z.string())), ids, (f) =>
    Object.entries(f).flat(),
  ),
);
const groupFile = named('groups.yaml', yaml('groups.yaml', GroupFile), ids, (f) =>
  f.groups.flatMap((g) => g.foods),
);
for (const kind of groupFile.groups.flatMap((g) => g.kinds))
  if (!kinds[kind]) fail('groups.yaml', `"${kind}" is no kind`);
write('groups', groupFile);
const swapFile = swaps(ids);
writeAbout('swaps', swapFile);
write('label-names', yaml('label-names.yaml', LabelNames));
write('demo', demo(ids, new Set(swapFile.swaps.map((s) => s.id))));
// the solver's WASM is served by the app itself
copyFileSync(
  path.join(path.dirname(createRequire(__filename).resolve('highs')), 'highs.wasm'),
  path.resolve(root, '../public/highs.wasm'),
);
const published = {
  'audit-1': AuditSchema,
  'adaptation-1': AdaptationSchema,
  'steps-1': StepsSchema,
  'cook-1': CookSchema,
  'tasting-1': TastingSchema,
  'shopping-1': ShoppingSchema,
  'week-1': WeekSchema,
  'week-plan-1': WeekPlanSchema,
};
for (const [name, schema] of Object.entries(published))
  writeFileSync(
    path.resolve(root, `../public/schema/${name}.json`),
    `${JSON.stringify(z.toJSONSchema(schema), null, 2)}\n`,
  );
process.stderr.write(`content: ${table.foods.length} foods compiled\n`);
