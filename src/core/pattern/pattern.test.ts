import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { RUNGS } from '@/core/recipe/own-way';
import { ladder } from './ladder';
import { gate, lettersOf } from './letters';
import { needsOf } from './needs';
import { pattern } from './pattern';

describe('what a pattern asks for', () => {
  test.each<[RegExp, string[][]]>([
    [/instead of/i, [['instead of']]],
    [/\b(?:skip|leave out) it\b/i, [['skip', 'leave out'], [' it']]],
    [/half ?(?:and|&) half/, [['half'], ['and', '&'], [' half']]],
    [/(\d+) ?g/, [['0'], ['g']]],
    [/[½¼¾] cup/, [['½', '¼', '¾'], [' cup']]],
    [/a?b*(?:c|)/, []],
    [/(?!no)salt(?=ed)/, [['salt'], ['ed']]],
    [/[^x]\w+/, []],
    [/crème/i, [['cr'], ['me']]],
  ])('%s', (re, clauses) => expect(needsOf(re)).toEqual(clauses));
});

/** Patterns made of the signs that patterns of this project use, over few letters so that many fit. */
const piece: fc.Arbitrary<string> = fc.letrec<{ all: string }>((tie) => ({
  all: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.constantFrom(
      'a',
      'b',
      'ab',
      'cab',
      '1',
      '\\d',
      '[ab]',
      '[^a]',
      '\\s',
      ' ',
      '.',
      '\\b',
      '[b-d]',
      '½',
      'É',
      '$',
      '^',
    ),
    fc.tuple(tie('all'), tie('all')).map(([x, y]) => x + y),
    fc.tuple(tie('all'), tie('all')).map(([x, y]) => `(?:${x}|${y})`),
    tie('all').map((x) => `(${x})?`),
    tie('all').map((x) => `(?:${x})+`),
    tie('all').map((x) => `(?:${x}){0,2}`),
    tie('all').map((x) => `(?=${x})`),
    tie('all').map((x) => `(?!${x})`),
    tie('all').map((x) => `(?<=${x})`),
    tie('all').map((x) => `(?<!${x})`),
  ),
})).all;
const text = fc.string({
  unit: fc.constantFrom('a', 'b', 'c', 'A', 'B', '1', '2', ' ', '½', 'é', 'É', 'd'),
  maxLength: 12,
});

test('a text that holds a pattern is never passed over', () => {
  fc.assert(
    fc.property(piece, fc.constantFrom('', 'i', 'iu'), text, (source, flags, said) => {
      const re = new RegExp(source, flags);
      if (re.test(said)) expect(gate(re)(lettersOf(said))).toBe(true);
    }),
    { numRuns: 20_000 },
  );
});

test('letters that are missing are seen', () => {
  expect(gate(/instead of/i)(lettersOf('2 tbsp tahini, in the dressing'))).toBe(false);
  expect(gate(/\d ?kg/)(lettersOf('a kilo of swede'))).toBe(false);
  expect(pattern(/skip|omit/i).exec('Omit it')?.[0]).toBe('Omit');
  expect(pattern(/skip|omit/i).exec('2 tbsp oil')).toBeNull();
  expect(pattern(/(\d) x/g).replace('2 x 3 x', '$1 times')).toBe('2 times 3 times');
  expect([...pattern(/[a-z]+/g).all('oil, salt')].map((m) => m[0])).toEqual(['oil', 'salt']);
});

test('rows are written the same whether patterns that cannot fit are tried or not', () => {
  const talked = path.join(__dirname, '../read/talked');
  const rows = readdirSync(talked)
    .filter((f) => f.endsWith('.txt'))
    .flatMap((f) => readFileSync(path.join(talked, f), 'utf8').split('\n'))
    .filter((row) => row.length > 0 && row.length < 300);
  const gated = ladder(RUNGS);
  const plain = ladder(RUNGS.map((rung) => ({ ...rung, may: () => true })));
  expect(rows.length).toBeGreaterThan(2000);
  for (const row of rows) expect(gated(row)).toBe(plain(row));
});
