import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import fc from 'fast-check';
import { exportArchive } from './archive';
import { importArchive, planImport, undoImport } from './bring-in';
import { DulvetDatabase } from './db';
import { changeDiner, listDiners, newDiner, saveDiner, sayAllergen } from './diners';
import { changeRecipe, editsOf, redoNext, takeBack, undoLast, undoState } from './edits';
import { listSwapUses } from './kitchen';
import { emptyBin, getRecipe, newRecipe, saveRecipe, throwAway } from './recipes';
import { inverse, over, spliced, spliceOf } from './splice';

let name = 0;
const fresh = () => new DulvetDatabase(`edits-${(name += 1)}`);
const TEXT = 'Pot\nServes 2\n\n1 onion\n2 carrots\n';

async function kitchen(text = TEXT) {
  const db = fresh();
  await saveRecipe(db, newRecipe(text, 1, { id: 'a' }));
  const textOf = async () => (await getRecipe(db, 'a'))?.text;
  const change = (
    patch: Parameters<typeof changeRecipe>[2],
    more: Partial<Parameters<typeof changeRecipe>[3]> = {},
  ) => changeRecipe(db, 'a', patch, { now: 10, ...more });
  return { db, textOf, change };
}

describe('splices', () => {
  const text = fc.string({ unit: fc.constantFrom('a', 'b', '\n'), maxLength: 12 });
  test('turn one text into another and back', () => {
    fc.assert(
      fc.property(text, text, (a, b) => {
        const s = spliceOf(a, b);
        expect(spliced(a, s)).toBe(b);
        expect(spliced(b, inverse(s))).toBe(a);
      }),
    );
  });
  test('two changes of different words meet, in either order', () => {
    fc.assert(
      fc.property(text, text, text, (base, a, b) => {
        const [x, y] = [spliceOf(base, a), spliceOf(base, b)];
        const [xOverY, yOverX] = [over(x, y), over(y, x)];
        if (!xOverY || !yOverX) return;
        expect(spliced(b, xOverY)).toBe(spliced(a, yOverX));
      }),
    );
  });
});

describe('two tabs', () => {
  test('an edit of one field leaves what the other wrote', async () => {
    const { db, change } = await kitchen();
    await change({ text: TEXT.replace('1 onion', '3 onions') });
    // the other tab still shows the old text, and changes the servings
    await change({ servings: 7 });
    expect(await getRecipe(db, 'a')).toMatchObject({
      servings: 7,
      text: TEXT.replace('1 onion', '3 onions'),
    });
  });
  test('both edit the text from the same state: both lines are kept', async () => {
    const { change, textOf } = await kitchen();
    await change({ text: TEXT.replace('1 onion', '3 leeks') }, { from: TEXT });
    await change({ text: TEXT.replace('2 carrots', '200 g carrots') }, { from: TEXT });
    expect(await textOf()).toBe('Pot\nServes 2\n\n3 leeks\n200 g carrots\n');
  });
  test('both edit the same words: the later stands, undo brings the other back', async () => {
    const { db, change, textOf } = await kitchen();
    await change({ text: TEXT.replace('1 onion', '3 leeks') }, { from: TEXT });
    await change({ text: TEXT.replace('1 onion', '1 shallot') }, { from: TEXT });
    expect(await textOf()).toContain('1 shallot');
    await undoLast(db, 'a', 20);
    expect(await textOf()).toContain('3 leeks');
  });
  test('corrections of two lines do not wipe each other out', async () => {
    const { db, change } = await kitchen();
    await change({ corrections: { '1 onion': { grams: 90 } } });
    await change({ corrections: { '2 carrots': { grams: 150 } } });
    await change({ corrections: { '1 onion': null } });
    expect((await getRecipe(db, 'a'))?.corrections).toEqual({ '2 carrots': { grams: 150 } });
  });
  test('a recipe removed in one tab does not come back by typing in the other', async () => {
    const { db, change } = await kitchen();
    await throwAway(db, 'a', 5);
    await change({ text: 'Pot\nmore' });
    expect((await getRecipe(db, 'a'))?.deletedAt).toBe(5);
    await emptyBin(db);
    expect(await change({ text: 'Pot\nmost' })).toMatchObject({ ok: false, code: 'gone' });
    expect(await getRecipe(db, 'a')).toBeUndefined();
    expect(await editsOf(db, 'a')).toEqual([]);
  });
  test('diners: an allergy said in one, a name in the other', async () => {
    const db = fresh();
    await saveDiner(db, { ...newDiner('Ida', 'everyday', 0), id: 'd' });
    await sayAllergen(db, 'd', 'nuts', true, 2);
    await changeDiner(db, 'd', { name: 'Ada' }, 3);
    await sayAllergen(db, 'd', 'soy', true, 4);
    await sayAllergen(db, 'd', 'nuts', false, 5);
    expect(await listDiners(db)).toMatchObject([{ name: 'Ada', allergens: ['soy'], updatedAt: 5 }]);
  });
});

