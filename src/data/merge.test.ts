import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { exportArchive, readArchive, type Archive } from './archive';
import { importArchive, planImport, undoImport } from './bring-in';
import { DulvetDatabase } from './db';
import { changeRecipe } from './edits';
import { mergeTexts } from './merge';
import { getRecipe, newRecipe, saveRecipe } from './recipes';

const BASE = 'Weir soup\nServes 4\n\n2 leeks\n1 tsp salt\n1 litre water\n\nSimmer 20 minutes.';

describe('two states of a text', () => {
  test('lines that one side changed are as it has them', () => {
    const here = BASE.replace('2 leeks', '3 leeks');
    const there = BASE.replace('20 minutes', '30 minutes');
    expect(mergeTexts(BASE, here, there, 'here')).toEqual({
      text: BASE.replace('2 leeks', '3 leeks').replace('20 minutes', '30 minutes'),
      clashes: [],
    });
  });
  test('where both changed a line the later one stands, and the other is told', () => {
    const here = BASE.replace('1 tsp salt', '½ tsp salt');
    const there = BASE.replace('1 tsp salt', 'no salt');
    expect(mergeTexts(BASE, here, there, 'there')).toEqual({ text: there, clashes: ['½ tsp salt'] });
    expect(mergeTexts(BASE, here, there, 'here')).toEqual({ text: here, clashes: ['no salt'] });
  });
  test('the same change on both sides is no clash', () => {
    const both = BASE.replace('1 tsp salt', 'no salt');
    expect(mergeTexts(BASE, both, both, 'here')).toEqual({ text: both, clashes: [] });
  });

  // distinct words, so that a line is told apart from every other
  const lines = fc.uniqueArray(
    fc.string({ unit: fc.constantFrom(...'abcdefgh '), minLength: 1, maxLength: 8 }),
    {
      minLength: 3,
      maxLength: 12,
    },
  );
  test('nothing that either side changed is lost where they changed different lines', () => {
    fc.assert(
      fc.property(lines, fc.nat(), fc.nat(), (base, i, j) => {
        const [at, far] = [i % base.length, j % base.length];
        fc.pre(at !== far);
        const changed = (k: number, word: string) => base.map((l, n) => (n === k ? word : l)).join('\n');
        const { text, clashes } = mergeTexts(
          base.join('\n'),
          changed(at, 'HERE'),
          changed(far, 'THERE'),
          'here',
        );
        expect(clashes).toEqual([]);
        expect(text.split('\n')).toEqual(base.map((l, n) => (n === at ? 'HERE' : n === far ? 'THERE' : l)));
      }),
    );
  });
  test('a side that changed nothing gives way whole, whichever is later', () => {
    fc.assert(
      fc.property(lines, lines, fc.constantFrom('here' as const, 'there' as const), (base, other, later) => {
        const [a, b] = [base.join('\n'), other.join('\n')];
        expect(mergeTexts(a, a, b, later).text).toBe(b);
        expect(mergeTexts(a, b, a, later).text).toBe(b);
      }),
    );
  });
});

describe('two kitchens that send each other files', () => {
  let name = 0;
  const fresh = () => new DulvetDatabase(`merge-${(name += 1)}`);
  const fileOf = async (db: DulvetDatabase): Promise<Archive> => {
    const reading = readArchive(JSON.stringify((await exportArchive(db)).archive));
    if (!reading.ok) throw new Error(reading.message);
    return reading.archive;
  };
  const textIn = async (db: DulvetDatabase) => (await getRecipe(db, 'soup'))?.text;
  const edit = async (db: DulvetDatabase, from: string, to: string, now: number) =>
    changeRecipe(db, 'soup', { text: ((await textIn(db)) ?? '').replace(from, to) }, { now });
  /** A recipe that both have, the second by a file of the first. */
  const both = async () => {
    const [a, b] = [fresh(), fresh()];
    await saveRecipe(a, newRecipe(BASE, 1, { id: 'soup' }));
    await importArchive(b, await fileOf(a), 'keep', 2);
    return { a, b };
  };

  test('changes of both are in both, back and forth', async () => {
    const { a, b } = await both();
    await edit(a, '2 leeks', '3 leeks', 10);
    await edit(b, '20 minutes', '30 minutes', 11);
    const done = await importArchive(a, await fileOf(b), 'keep', 12);
    expect(done).toMatchObject({ both: 1, clashes: [] });
    const together = BASE.replace('2 leeks', '3 leeks').replace('20 minutes', '30 minutes');
    expect(await textIn(a)).toBe(together);
    // and on: the second edits again before it has the first one's file
    await edit(b, '1 tsp salt', 'no salt', 13);
    expect(await importArchive(b, await fileOf(a), 'keep', 14)).toMatchObject({ both: 1, clashes: [] });
    expect(await textIn(b)).toBe(together.replace('1 tsp salt', 'no salt'));
    expect(await importArchive(a, await fileOf(b), 'keep', 15)).toMatchObject({ clashes: [] });
    expect(await textIn(a)).toBe(await textIn(b));
  });

  test('a file sent twice one way is put together with what was changed since', async () => {
    const { a, b } = await both();
    await edit(b, '20 minutes', '30 minutes', 10);
    await edit(a, '2 leeks', '3 leeks', 11);
    await importArchive(b, await fileOf(a), 'keep', 12);
    await edit(a, '1 litre', '2 litres', 13);
    expect(await importArchive(b, await fileOf(a), 'keep', 14)).toMatchObject({ both: 1, clashes: [] });
    expect(await textIn(b)).toBe(
      BASE.replace('2 leeks', '3 leeks').replace('20 minutes', '30 minutes').replace('1 litre', '2 litres'),
    );
  });

  test('a line that both changed is told, and the whole can be taken back', async () => {
    const { a, b } = await both();
    await edit(a, '1 tsp salt', '½ tsp salt', 10);
    await edit(b, '1 tsp salt', 'no salt', 11);
    const mine = await textIn(a);
    const file = await fileOf(b);
    expect(await planImport(a, file)).toMatchObject({ both: 1, clashes: [{ lines: ['½ tsp salt'] }] });
    expect(await textIn(a)).toBe(mine);
    await importArchive(a, file, 'keep', 12);
    expect(await textIn(a)).toContain('no salt');
    await undoImport(a, 13);
    expect(await textIn(a)).toBe(mine);
  });

  test('without anything in common the later state stands whole, as before', async () => {
    const [a, b] = [fresh(), fresh()];
    await saveRecipe(a, newRecipe('Here', 1, { id: 'soup' }));
    await saveRecipe(b, newRecipe('There', 2, { id: 'soup' }));
    expect(await importArchive(a, await fileOf(b), 'keep', 3)).toMatchObject({ newer: 1, both: 0 });
    expect(await textIn(a)).toBe('There');
  });
});
