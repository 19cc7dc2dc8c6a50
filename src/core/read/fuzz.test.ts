import fc from 'fast-check';
import { auditRecipe } from '@/core/audit/audit';
import { AuditSchema } from '@/core/audit/schema';
import { recipeText } from '@/core/format/text';
import { readLabel } from '@/core/label/read';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { readLineWords } from '@/core/recipe/line';
import { parseRecipe } from '@/core/recipe/parse';
import { readLine } from './line';
import { readRecipe } from './read';

const settings = { measures: US_MEASURES, corrections: {} };
const strict = protocolById('heart-strict') as Protocol;
const PIECES = [
  '2',
  '½',
  '1-1/2',
  '1½',
  '3 to 4',
  'a',
  'half a',
  '(',
  ')',
  '14.5-oz',
  'can',
  'tins',
  'cups',
  'tbsp',
  'T',
  'heaping',
  'about',
  'olive oil',
  'chickpeas',
  'or',
  'and',
  ',',
  'plus more for',
  'to taste',
  'optional',
  'x',
  '400g',
  '/',
  '-',
  '+',
  'juice of',
  'lemon',
  'pinch',
  'salt',
  'drained',
  'each',
  '->',
  '0',
  'NaN',
  '💥',
  '½ cup',
  'large',
  'peppers',
  'in brine',
];
const line = fc.oneof(
  fc.array(fc.constantFrom(...PIECES), { maxLength: 10 }).map((p) => p.join(' ')),
  fc.string({ maxLength: 60 }),
  fc.string({ unit: 'binary', maxLength: 40 }),
);

describe('whatever is written', () => {
  test('a line is read without a failure, and its amounts keep their order', () => {
    fc.assert(
      fc.property(line, (text) => {
        const read = readLine({ text, start: 0, end: text.length, section: null }, settings, 4);
        for (const f of [...read.foods, ...read.alternatives]) {
          if (!f.grams) continue;
          expect(f.grams.low).toBeLessThanOrEqual(f.grams.best + 1e-9);
          expect(f.grams.best).toBeLessThanOrEqual(f.grams.high + 1e-9);
          expect(f.grams.low).toBeGreaterThanOrEqual(0);
        }
        // what could not be read has no corners, so that it can never count as nothing
        if (read.missing !== null) expect(read.corners).toBeNull();
        else expect(read.corners?.length).toBeGreaterThan(0);
      }),
      { numRuns: 600 },
    );
  });

  test('words keep what they do not understand', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{3,12}$/), (word) => {
        const words = readLineWords(`2 cups ${word}`);
        expect(words.foods.map((f) => f.food).join(' ') + words.cleaned).toContain(word);
      }),
    );
  });

  test('every row of a text lands somewhere, at its place', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (rows) => {
        const text = rows.join('\n');
        const r = parseRecipe(text);
        for (const part of [...r.lines, ...r.steps, ...r.notes])
          // rows that were broken to a width are one again
          expect(text.slice(part.start, part.end).replace(/\n/g, ' ')).toBe(part.text);
      }),
      { numRuns: 300 },
    );
  });

  test('an audit of any text fits the contract, and is within only where every line was understood', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 8 }), (rows) => {
        const text = `Pot\nServes 4\n\nIngredients\n${rows.join('\n')}`;
        if (!recipeText(text).ok) return;
        const audit = auditRecipe(readRecipe(parseRecipe(text), settings), strict);
        AuditSchema.parse({ schema: 'dulvet.audit/1', protocol: strict.id, recipes: [audit] });
        if (audit.verdict === 'within' || audit.verdict === 'near') {
          expect(audit.unresolved).toEqual([]);
          expect(audit.lines.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: 200 },
    );
  });

  test('a packet of any words is read without a failure, and is never within without figures', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.oneof(
            line,
            fc.constantFrom(
              'per 100 g',
              'Fat 3 g',
              'Energy 400 kJ',
              'Ingredients: water, salt (sea), sugar 3%',
              'Serving size 0g',
              'Sodium 5mg',
            ),
          ),
          { maxLength: 8 },
        ),
        (rows) => {
          const label = readLabel(rows.join('\n'));
          for (const v of label.verdicts)
            if (v.verdict === 'within') expect(label.fatSharePercent).not.toBeNull();
        },
      ),
      { numRuns: 200 },
    );
  });
});
