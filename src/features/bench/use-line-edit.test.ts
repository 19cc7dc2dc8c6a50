import { parseRecipe } from '@/core/recipe/parse';
import { TypedLine, withLine } from './use-line-edit';

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

describe('a line as it is typed', () => {
  /** Letters typed at the end of the onion's line: what each text is. */
  const typing = (letters: string) => {
    const start = place('1 onion');
    const line = new TypedLine({ start, draft: '1 onion', text: TEXT });
    const texts = [...letters].map((_, i) => {
      const draft = `1 onion${letters.slice(0, i + 1)}`;
      const text = withLine(TEXT, start, '1 onion'.length, draft);
      line.add({ start, draft, text });
      return text;
    });
    return { start, line, texts };
  };

  test('knows its own words in whichever of its texts is shown: nothing of a newer one is left behind', () => {
    const { line, texts } = typing(', sliced');
    // the next letter may come while any of them is on the screen
    for (const shown of [TEXT, ...texts]) {
      const edit = line.in(shown);
      expect(edit).not.toBeNull();
      if (!edit) continue;
      expect(withLine(shown, edit.start, edit.draft.length, '1 onion, sliced!')).toBe(
        TEXT.replace('1 onion', '1 onion, sliced!'),
      );
    }
  });
  test('goes with its line where another tab writes above it, whichever of its texts that one had', () => {
    const { start, line, texts } = typing(', sliced');
    for (const had of [TEXT, ...texts]) {
      const elsewhere = had.replace('Serves 2', 'Serves 12');
      const edit = line.in(elsewhere);
      expect(edit?.start).toBe(start + 1);
      expect(elsewhere.slice(edit?.start, (edit?.start ?? 0) + (edit?.draft.length ?? 0))).toBe(
        had.slice(start, had.indexOf('\n', start)),
      );
    }
  });
  test('is given up where another tab changed the line itself', () => {
    const { line } = typing(', sliced');
    expect(line.in(TEXT.replace('1 onion', '3 leeks'))).toBeNull();
    expect(line.in(TEXT.replace('1 onion', '1 big onion, whole'))).toBeNull();
  });
});
