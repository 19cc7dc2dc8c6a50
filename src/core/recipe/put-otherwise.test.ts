import { ofAllBatches, onEachDay, standsInFor, styled } from './put-otherwise';

describe('words of a sentence put otherwise', () => {
  test.each([
    ['Feta-style cubes over.', 'vegan feta'],
    ['Parmesan-style vegan stuff at the table.', 'vegan parmesan'],
    ['Top with cheese-type shreds.', 'vegan cheese'],
    ['mayo-style spread on it', 'vegan mayo'],
  ])('%s', (said, thing) => {
    expect(styled(said, true)).toContain(thing);
    expect(styled(said, true)).toHaveLength(said.length);
  });
  test.each(['Restaurant-style rice.', 'Feta-style tofu over.', 'Cheese-like sauce on it.', 'Style it.'])(
    '"%s" stays',
    (said) => expect(styled(said, true)).toBe(said),
  );
  test.each([
    ['Fry in 1 tsp oil per batch, 3 batches.', '3 tsp oil'],
    ['Half a tsp of oil a batch, four batches', '2 tsp of oil'],
    ['2 tbsp stock for each batch, two batches of it', '4 tbsp stock'],
  ])('%s', (said, all) => {
    expect(ofAllBatches(said)).toContain(all);
    expect(ofAllBatches(said)).toHaveLength(said.length);
  });
  test('batches that nobody counts are one to four', () =>
    expect(ofAllBatches('Fry in 1 tsp oil for each batch.')).toContain('1-4 tsp oil'));
  test.each([
    ['Add an egg, but we use flax instead.', 'flax instead of an egg'],
    ['Spread with butter, though I use hummus instead.', 'hummus instead of butter'],
    ['Stir in cream but I use 50 g cashews instead.', '50 g cashews instead of cream'],
  ])('%s', (said, put) => {
    expect(standsInFor(said)).toContain(put);
    expect(standsInFor(said)).toHaveLength(said.length);
  });
  test.each(['Use stock instead of oil.', 'It was late but we ate it instead.'])('"%s" stays', (said) =>
    expect(standsInFor(said)).toBe(said),
  );
  test('every morning is each of them', () => {
    expect(onEachDay('30 g walnuts every morning.')).toBe('30 g walnuts each morning .');
    expect(onEachDay('Every now and then.')).toBe('Every now and then.');
  });
});