describe('undo', () => {
  test('is in the database: it survives leaving the view and a reload', async () => {
    const { db, change } = await kitchen();
    await change({ text: 'Pot\none' });
    await change({ servings: 3 });
    db.close();
    const again = new DulvetDatabase(db.name);
    expect(await undoState(again, 'a')).toEqual({ canUndo: true, canRedo: false });
    await undoLast(again, 'a', 20);
    await undoLast(again, 'a', 21);
    expect(await getRecipe(again, 'a')).toMatchObject({ text: TEXT, servings: null });
    expect(await undoLast(again, 'a', 22)).toMatchObject({ ok: false, code: 'nothing' });
    await redoNext(again, 'a', 23);
    await redoNext(again, 'a', 24);
    expect(await getRecipe(again, 'a')).toMatchObject({ text: 'Pot\none', servings: 3 });
  });
  test('a line being typed is one step', async () => {
    const { db, change, textOf } = await kitchen();
    for (const words of ['1', '12', '12 o', '12 oni'])
      await change({ text: TEXT.replace('1 onion', words) }, { key: 'tab line' });
    expect(await editsOf(db, 'a')).toHaveLength(1);
    await undoLast(db, 'a', 20);
    expect(await textOf()).toBe(TEXT);
  });
  test('a swap and its count go and come back together', async () => {
    const { db, change, textOf } = await kitchen();
    const made = await change({ text: TEXT.replace('onion', 'leek') }, { swaps: ['leek-for-onion'] });
    expect(await listSwapUses(db)).toMatchObject([{ swapId: 'leek-for-onion', times: 1 }]);
    await undoLast(db, 'a', 20);
    expect(await listSwapUses(db)).toEqual([]);
    await redoNext(db, 'a', 21);
    expect(await listSwapUses(db)).toMatchObject([{ times: 1 }]);
    if (made.ok) await takeBack(db, made.seq ?? -1, 22);
    expect(await listSwapUses(db)).toEqual([]);
    expect(await textOf()).toBe(TEXT);
  });
  test('the message’s Undo takes back its own change, and leaves what came after', async () => {
    const { db, change, textOf } = await kitchen();
    const swap = await change({ text: TEXT.replace('1 onion', '1 leek') }, { swaps: ['leek-for-onion'] });
    await change({ servings: 5 });
    await change({ text: TEXT.replace('1 onion', '1 leek').replace('2 carrots', '4 carrots') });
    if (!swap.ok) throw new Error(swap.message);
    expect(await takeBack(db, swap.seq ?? -1, 20)).toMatchObject({ ok: true });
    expect(await getRecipe(db, 'a')).toMatchObject({
      text: TEXT.replace('2 carrots', '4 carrots'),
      servings: 5,
    });
    expect(await listSwapUses(db)).toEqual([]);
    // that was an edit as well: undo makes the swap again, count and all
    await undoLast(db, 'a', 21);
    expect(await textOf()).toContain('1 leek');
    expect(await listSwapUses(db)).toHaveLength(1);
  });
  test('what was changed again since stays, and says so', async () => {
    const { db, change, textOf } = await kitchen();
    const swap = await change({ text: TEXT.replace('1 onion', '1 leek') });
    await change({ text: TEXT.replace('1 onion', '1 shallot') });
    if (!swap.ok) throw new Error(swap.message);
    expect(await takeBack(db, swap.seq ?? -1, 20)).toMatchObject({ ok: false, code: 'changed-since' });
    expect(await textOf()).toContain('1 shallot');
  });
  test('any edits, undone and made again in any order, are what a list of states says', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.oneof(
            fc.record({ text: fc.string({ unit: fc.constantFrom('a', 'b', '\n'), maxLength: 8 }) }),
            fc.record({ servings: fc.option(fc.integer({ min: 1, max: 9 }), { nil: null }) }),
            fc.constant('undo' as const),
            fc.constant('redo' as const),
          ),
          { maxLength: 14 },
        ),
        async (steps) => {
          const { db } = await kitchen('start');
          const states = [{ text: 'start', servings: null as number | null }];
          let at = 0;
          for (const [i, step] of steps.entries()) {
            if (step === 'undo') {
              await undoLast(db, 'a', i);
              at = Math.max(0, at - 1);
            } else if (step === 'redo') {
              await redoNext(db, 'a', i);
              at = Math.min(states.length - 1, at + 1);
            } else {
              await changeRecipe(db, 'a', step, { now: i });
              states.splice(at + 1);
              states.push({ ...(states[at] as (typeof states)[number]), ...step });
              at += 1;
            }
            expect(await getRecipe(db, 'a')).toMatchObject(states[at] as object);
          }
          db.close();
        },
      ),
      { numRuns: 40 },
    );
  });
  test.each([
    [{ servings: 0 }, /servings/],
    [{ servings: 1001 }, /1000/],
    [{ potG: 1e308 }, /100 kg/],
    [{ text: 'é'.repeat(600_000) }, /1 MiB/],
    [{ corrections: { x: { grams: Infinity } } }, /100 kg/],
  ])('%o is refused where it enters, by the limits of the file', async (patch, why) => {
    const { db, change } = await kitchen();
    const result = await change(patch);
    expect(result).toMatchObject({ ok: false, code: 'refused', message: expect.stringMatching(why) });
    expect(await getRecipe(db, 'a')).toMatchObject({ text: TEXT, rev: 0 });
  });
});

