import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { auditRecipe } from '@/core/audit/audit';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { FORMS } from './formats';
import { recipeText } from './text';

const settings = { measures: US_MEASURES, corrections: {} };
const heart = PROTOCOLS.find((p) => p.id === 'heart-strict') as Protocol;
const readOf = (text: string) => {
  const plain = recipeText(text);
  if (!plain.ok) throw new Error(plain.message);
  return readRecipe(parseRecipe(plain.recipes[0] ?? ''), settings);
};
const auditOf = (text: string) => auditRecipe(readOf(text), heart, { role: 'main' });

const folder = (name: string) => {
  const dir = path.resolve(__dirname, name);
  return readdirSync(dir)
    .filter((f) => /\.(?:txt|md)$/.test(f))
    .map((f) => [f, readFileSync(path.join(dir, f), 'utf8')] as const);
};
const RECIPES = [...folder('../../../content/demo'), ...folder('../adapt/unseen')];

describe.each(FORMS.map((f) => [f.id, f] as const))('%s', (_, form) => {
  test.each(RECIPES)('%s, read again, gives the same audit or says what is lost', (__, text) => {
    const before = auditOf(text);
    const written = form.write(readOf(text), before);
    const after = auditOf(written.text);
    expect(after.title).toBe(before.title);
    if (written.lost.length > 0) return;
    const listed = (a: typeof before) => a.lines.filter((l) => l.origin === 'ingredients').map((l) => l.text);
    expect(listed(after)).toEqual(listed(before));
    expect(after.servings).toEqual(before.servings);
    expect(after.limits.map((l) => [l.id, l.value])).toEqual(before.limits.map((l) => [l.id, l.value]));
    expect(after.verdict).toBe(before.verdict);
  });
});

test('most recipes lose nothing in Cooklang, and none loses a line silently', () => {
  const form = FORMS.find((f) => f.id === 'cooklang');
  const lost = RECIPES.map(([, text]) => form?.write(readOf(text), auditOf(text)).lost.length ?? 0);
  expect(lost.filter((n) => n === 0).length).toBeGreaterThan(RECIPES.length * 0.7);
});

test('a table of figures keeps what is not known empty, never nothing', () => {
  const text = 'Pot\nServes 2\n\nIngredients\n1 kg potatoes\n1 tin of brimble\n\nMethod\nSimmer.';
  const csv = FORMS.find((f) => f.id === 'csv')?.write(readOf(text), auditOf(text)).text ?? '';
  const row = csv.split('\n').find((r) => r.includes('brimble')) ?? '';
  expect(row.replace(/^line,,1 tin of brimble,/, '')).toMatch(/^,+$/);
});
