import { readFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { PacketSchema } from '../src/core/label/schema';
import { fail, root, yaml } from './content-files';

const Kitchen = z
  .object({
    has: z.array(z.string()),
    likes: z.array(z.string()),
    dislikes: z.array(z.string()),
    done: z.record(
      z.string(),
      z.object({ times: z.number().int().positive(), worked: z.boolean().nullable() }).strict(),
    ),
    prices: z.record(z.string(), z.tuple([z.number().nonnegative(), z.string()])),
  })
  .strict();

/** The demo kitchen: diners, packets, recipes, and what the kitchen has, likes and pays. */
export function demo(foodIds: Set<string>, swapIds: Set<string>) {
  const Demo = z.object({
    diners: z.array(
      z
        .object({
          name: z.string(),
          protocol: z.string(),
          allergens: z.array(z.string()),
          dislikes: z.array(z.string()).default([]),
          appetite: z.number().default(1),
          medical: z.boolean().default(false),
        })
        .strict(),
    ),
    recipes: z.array(
      z.object({ file: z.string(), role: z.string().optional(), versionOf: z.string().optional() }).strict(),
    ),
    cookings: z.array(
      z
        .object({
          recipe: z.string(),
          daysAgo: z.number().positive(),
          took: z.number().positive(),
          added: z.array(z.string()),
          words: z.array(
            z
              .object({
                name: z.string(),
                liked: z.union([z.literal(-1), z.literal(0), z.literal(1)]),
                says: z.array(z.string()),
              })
              .strict(),
          ),
          note: z.string(),
        })
        .strict(),
    ),
    boxes: z.array(
      z
        .object({
          recipe: z.string(),
          grams: z.number().positive(),
          place: z.enum(['fridge', 'freezer']),
          daysAgo: z.number().nonnegative(),
        })
        .strict(),
    ),
    hand: z.array(z.object({ unit: z.string(), ml: z.array(z.number().positive()) }).strict()),
    week: z
      .object({
        pots: z.array(
          z
            .object({
              id: z.string(),
              recipe: z.string(),
              day: z.number().int(),
              times: z.number().positive(),
            })
            .strict(),
        ),
        meals: z.array(
          z
            .object({
              days: z.array(z.number().int()),
              meal: z.string(),
              who: z.array(z.string()),
              of: z.string().nullable().default(null),
              plates: z.number().positive().default(1),
              text: z.string().default(''),
            })
            .strict(),
        ),
      })
      .strict(),
    supper: z
      .object({
        recipes: z.array(z.string()).min(1),
        cooks: z.array(z.string()).min(1),
        burners: z.number().int(),
        ovens: z.number().int(),
        begunAgo: z.number().positive(),
        table: z.number().positive(),
        done: z.array(z.string()),
        underWay: z.array(
          z
            .object({ id: z.string(), ago: z.number(), label: z.string(), minutes: z.number().positive() })
            .strict(),
        ),
        added: z.array(
          z.object({ dish: z.number().int(), text: z.string(), ago: z.number().positive() }).strict(),
        ),
      })
      .strict(),
  });
  const { diners, recipes, cookings, boxes, hand, supper, week } = yaml('demo/demo.yaml', Demo);
  const place = (file: string) => {
    const at = recipes.findIndex((r) => r.file === file);
    return at < 0 ? fail('demo/demo.yaml', `"${file}" is none of its recipes`) : at;
  };
  const packets = yaml('demo/packets.yaml', z.array(PacketSchema));
  for (const packet of packets)
    if (packet.like !== null && !foodIds.has(packet.like))
      fail('demo/packets.yaml', `${packet.id} is like "${packet.like}", which is no food`);
  const kitchen = yaml('demo/kitchen.yaml', Kitchen);
  for (const id of [...kitchen.has, ...kitchen.likes, ...kitchen.dislikes, ...Object.keys(kitchen.prices)])
    if (!foodIds.has(id)) fail('demo/kitchen.yaml', `"${id}" is no food`);
  for (const id of Object.keys(kitchen.done))
    if (!swapIds.has(id)) fail('demo/kitchen.yaml', `"${id}" is no swap`);
  const said = new Set([
    ...kitchen.has,
    ...kitchen.likes,
    ...kitchen.dislikes,
    ...Object.keys(kitchen.prices),
  ]);
  return {
    kitchen: [...said].map((foodId) => {
      const [pays, amount] = kitchen.prices[foodId] ?? [];
      return {
        foodId,
        has: kitchen.has.includes(foodId),
        liking: kitchen.likes.includes(foodId) ? 1 : kitchen.dislikes.includes(foodId) ? -1 : 0,
        price: pays === undefined ? null : { pays, amount },
      };
    }),
    swapUses: Object.entries(kitchen.done).map(([swapId, use]) => ({ swapId, ...use })),
    diners,
    packets,
    cookings: cookings.map((c) => ({ ...c, recipe: place(c.recipe) })),
    boxes: boxes.map((b) => ({ ...b, recipe: place(b.recipe) })),
    hand,
    week: { ...week, pots: week.pots.map((p) => ({ ...p, recipe: place(p.recipe) })) },
    supper: { ...supper, recipes: supper.recipes.map(place) },
    recipes: recipes.map(({ file, role, versionOf }) => ({
      text: readFileSync(path.join(root, 'demo', file), 'utf8'),
      role: role ?? null,
      versionOf: versionOf === undefined ? null : place(versionOf),
    })),
  };
}
