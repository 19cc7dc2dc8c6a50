import { parseRecipe } from '@/core/recipe/parse';
import { withLine } from './use-line-edit';

const TEXT = 'Pot\nServes 2\n\n- 1 onion\n- 2 carrots\n';
const place = (words: string) => TEXT.indexOf(words);

describe('a line in the text', () => {
  test('is replaced where it stands, its bullet and neighbours stay', () => {
    const next = withLine(TEXT, place('1 onion'), '1 onion'.length, '3 leeks');
    expect(next).toBe('Pot\nServes 2\n\n- 3 leeks\n- 2 carrots\n');
    expect(parseRecipe(next).lines.map((l) => l.text)).toEqual(['3 leeks', '2 carrots']);
  });
  test('may be empty for a moment without moving the others', () => {
    const empty = withLine(TEXT, place('1 onion'), '1 onion'.length, '');
    expect(parseRecipe(empty).lines.map((l) => l.text)).toEqual(['2 carrots']);
    expect(withLine(empty, place('1 onion'), 0, '1 onion')).toBe(TEXT);
  });
});