describe('files brought in', () => {
  test('an older file does not overwrite newer words unasked; the whole import is taken back at once', async () => {
    const { db, change, textOf } = await kitchen();
    await saveDiner(db, { ...newDiner('Ida', 'everyday', 0), id: 'd' });
    const { archive } = await exportArchive(db);
    await change({ text: 'Pot\nnewer' }, { now: 50 });
    await sayAllergen(db, 'd', 'nuts', true, 50);
    await saveRecipe(db, newRecipe('Later', 60, { id: 'b' }));
    const withMore = {
      ...archive,
      recipes: [...archive.recipes, { ...archive.recipes[0], id: 'c' }],
    } as typeof archive;
    expect(await planImport(db, withMore)).toMatchObject({ added: 1, newer: 0, older: 2, same: 0, both: 0 });
    await importArchive(db, withMore, 'keep', 70);
    expect(await textOf()).toBe('Pot\nnewer');
    expect(await getRecipe(db, 'c')).toBeDefined();
    await importArchive(db, withMore, 'replace', 80);
    expect(await textOf()).toBe(TEXT);
    expect(await listDiners(db)).toMatchObject([{ allergens: [] }]);
    expect(await undoImport(db, 90)).toBe(true);
    expect(await textOf()).toBe('Pot\nnewer');
    expect(await listDiners(db)).toMatchObject([{ allergens: ['nuts'] }]);
    expect(await getRecipe(db, 'b')).toBeDefined();
    expect(await undoImport(db, 91)).toBe(false);
  });
  test('a restored text is one more step of undo on the Bench, and the next key does not undo the restoring', async () => {
    const { db, change, textOf } = await kitchen();
    const { archive } = await exportArchive(db);
    await change({ text: 'Pot\nspoilt' }, { now: 50 });
    await importArchive(db, archive, 'replace', 60);
    // the open Bench still shows the old text and types one letter into it
    await change({ text: 'Pot\nspoilt!' }, { from: 'Pot\nspoilt', now: 61 });
    await undoLast(db, 'a', 62);
    expect(await textOf()).toBe(TEXT);
    await undoLast(db, 'a', 63);
    expect(await textOf()).toBe('Pot\nspoilt');
  });
  test('the same file twice changes nothing', async () => {
    const { db } = await kitchen();
    const { archive } = await exportArchive(db);
    expect(await importArchive(db, archive, 'keep', 5)).toMatchObject({
      added: 0,
      newer: 0,
      older: 0,
      same: 1,
      both: 0,
    });
    expect((await getRecipe(db, 'a'))?.rev).toBe(0);
  });
});

test('a kitchen of version 4 opens: nothing is lost', async () => {
  const old = new Dexie('from-four');
  old.version(4).stores({
    recipes: 'id, updatedAt, deletedAt',
    diners: 'id, order',
    settings: 'key',
    packets: 'id, updatedAt',
    meanings: 'words, updatedAt',
    protocols: 'id, updatedAt',
    kitchen: 'foodId, updatedAt',
    swapUses: 'swapId, updatedAt',
  });
  await old.open();
  const { rev: _, ...recipe } = newRecipe('Pot', 3, { id: 'a' });
  await old.table('recipes').add(recipe);
  const { updatedAt: __, ...diner } = newDiner('Ida', 'everyday', 0);
  await old.table('diners').add({ ...diner, allergens: ['nuts'] });
  old.close();
  const db = new DulvetDatabase('from-four');
  expect(await getRecipe(db, 'a')).toEqual({ ...recipe, rev: 0 });
  expect(await listDiners(db)).toMatchObject([{ name: 'Ida', allergens: ['nuts'], updatedAt: 0 }]);
});
