import fc from 'fast-check';
import { sentencesOf } from './clauses';
import { celsiusIn, heatIn, minutesIn } from './facts';
import { doneText } from './done';
import { negated } from './negated';
import { tokensOf } from './tokens';

const deeds = (text: string) =>
  sentencesOf(tokensOf(text), () => null).flatMap((s) => s.clauses.map((c) => c.verb?.verb.id ?? null));

describe('temperature', () => {
  test.each([
    ['bake at 180C', 180],
    ['bake at 180 °C for 20 minutes', 180],
    ['oven to 350°F', (350 - 32) / 1.8],
    ['at 400 degrees', (400 - 32) / 1.8],
    ['at 200 degrees', 200],
    ['gas mark 4', 180],
    ['Gas 6', 200],
  ])('%s', (text, celsius) => expect(celsiusIn(text)?.best).toBeCloseTo(celsius, 6));
  test.each(['bake until done', '4 cups of flour', '20 minutes', 'gas mark 14'])('none in “%s”', (text) =>
    expect(celsiusIn(text)).toBeNull(),
  );
  test('a range has both ends', () => {
    expect(celsiusIn('at 200-220C')).toEqual({ low: 200, best: 210, high: 220 });
  });
  // the definition of the scales: 0 °C is 32 °F, 100 °C is 212 °F
  test('Fahrenheit is Celsius by the definition of the scales', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 550 }), (f) => {
        expect(celsiusIn(`at ${f}°F`)?.best).toBeCloseTo(((f - 32) * 100) / (212 - 32), 6);
      }),
    );
  });
});

describe('time', () => {
  test.each([
    ['simmer for 20 minutes', 20, 20],
    ['20-25 min', 20, 25],
    ['15 to 20 mins', 15, 20],
    ['1 hour 20 minutes', 80, 80],
    ['1½ hours', 90, 90],
    ['half an hour', 30, 30],
    ['an hour and a half', 90, 90],
    ['30 seconds', 0.5, 0.5],
    ['2 days', 2880, 2880],
    ['stirring every 5 minutes, for 40 minutes', 40, 40],
  ])('%s', (text, low, high) => {
    const m = minutesIn(text);
    expect([m?.low, m?.high]).toEqual([low, high]);
  });
  test('overnight is a night, not an hour', () => {
    const m = minutesIn('soak overnight');
    expect(m?.low).toBeGreaterThanOrEqual(6 * 60);
    expect(m?.high).toBeLessThanOrEqual(16 * 60);
  });
  test.each(['until golden', '400 g tomatoes', 'in 2 batches'])('none in “%s”', (text) =>
    expect(minutesIn(text)).toBeNull(),
  );
  test('whatever numbers, the low is never above the high', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 90 }),
        fc.integer({ min: 0, max: 60 }),
        fc.constantFrom('minutes', 'hours', 'seconds'),
        (a, b, unit) => {
          const m = minutesIn(`cook for ${a}-${a + b} ${unit}`);
          const factor = { minutes: 1, hours: 60, seconds: 1 / 60 }[unit] ?? NaN;
          expect(m?.low).toBeCloseTo(a * factor, 6);
          expect(m?.high).toBeCloseTo((a + b) * factor, 6);
        },
      ),
    );
  });
});

test.each([
  ['over a high heat', 'high'],
  ['over a medium-high heat', 'high'],
  ['on low', 'low'],
  ['over a medium heat', 'medium'],
  ['reduce the heat', 'low'],
  ['medium-low heat', 'low'],
  ['high in fibre', null],
])('“%s” is %s', (text, heat) => expect(heatIn(text)).toBe(heat));

describe('clauses: each deed once', () => {
  test.each([
    ['Fry the onions, then add the garlic.', ['fry', 'add']],
    ['Whisk in the tahini.', ['whisk']],
    ['Spoon over the topping.', ['spoon']],
    ['Butter each slice and bake.', ['butter', 'bake']],
    ['Grease a tin.', ['grease']],
    ['Salt the water generously.', ['salt']],
    ['Cover tightly and cook on low.', ['cover', 'cook']],
    ['Deep-fry the potatoes.', ['deepfry']],
  ])('%s', (text, verbs) => expect(deeds(text)).toEqual(verbs));
  test('clauses of any words lie beside each other and miss nothing', () => {
    const words =
      'fry the onions in oil , then add salt and pepper until golden if you like do not bake simmer 20 minutes .'.split(
        ' ',
      );
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...words), { minLength: 1, maxLength: 30 }), (picked) => {
        const text = picked.join(' ');
        for (const s of sentencesOf(tokensOf(text), () => null)) {
          let at = s.from;
          for (const c of s.clauses) {
            expect(c.from).toBeGreaterThanOrEqual(at);
            expect(c.to).toBeGreaterThan(c.from);
            at = c.to;
          }
          expect(at).toBeLessThanOrEqual(s.to);
        }
      }),
    );
  });
});

describe('tokens', () => {
  test('every token stands where it says, in order', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (text) => {
        let end = 0;
        for (const t of tokensOf(text)) {
          expect(t.start).toBeGreaterThanOrEqual(end);
          expect(t.end).toBeGreaterThan(t.start);
          end = t.end;
        }
        expect(end).toBeLessThanOrEqual(text.length);
      }),
    );
  });
  test('"oil-free" is two words, joined; "10." ends a sentence', () => {
    expect(tokensOf('oil-free').map((t) => [t.word, t.glued])).toEqual([
      ['oil', false],
      ['free', true],
    ]);
    expect(sentencesOf(tokensOf('Bake 10. Serve.'), () => null)).toHaveLength(2);
  });
});

describe('what is left out', () => {
  const at = (text: string, word: string): [number, number] => [
    text.indexOf(word),
    text.indexOf(word) + word.length,
  ];
  test.each([
    ['Do not add salt.', 'salt', true],
    ['Leave the oil out.', 'oil', true],
    ['Cook without oil.', 'oil', true],
    ['No oil is needed.', 'oil', true],
    ['Leave out the salt and fry in oil.', 'oil', false],
    ['To avoid sticking brush the pan with oil.', 'oil', false],
    ['Instead of water use oil.', 'oil', false],
    ['Fry in oil.', 'oil', false],
  ])('%s', (text, word, out) => expect(negated(text, ...at(text, word))).toBe(out));
});

describe('what is done', () => {
  const words = (text: string) => doneText(text).replace(/\s+/g, ' ').trim();
  test.each<[string, string[], string[]]>([
    ['Do not boil the sauce. Stir in the miso.', ['miso'], ['boil']],
    ['Blend until smooth; never freeze it.', ['Blend'], ['freeze']],
    ['My gran used to fry it, we bake it for 20 minutes.', ['bake'], ['fry']],
    ['Roast the roots for 40 minutes.', ['Roast', 'roots'], []],
  ])('%s', (text, said, silent) => {
    for (const w of said) expect(words(text)).toContain(w);
    for (const w of silent) expect(words(text)).not.toContain(w);
  });
  test('places stay: the text is as long as it was', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom('Boil', 'do not', 'the', 'rice', '.', ',', 'and', 'never fry', '½', '(', ')'),
          { maxLength: 14 },
        ),
        (parts) => {
          const text = parts.join(' ');
          expect(doneText(text)).toHaveLength(text.length);
        },
      ),
    );
  });
});
