import { normalWord } from '@/core/food/tokens';
import { remember } from '@/core/memo';
import { spelledNumber } from '@/core/measure/quantity';

/** A word, number or mark of a sentence, with its place; made once, and all that reads sentences reads these. */
export interface Token {
  /** Lower case without accents. */
  readonly word: string;
  /** In the table's spelling: singular, one of several spellings. */
  readonly normal: string;
  readonly start: number;
  readonly end: number;
  readonly kind: 'word' | 'number' | 'mark';
  /** Joined to the one before by a hyphen: "oil-free". */
  readonly glued: boolean;
}

/** The word at a place; empty beyond the ends. */
export const wordAt = (tokens: readonly Token[], i: number): string => tokens[i]?.word ?? '';

/** "w/ rice", "w/o oil". */
const SHORT: Readonly<Record<string, string>> = { 'w/': 'with', 'w/o': 'without', w: 'with' };
const ACCENTS = /[\u0300-\u036f]/g;
const plainly = (word: string): string =>
  /^[\x20-\x7e]*$/.test(word) ? word : word.normalize('NFD').replace(ACCENTS, '').replace(/’/g, "'");
const WORDS =
  /(?<percent>\d[\d.,]*\s?%)|(\d[\d.,/⁄]*(?:\s?[½⅓⅔¼¾⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚])?|[½⅓⅔¼¾⅛⅜⅝⅞⅕⅖⅗⅘⅙⅚])|([wW]\/o?(?![a-zA-Z/])|\p{L}[\p{L}'’]*)|([.,;:!?()[\]—–/+&\n]|-(?=\s)|…)/gu;

/** "4 oz. flour", "2 tbsp. mustard": a stop that ends a measure, not a sentence. */
const ABBREVIATED =
  /[\d½⅓⅔¼¾⅛] ?(?:oz|fl|lbs?|tbsps?|tbs|tsps?|pts?|pkts?|pkgs?|qts?|med|lg|sm|ml|kg|gr?|c)(?=\.\s?\(?[a-z]).{1,4}$/;

const OPENS_SPELLED = /hundred|teen|ty\b|eleven|twelve/i;

/** Words, numbers and marks of a text, in order. */
export const tokensOf = remember((text: string): readonly Token[] => {
  const out: Token[] = [];
  const lower = OPENS_SPELLED.test(text) ? text.toLowerCase() : null;
  let read = 0;
  for (const m of text.matchAll(WORDS)) {
    const start = m.index;
    if (start < read) continue;
    const [whole, percent, number, word] = m;
    const spelled = word !== undefined && lower ? spelledNumber(lower, start) : null;
    // "three hundred and fifty" is one number
    if (spelled) {
      const digits = String(spelled.value);
      read = spelled.end;
      out.push({
        word: digits,
        normal: digits,
        start,
        end: read,
        kind: 'number',
        glued: text[start - 1] === '-' && out.at(-1)?.end === start - 1,
      });
      continue;
    }
    // "100% rye": which one, and not how much
    if (percent !== undefined)
      out.push({
        word: percent,
        normal: percent,
        start,
        end: start + percent.length,
        kind: 'word',
        glued: false,
      });
    else if (number !== undefined) {
      // "10." ends a sentence
      const trimmed = number.replace(/[.,/⁄]+$/, '');
      out.push({
        word: trimmed,
        normal: trimmed,
        start,
        end: start + trimmed.length,
        kind: 'number',
        glued: text[start - 1] === '-' && out.at(-1)?.end === start - 1,
      });
      for (let i = trimmed.length; i < number.length; i += 1) out.push(mark(number[i] as string, start + i));
    } else if (word !== undefined) {
      const said = word.toLowerCase();
      const plain = plainly(SHORT[said] ?? said);
      const bare = plain.includes("'") ? plain.replace(/'s$|'$/, '') : plain;
      const glued = text[start - 1] === '-' && out.at(-1)?.end === start - 1;
      out.push({
        word: plain,
        normal: normalWord(bare),
        start,
        end: start + word.length,
        kind: 'word',
        glued,
      });
    } else if (whole !== '.' || !ABBREVIATED.test(text.slice(Math.max(0, start - 12), start + 4)))
      out.push(mark(whole, start));
  }
  return out;
}, 2000);

const mark = (c: string, at: number): Token => ({
  word: c,
  normal: c,
  start: at,
  end: at + c.length,
  kind: 'mark',
  glued: false,
});

/** A phrase as a row of words, for looking it up among tokens. */
export const phraseOf = (words: string): readonly string[] =>
  words
    .toLowerCase()
    .normalize('NFD')
    .replace(ACCENTS, '')
    .split(/[\s-]+/)
    .filter(Boolean);
