import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { keptText } from '@/core/read/library';
import { exportArchive, readArchive } from './archive';
import { importArchive, undoImport } from './bring-in';
import { DulvetDatabase } from './db';
import { seedDemo } from './demo';
import {
  finishSupper,
  learnHand,
  listBoxes,
  listCookings,
  listHand,
  newBox,
  removeCooking,
  saveBox,
  saveCooking,
  setEaten,
  unlearnHand,
} from './log';
import { listRecipes } from './recipes';
import { readSettings, setMeasure } from './settings';
import {
  beginSupper,
  changeSupper,
  clearStove,
  leftOf,
  newTimer,
  openSupper,
  putBack,
  toggled,
} from './stove';

let name = 0;
const fresh = () => new DulvetDatabase(`stove-${(name += 1)}`);
const POT = { recipe: keptText('pot', 'Weir pot\nServes 2\n\n1 onion'), times: 2 };
const KITCHEN = { table: '18:30', cooks: ['Wren'], burners: 4, ovens: 1 };

test('version 5 becomes version 6: what was there stays, the Stove and the Log are empty', async () => {
  const old = new Dexie('migrating-5');
  old.version(5).stores({
    recipes: 'id, updatedAt, deletedAt',
    diners: 'id, order',
    settings: 'key',
    packets: 'id, updatedAt',
    meanings: 'words, updatedAt',
    protocols: 'id, updatedAt',
    kitchen: 'foodId, updatedAt',
    swapUses: 'swapId, updatedAt',
    edits: '++seq, recipeId',
    imports: 'id',
  });
  await old.open();
  await old.table('settings').add({ key: 'currency', value: '£' });
  old.close();
  const db = new DulvetDatabase('migrating-5');
  expect((await readSettings(db)).currency).toBe('£');
  expect([await openSupper(db), await listCookings(db), await listHand(db)]).toEqual([undefined, [], []]);
});

test('each change of a supper is kept as it is made, and what is cleared comes back', async () => {
  const db = fresh();
  expect(await changeSupper(db, () => ({ at: 'x' }), 1)).toBe(false);
  await beginSupper(db, [POT], KITCHEN, 1);
  await Promise.all([
    changeSupper(db, (s) => ({ done: { ...s.done, 'd0.a': 2 } }), 2),
    changeSupper(db, (s) => ({ done: { ...s.done, 'd0.b': 3 } }), 3),
  ]);
  expect((await openSupper(db))?.done).toEqual({ 'd0.a': 2, 'd0.b': 3 });
  const was = await clearStove(db);
  expect(await openSupper(db)).toBeUndefined();
  if (was) await putBack(db, was);
  expect((await openSupper(db))?.dishes[0]?.times).toBe(2);
});

test('a timer knows when it ends, whatever happens to the page', () => {
  const timer = newTimer('Barley', 40, 'd0.s1.0', 1000);
  expect(leftOf(timer, 1000 + 60_000)).toBe(39 * 60_000);
  const paused = toggled(timer, 1000 + 60_000);
  expect(leftOf(paused, 9_999_999)).toBe(39 * 60_000);
  expect(leftOf(toggled(paused, 5_000_000), 5_060_000)).toBe(38 * 60_000);
});

test('a supper that is done stands in the Log, a cooking a dish, and leaves the Stove', async () => {
  const db = fresh();
  await beginSupper(db, [POT], KITCHEN, 1);
  await changeSupper(db, () => ({ startedAt: 1000, added: [{ dish: 0, text: '1 tsp miso', at: 2 }] }), 2);
  const supper = await openSupper(db);
  if (!supper) throw new Error('no supper');
  await finishSupper(
    db,
    supper,
    [{ title: 'Weir pot', after: 'with miso', minutes: { 's0.0': 12 } }],
    61 * 60_000,
  );
  const [cooking] = await listCookings(db);
  expect(cooking).toMatchObject({
    recipeId: 'pot',
    title: 'Weir pot',
    after: 'with miso',
    times: 2,
    added: ['1 tsp miso'],
    tookMinutes: 61,
    minutes: { 's0.0': 12 },
  });
  expect(await openSupper(db)).toBeUndefined();
  const removed = await removeCooking(db, cooking?.id ?? '');
  expect(await listCookings(db)).toEqual([]);
  if (removed) await saveCooking(db, removed);
  expect(await listCookings(db)).toHaveLength(1);
});

test('the cook’s own hand is learnt, read by every recipe, and forgotten one weighing at a time', async () => {
  const db = fresh();
  await setMeasure(db, { cup: 'metric' });
  await learnHand(db, 'drizzle', 6, 1);
  await learnHand(db, 'drizzle', 8, 2);
  const { measures } = await readSettings(db);
  expect(measures.cup).toBe('metric');
  const [low, best, high] = measures.hand?.drizzle ?? [0, 0, 0];
  expect(best).toBe(7);
  expect(low).toBeLessThan(6);
  expect(high).toBeGreaterThan(8);
  await unlearnHand(db, 'drizzle', 3);
  expect((await readSettings(db)).measures.hand?.drizzle?.[1]).toBe(6);
  await unlearnHand(db, 'drizzle', 4);
  expect((await readSettings(db)).measures.hand).toBeUndefined();
});

test('boxes wait, the oldest first, until they are eaten', async () => {
  const db = fresh();
  await saveBox(db, newBox('New', 300, 'fridge', null, 20));
  const old = newBox('Old', 500, 'freezer', null, 10);
  await saveBox(db, old);
  expect((await listBoxes(db)).map((b) => b.name)).toEqual(['Old', 'New']);
  await setEaten(db, old.id, true, 30);
  expect((await listBoxes(db)).map((b) => b.name)).toEqual(['New']);
});

test('the demo kitchen has three cookings in the Log and a supper half done; all of it goes out and comes back', async () => {
  const db = fresh();
  await seedDemo(db, Date.UTC(2026, 5, 4, 17, 43));
  expect(await listCookings(db)).toHaveLength(3);
  const supper = await openSupper(db);
  expect(supper?.dishes).toHaveLength(3);
  const { archive, left } = await exportArchive(db);
  expect(left).toEqual([]);
  const reading = readArchive(JSON.stringify(archive));
  if (!reading.ok) throw new Error(reading.message);
  const other = fresh();
  await importArchive(other, reading.archive, 'replace', 5);
  const back = (await exportArchive(other)).archive;
  expect({ ...back, recipes: back.recipes.map(({ shared: _, ...r }) => r) }).toEqual(archive);
  expect(await openSupper(other)).toEqual(supper);
  expect(await listRecipes(other)).toHaveLength((await listRecipes(db)).length);
  await undoImport(other, 6);
  expect([await listCookings(other), await openSupper(other)]).toEqual([[], undefined]);
});

test('a file whose cooking is not as it should be is refused, with the place', async () => {
  const db = fresh();
  await seedDemo(db, 5_000_000_000);
  const { archive } = await exportArchive(db);
  const bad = {
    ...archive,
    cookings: archive.cookings.map((c, i) => (i === 1 ? { ...c, tookMinutes: -4 } : c)),
  };
  const reading = readArchive(JSON.stringify(bad));
  expect(reading).toMatchObject({ ok: false, message: expect.stringMatching(/^cookings \[2\] tookMinutes/) });
});
