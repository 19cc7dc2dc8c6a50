import { US_MEASURES } from '@/core/measure/units';
import { rowQuestions } from '@/core/read/questions';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from './parse';
import { asKind, ROW_KINDS, type RowKind } from './row-kind';
import { severalRecipes } from './several';

const kindOf = (text: string, words: string): RowKind | null => {
  const r = parseRecipe(text);
  if (r.title === words) return 'title';
  if (r.lines.some((l) => l.text === words)) return 'food';
  if (r.lines.some((l) => l.section === words)) return 'heading';
  if (r.steps.some((s) => s.text === words)) return 'step';
  return r.notes.some((n) => n.text === words) ? 'note' : null;
};

describe('a row that says what it is', () => {
  const rows = ['Spices', 'tomato broth', 'Mix it well', 'salt'];
  const around = (row: string) =>
    `Some dish\nServes 4\n\n2 onions\n1 kg potatoes\n\n${row}\n1 tsp cumin\n2 carrots\n\nBoil it all.`;
  test.each(rows)('“%s” becomes what the cook says', (words) => {
    for (const kind of ROW_KINDS) {
      const text = around(words);
      const start = text.indexOf(words);
      const marked = asKind(text, { start, end: start + words.length }, kind);
      expect([kind, kindOf(marked, words)]).toEqual([kind, kind]);
      // the rows around it stay what they were
      expect([kind, kindOf(marked, '2 carrots'), kindOf(marked, '1 kg potatoes')]).toEqual([
        kind,
        'food',
        'food',
      ]);
    }
  });
  test('saying it twice changes nothing more, and is no question any more', () => {
    const text = around('Spices');
    const start = text.indexOf('Spices');
    const once = asKind(text, { start, end: start + 6 }, 'step');
    const at = once.indexOf('Step: Spices');
    expect(asKind(once, { start: at, end: at + 12 }, 'step')).toBe(once);
    const read = readRecipe(parseRecipe(once), { measures: US_MEASURES, corrections: {} });
    expect(rowQuestions(read)).toEqual([]);
  });
});

describe('rows that are asked about', () => {
  const asked = (text: string) =>
    rowQuestions(readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections: {} })).map((q) => [
      q.row.text,
      q.may[0],
    ]);
  test('a word that is a food or a heading', () =>
    expect(
      asked('Bowl\nServes 2\n\n200 g rice\n\nmushrooms\n1 tbsp cumin\n2 carrots\n\nFry.'),
    ).toContainEqual(['mushrooms', 'heading']));
  test('words that no food was found for', () =>
    expect(
      asked('Bowl\nServes 2\n\n200 g rice\nthe usual flurbs\n2 carrots\n\nBoil the rice.'),
    ).toContainEqual(['the usual flurbs', 'food']));
  test('a plain recipe raises none', () =>
    expect(asked('Bowl\nServes 2\n\nIngredients\n200 g rice\n2 carrots\n\nMethod\nBoil the rice.')).toEqual(
      [],
    ));
});

describe('several recipes in one text', () => {
  const one = (name: string, food: string) =>
    `${name}\nServes 4\n\nIngredients\n1 kg ${food}\n2 onions\n\nMethod\nBoil the ${food}.\nServe it hot.`;
  test('are told apart, each whole', () => {
    const both = `${one('Potato pot', 'potatoes')}\n\n${one('Carrot pot', 'carrots')}`;
    const texts = severalRecipes(both);
    expect(texts.map((t) => parseRecipe(t).title)).toEqual(['Potato pot', 'Carrot pot']);
    expect(texts.map((t) => parseRecipe(t).lines.length)).toEqual([2, 2]);
    expect(texts.join('').replace(/\s+/g, ' ').trim()).toBe(both.replace(/\s+/g, ' '));
  });
  test('one with parts is one', () => {
    const parts = `Pie\nServes 4\n\nFor the filling:\n1 kg potatoes\n2 onions\n\nFor the top:\n200 g oats\n1 tsp thyme\n\nMethod\nBoil the potatoes.\n\nFor the top, toast the oats.`;
    expect(severalRecipes(parts)).toEqual([parts]);
    expect(severalRecipes(one('Potato pot', 'potatoes'))).toHaveLength(1);
  });
});
