import { readFileSync } from 'node:fs';
import path from 'node:path';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { auditRecipe } from './audit';
import type { Verdict } from './schema';

/** Recipes written as cooks write them, in many manners; none of them is in the demo. */
const read = (name: string) =>
  readRecipe(parseRecipe(readFileSync(path.join(__dirname, 'unseen', `${name}.txt`), 'utf8')), {
    measures: US_MEASURES,
    corrections: {},
  });
const strict = protocolById('heart-strict') as Protocol;

interface Expected {
  readonly name: string;
  readonly title: RegExp;
  readonly servings: readonly [number, number];
  /** Ingredient lines and lines of the method. */
  readonly lines: readonly [number, number];
  readonly steps: number;
  readonly unresolved: readonly string[];
  /** Kinds that only the method brings. */
  readonly method: readonly string[];
  /** Verdicts of limits of Heart-strict that matter here. */
  readonly limits: Readonly<Record<string, Verdict>>;
}

const RECIPES: readonly Expected[] = [
  {
    name: 'dal',
    title: /dal I told you/,
    servings: [4, 4],
    lines: [13, 2],
    steps: 1,
    unresolved: [],
    method: ['fruit', 'refined-grain'],
    limits: { 'fat-share': 'over', 'no-added-oil': 'depends', 'not-plant': 'depends' },
  },
  {
    name: 'orzo-soup',
    title: /LEMONY ORZO/,
    servings: [6, 6],
    lines: [11, 0],
    steps: 3,
    unresolved: [],
    method: [],
    limits: { 'no-added-oil': 'over', nuts: 'within' },
  },
  {
    name: 'mushroom-stew',
    title: /BOURGUIGNON/,
    servings: [4, 6],
    lines: [12, 1],
    steps: 4,
    unresolved: [],
    method: ['salt'],
    limits: { 'no-added-oil': 'over', 'whole-grain-only': 'depends', 'not-plant': 'within' },
  },
  {
    name: 'noodle-bowls',
    title: /Noodle Bowls/,
    servings: [2, 2],
    lines: [13, 1],
    steps: 1,
    unresolved: [],
    method: ['seed'],
    limits: { sodium: 'over', nuts: 'over' },
  },
  {
    name: 'muffins',
    title: /oat muffins/,
    servings: [12, 12],
    lines: [12, 1],
    steps: 3,
    unresolved: [],
    method: ['oil'],
    limits: { sodium: 'over', 'free-sugar': 'over', 'no-added-oil': 'over', 'whole-grain-only': 'within' },
  },
  {
    name: 'green-curry',
    title: /green curry/,
    servings: [4, 4],
    lines: [11, 0],
    steps: 1,
    unresolved: [],
    method: [],
    limits: { 'fat-share': 'over', nuts: 'over' },
  },
  {
    name: 'one-line-pasta',
    title: /Untitled/,
    servings: [4, 4],
    lines: [9, 1],
    steps: 1,
    unresolved: [],
    method: ['salt'],
    limits: { 'no-added-oil': 'over' },
  },
  {
    name: 'miso-aubergine',
    title: /Miso Glazed/,
    servings: [2, 2],
    lines: [7, 0],
    steps: 1,
    unresolved: [],
    method: [],
    limits: { sodium: 'over', 'free-sugar': 'over' },
  },
  {
    name: 'harira',
    title: /Harira/,
    servings: [6, 8],
    lines: [15, 2],
    steps: 4,
    unresolved: [],
    method: ['stock', 'salt'],
    limits: { 'no-added-oil': 'depends', nuts: 'within' },
  },
  {
    name: 'rice-salad',
    title: /Untitled/,
    servings: [4, 4],
    lines: [9, 0],
    steps: 1,
    unresolved: [],
    method: [],
    limits: { sodium: 'within', 'no-added-oil': 'within', 'whole-grain-only': 'within' },
  },
  {
    name: 'leek-soup',
    title: /POTATO & LEEK/,
    servings: [4, 4],
    lines: [6, 0],
    steps: 3,
    unresolved: [],
    method: [],
    // a soup's share of the day, with a stock that is low in salt by one make or another
    limits: { 'fat-share': 'near', sodium: 'depends', 'no-added-oil': 'within' },
  },
  {
    name: 'cookies',
    title: /Cookies/,
    servings: [24, 24],
    lines: [10, 0],
    steps: 1,
    unresolved: [],
    method: [],
    limits: { sodium: 'over', 'no-added-oil': 'over', nuts: 'depends', 'not-plant': 'within' },
  },
  {
    name: 'pad-thai',
    title: /Pad Thai/,
    servings: [2, 2],
    lines: [12, 1],
    steps: 4,
    unresolved: [],
    method: ['oil'],
    limits: { sodium: 'over', 'no-added-oil': 'over' },
  },
  {
    name: 'ratatouille',
    title: /ratatouille/,
    servings: [2, 4],
    lines: [10, 1],
    steps: 1,
    unresolved: [],
    method: ['refined-grain'],
    limits: { 'no-added-oil': 'over', nuts: 'within' },
  },
  {
    name: 'oats',
    title: /Overnight oats/,
    servings: [1, 1],
    lines: [6, 0],
    steps: 1,
    unresolved: [],
    method: [],
    limits: { 'flax-chia': 'over', 'no-added-oil': 'depends' },
  },
  {
    name: 'veg-tray',
    title: /Roast veg tray/,
    servings: [4, 4],
    lines: [6, 1],
    steps: 3,
    unresolved: [],
    method: ['nut-butter'],
    limits: { sodium: 'within', 'no-added-oil': 'within', nuts: 'over' },
  },
  {
    name: 'plain-oats',
    title: /Untitled/,
    servings: [2, 2],
    lines: [3, 0],
    steps: 1,
    unresolved: [],
    method: [],
    limits: { sodium: 'within', 'free-sugar': 'within', 'whole-grain-only': 'within' },
  },
  {
    name: 'lasagne',
    title: /Lasagne/,
    servings: [6, 8],
    lines: [15, 2],
    steps: 3,
    unresolved: [],
    method: ['oil', 'condiment'],
    limits: { sodium: 'over', 'no-added-oil': 'over' },
  },
];

