import { RegExpParser, type AST } from '@eslint-community/regexpp';

/** Letters that stand together, in lower case, a digit as "0"; one of them is in every text the pattern fits. */
export type Clause = readonly string[];

/** A clause of more words than this tells too little to be asked. */
const MOST_WORDS = 200;
/** More characters than this in a class are as good as any character. */
const MOST_CHARACTERS = 16;

const isDigit = (c: number): boolean => c >= 0x30 && c <= 0x39;
/** A letter outside ASCII has several spellings where case is not told apart. */
const isPlain = (c: number): boolean => c < 0x80 || !/\p{L}/u.test(String.fromCodePoint(c));
const spelled = (c: number): string => (isDigit(c) ? '0' : String.fromCodePoint(c).toLowerCase());

const least = (clause: Clause): number => Math.min(...clause.map((w) => w.length));
/** The clause that tells most: with the longest words, and of those the one with the fewest. */
const best = (clauses: readonly Clause[]): Clause | undefined =>
  [...clauses].sort((a, b) => Math.min(least(b), 4) - Math.min(least(a), 4) || a.length - b.length)[0];

function ofClass(node: AST.CharacterClass): Clause[] {
  if (node.negate) return [];
  const found = new Set<string>();
  for (const e of node.elements) {
    if (e.type === 'Character') {
      if (!isPlain(e.value)) return [];
      found.add(spelled(e.value));
    } else if (e.type === 'CharacterSet' && e.kind === 'digit' && !e.negate) found.add('0');
    else if (e.type === 'CharacterClassRange' && isDigit(e.min.value) && isDigit(e.max.value)) found.add('0');
    else if (e.type === 'CharacterClassRange' && e.max.value - e.min.value < MOST_CHARACTERS) {
      for (let c = e.min.value; c <= e.max.value; c += 1) {
        if (!isPlain(c)) return [];
        found.add(spelled(c));
      }
    } else return [];
  }
  return found.size > 0 && found.size <= MOST_CHARACTERS ? [[...found]] : [];
}

/** Of several ways any may be taken: one clause of each of them, together. */
function anyOf(ways: readonly AST.Alternative[]): Clause[] {
  if (ways.length === 1) return inOrder(ways[0]?.elements ?? []);
  const each = ways.map((way) => best(inOrder(way.elements)));
  if (each.some((clause) => clause === undefined)) return [];
  const words = [...new Set(each.flatMap((clause) => clause ?? []))];
  return words.length <= MOST_WORDS ? [words] : [];
}

function ofElement(node: AST.Element): Clause[] {
  switch (node.type) {
    case 'Group':
    case 'CapturingGroup':
      return anyOf(node.alternatives);
    case 'Assertion':
      return (node.kind === 'lookahead' || node.kind === 'lookbehind') && !node.negate
        ? anyOf(node.alternatives)
        : [];
    case 'Quantifier':
      return node.min > 0 ? ofElement(node.element) : [];
    case 'CharacterClass':
      return ofClass(node);
    case 'CharacterSet':
      return node.kind === 'digit' && !node.negate ? [['0']] : [];
    default:
      return [];
  }
}

/** What stands in a row: all of it is asked for; letters beside each other are one word. */
function inOrder(elements: readonly AST.Element[]): Clause[] {
  const out: Clause[] = [];
  let word = '';
  const close = () => {
    if (word) out.push([word]);
    word = '';
  };
  for (const e of elements) {
    if (e.type === 'Character' && isPlain(e.value)) word += spelled(e.value);
    else {
      close();
      out.push(...ofElement(e));
    }
  }
  close();
  return out;
}

const parser = new RegExpParser();

/**
 * What a text must hold for a pattern to be found in it: each of the clauses. An empty list where the pattern asks for
 * no letters. Necessary, never sufficient: a text that lacks one cannot hold the pattern.
 */
export function needsOf(pattern: RegExp): readonly Clause[] {
  const ast = parser.parsePattern(pattern.source, 0, pattern.source.length, {
    unicode: pattern.unicode,
  });
  return anyOf(ast.alternatives);
}
