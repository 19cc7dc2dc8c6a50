import { auditText } from '@/core/audit/text';
import { PROTOCOLS, protocolById, type Protocol } from '@/core/protocol';
import { techniquesIn } from './beliefs';

const audit = (text: string, protocol = protocolById('heart-strict') as Protocol) => {
  const r = auditText(text, protocol);
  if (!r.ok) throw new Error(r.message);
  const [first] = r.audit.recipes;
  if (!first) throw new Error('nothing read');
  return first;
};
const ids = (text: string) =>
  audit(text)
    .cautions.filter((c) => !c.medical)
    .map((c) => c.id);

describe('cautions where they apply and nowhere else', () => {
  test.each<[string, string, string[]]>([
    ['plain potatoes', 'Pot\nServes 2\n\n1 kg potatoes\n\nBoil them.', []],
    // US FDA, Bad Bug Book: phytohaemagglutinin
    ['dry kidney beans', 'Beans\nServes 4\n\n300 g dried kidney beans\n\nCook until soft.', ['kidney-beans']],
    ['tinned kidney beans', 'Beans\nServes 4\n\n1 can kidney beans, drained\n\nWarm.', []],
    [
      'a pressure cooker',
      'Pot\nServes 4\n\n1 kg potatoes\n\nPressure cook for 8 minutes.',
      ['pressure-cooker'],
    ],
    [
      'hot soup in a blender',
      'Soup\nServes 4\n\n1 kg carrots\n\nSimmer, then blend until smooth.',
      ['hot-blender'],
    ],
    [
      'soup with a stick blender',
      'Soup\nServes 4\n\n1 kg carrots\n\nSimmer, then blend with a stick blender.',
      [],
    ],
    ['fresh chilli', 'Salsa\nServes 4\n\n2 green chillies\n500 g tomatoes', ['chilli-hands']],
    ['potassium salt', 'Pot\nServes 4\n\n1 kg potatoes\n1 tsp potassium chloride', ['potassium']],
    // US FSIS: cooled within 2 h, 3–4 days, 74 °C
    ['leftovers', 'Stew\nServes 4\n\n1 kg carrots\n\nStew. Leftovers keep in the fridge.', ['leftovers']],
    ['much nutmeg', 'Pie\nServes 1\n\n1 kg squash\n3 tbsp nutmeg', ['nutmeg']],
    ['a pinch of nutmeg', 'Pie\nServes 4\n\n1 kg squash\na pinch of nutmeg', []],
  ])('%s', (_, text, expected) => {
    expect(ids(text)).toEqual(expected);
  });
});

describe('recipes that keep food safe are recognised and left alone', () => {
  test.each<[string, string, boolean]>([
    [
      'canning',
      'Tomatoes in jars\n\n3 kg tomatoes\n2 tbsp lemon juice\n\nFill the jars, leaving 1 cm headspace, and process in a boiling water bath for 40 minutes.',
      true,
    ],
    [
      'a pickle',
      'Quick pickled cucumbers\n\n1 kg cucumbers\n500 ml vinegar\n2 tbsp salt\n\nPour the hot brine over and seal the jars.',
      true,
    ],
    [
      'a ferment',
      'Sauerkraut\n\n2 kg cabbage\n40 g salt\n\nMassage, pack, and leave to ferment for two weeks.',
      true,
    ],
    ['chutney', 'Plum chutney\n\n1 kg plums\n300 g sugar\n300 ml vinegar\n\nSimmer until thick.', true],
    [
      'a bowl with kimchi',
      'Rice bowl with kimchi\nServes 2\n\n2 cups cooked brown rice\n100 g kimchi\n\nTop the rice.',
      false,
    ],
    [
      'fermented beans in a sauce',
      'Noodles\nServes 2\n\n200 g soba\n1 tbsp fermented black beans\n\nStir in the fermented black beans.',
      false,
    ],
    ['stew', 'Stew\nServes 4\n\n1 kg carrots\n1 can tomatoes\n\nAdd the canned tomatoes and simmer.', false],
  ])('%s', (_, text, kept) => {
    expect(audit(text).notAdapted !== null).toBe(kept);
  });
});

describe('beliefs that are not so, with the amount', () => {
  const notes = (line: string) =>
    audit(`P\nServes 2\n\n1 kg potatoes\n${line}`)
      .lines[1]?.findings.filter((f) => f.level === 'note')
      .map((f) => f.message)
      .join(' ') ?? '';
  test.each<[string, RegExp]>([
    ['1 tsp sea salt', /sea or rock salt is salt.*mg sodium/],
    ['1 tbsp soy sauce', /no saltiness without salt.*mg sodium/],
    ['1 tbsp liquid aminos', /as salty as soy sauce.*mg sodium/],
    ['2 tbsp coconut sugar', /sugar is sugar.*free sugar/],
    ['2 tbsp agave syrup', /syrup is free sugar/],
    ['1 tsp baking soda', /leavener.*mg sodium/],
  ])('%s', (line, expected) => {
    expect(notes(line)).toMatch(expected);
  });
  test('potatoes are what they are', () => {
    expect(notes('500 g carrots')).toBe('');
  });
});

describe('techniques that need a change once the oil is gone', () => {
  test.each<[string, string[]]>([
    ['Sauté the onions until soft.', ['saute']],
    ['Fry the onion and garlic in the oil.', ['saute']],
    ['Sauté the onions in a little water.', []],
    ['Dry-fry the onions.', []],
    ['Deep-fry until golden.', ['deep-fry']],
    ['Do not fry the onions.', []],
    ['Grease a loaf tin.', ['grease']],
    ['Temper the mustard seeds.', ['bloom']],
    ['Toss the potatoes with the oil and roast.', ['roast-oiled']],
    ['Simmer for ten minutes.', []],
  ])('%s', (step, expected) => {
    expect(techniquesIn(step).map((t) => t.id)).toEqual(expected);
  });
  test('they are said where the protocol has no oil, and only there', () => {
    const text = 'Pan\nServes 2\n\n1 tbsp olive oil\n2 onions\n\nFry the onions in the oil.';
    const of = (p: Protocol) =>
      audit(text, p).steps[0]?.findings.filter((f) => f.rule.startsWith('technique')).length;
    expect(of(protocolById('heart-strict') as Protocol)).toBe(1);
    const lax = {
      ...(PROTOCOLS[0] as Protocol),
      limits: PROTOCOLS[0]?.limits.filter((l) => l.of !== 'oilG') ?? [],
    };
    expect(of(lax)).toBe(0);
  });
});