describe.each(RECIPES)('$name', (expected) => {
  const r = read(expected.name);
  const audit = auditRecipe(r, strict);
  const ingredients = r.lines.filter((l) => l.origin === 'ingredients');
  const method = r.lines.filter((l) => l.origin === 'method');

  test('is taken apart: title, servings, lines, steps', () => {
    expect(audit.title).toMatch(expected.title);
    expect([r.servings.range.low, r.servings.range.high]).toEqual(expected.servings);
    expect([ingredients.length, method.length]).toEqual(expected.lines);
    expect(r.steps).toHaveLength(expected.steps);
  });
  test('what is not understood, and what only the method brings', () => {
    expect(audit.unresolved).toEqual(expected.unresolved);
    expect(method.map((l) => l.foods[0]?.food?.kind)).toEqual(expected.method);
  });
  test('verdicts', () => {
    const got = Object.fromEntries(
      audit.limits.filter((l) => l.id in expected.limits).map((l) => [l.id, l.verdict]),
    );
    expect(got).toEqual(expected.limits);
  });
  test.each(PROTOCOLS.map((p) => [p.id, p] as const))('figures of %s hang together', (_, protocol) => {
    const a = auditRecipe(r, protocol);
    const { total, perServing } = a;
    // energy is at least its fat's; parts are no more than the weight
    expect(total.energyKcal?.best).toBeGreaterThanOrEqual(9 * (total.fatG?.best ?? NaN) * 0.95);
    expect(total.weightG?.best).toBeGreaterThan((total.fatG?.best ?? NaN) + (total.proteinG?.best ?? NaN));
    expect(total.freeSugarG?.best).toBeLessThanOrEqual((total.sugarG?.best ?? NaN) + 0.1);
    for (const range of [
      ...Object.values(total),
      ...Object.values(perServing),
      ...Object.values(a.per100g),
    ]) {
      if (!range) continue;
      expect(range.low).toBeLessThanOrEqual(range.best + 1e-6);
      expect(range.best).toBeLessThanOrEqual(range.high + 1e-6);
    }
    // a plate holds some food: between a biscuit and a feast
    expect(perServing.energyKcal?.best).toBeGreaterThan(20);
    expect(perServing.energyKcal?.best).toBeLessThan(2500);
  });
});
