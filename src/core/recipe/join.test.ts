import { auditText } from '@/core/audit/text';
import { protocolById, type Protocol } from '@/core/protocol';
import { joined } from './join';
import { parseRecipe } from './parse';

const LIST = 'Lock soup\n\n1 kg carrots\n2 onions\n';
const METHOD =
  'Lock soup\nServes 4\n\n1 kg carrots\n1 tsp cumin\n\nMethod\nSimmer the carrots.\nBlend.\n\nNotes\nFreezes well.';

test('a list and a method become one recipe, what both say said once', () => {
  const r = parseRecipe(joined(LIST, METHOD));
  expect(r.title).toBe('Lock soup');
  expect(r.servings?.range.best).toBe(4);
  expect(r.lines.map((l) => l.text)).toEqual(['1 kg carrots', '2 onions', '1 tsp cumin']);
  expect(r.steps.map((s) => s.text)).toEqual(['Simmer the carrots.', 'Blend.']);
  expect(r.notes.map((n) => n.text)).toContain('Freezes well.');
});
test('in either order the same foods are in it', () => {
  const names = (text: string) =>
    parseRecipe(text)
      .lines.map((l) => l.text)
      .sort();
  expect(names(joined(METHOD, LIST))).toEqual(names(joined(LIST, METHOD)));
});
test('joined with itself it is what it was', () => {
  expect(joined(METHOD, METHOD)).toBe(METHOD);
});
test('what one scrap brings is not lost: salt of the second counts', () => {
  const salted = joined(METHOD, 'more for the soup\n\n2 tsp salt\n200 g lentils');
  const audit = auditText(salted, protocolById('heart-strict') as Protocol);
  if (!audit.ok) throw new Error(audit.message);
  expect(audit.audit.recipes[0]?.limits.find((l) => l.id === 'sodium')?.verdict).toBe('over');
});
