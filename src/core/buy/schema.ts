import { z } from 'zod';
import { RangeSchema as Range } from '@/core/audit/schema';

const sizes = z.array(z.tuple([z.number().positive(), z.string().min(2)])).min(1);

/** `content/aisles.yaml`. */
export const AisleFile = z
  .object({
    aisles: z.array(
      z
        .object({
          id: z.string(),
          name: z.string(),
          kinds: z.array(z.string()),
          foods: z.array(z.string()).default([]),
        })
        .strict(),
    ),
    packages: z.object({ foods: z.record(z.string(), sizes), kinds: z.record(z.string(), sizes) }).strict(),
  })
  .strict();
export type AisleFile = z.infer<typeof AisleFile>;

/** `content/shop.yaml`: the simulated shop. */
export const ShopFile = z.array(
  z
    .object({
      id: z.string().regex(/^own-shop-[a-z0-9-]+$/),
      name: z.string(),
      foods: z.array(z.string()).min(1),
      pack: z.string(),
      price: z.number().positive(),
      stock: z.number().int().nonnegative(),
      label: z.string(),
    })
    .strict(),
);
export type ShopFile = z.infer<typeof ShopFile>;

/** A shopping list, version 1. Fields may be added; none is renamed or dropped. */
export const ShoppingSchema = z.object({
  schema: z.literal('dulvet.shopping/1'),
  items: z.array(
    z.object({
      food: z.object({ id: z.string(), name: z.string() }),
      /** What the dishes hold of it, and what is bought for that, with peel and stalk. */
      gramsEdible: Range,
      gramsBought: Range,
      /** Packages that surely are enough, and what is left of them; none where it is bought loose. */
      packages: z.array(z.object({ size: z.string(), count: z.number().int(), leftG: Range })),
      aisle: z.string(),
      /** What to look for on the label. */
      words: z.array(z.string()),
      for: z.array(z.object({ source: z.string(), line: z.number().int() })),
      cost: Range.nullable(),
      /** It is in the kitchen already: look before it is bought. */
      have: z.boolean(),
    }),
  ),
  unresolved: z.array(z.string()),
});
export type Shopping = z.infer<typeof ShoppingSchema>;
