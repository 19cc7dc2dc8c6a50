import raw from '@content/compiled/shop.json';
import type { Packet } from '@/core/label/schema';
import type { ShopFile } from './schema';

// checked by Zod when content is compiled
const products = raw as unknown as ShopFile;

/** Something that the simulated shop sells. */
export type Product = ShopFile[number];

/** What the simulated shop has of a food, the cheapest for its package first; what is sold out is not offered. */
export const productsFor = (foodId: string): readonly Product[] =>
  products.filter((p) => p.stock > 0 && p.foods.includes(foodId)).sort((a, b) => a.price - b.price);

/** A product as a packet of the Larder, in the measures of the food it was bought as. */
export const packetOf = (product: Product, like: string): Packet => ({
  id: product.id,
  name: product.name,
  names: [],
  label: product.label,
  like,
});
