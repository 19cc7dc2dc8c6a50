import { remember } from '@/core/memo';

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅒': '1/10',
  '⅑': '1/9',
  '⅐': '1/7',
};
const SUPER: Record<string, string> = {
  '⁰': '0',
  '¹': '1',
  '²': '2',
  '³': '3',
  '⁴': '4',
  '⁵': '5',
  '⁶': '6',
  '⁷': '7',
  '⁸': '8',
  '⁹': '9',
};
const SUB: Record<string, string> = {
  '₀': '0',
  '₁': '1',
  '₂': '2',
  '₃': '3',
  '₄': '4',
  '₅': '5',
  '₆': '6',
  '₇': '7',
  '₈': '8',
  '₉': '9',
};
const VULGAR_CLASS = `[${Object.keys(VULGAR).join('')}]`;

const BULLET =
  /^\s*(?:>+(?=\s|$)\s*|[-*•‣▪◦●○·–—+□☐☑✓✔]\s+|#{1,6}\s+(?=[\d½¼¾⅓⅔⅛])|[-–—](?=[\d½¼¾⅓⅔⅛]|[a-z]{3})|[•‣▪◦●○□☐☑▢✓✔]\s*|\[[ xX]?\]\s*|(?![❌✖❎🚫⛔🙅])\p{Extended_Pictographic}\ufe0f?\s*)+/u;
const NUMBERING = /^\s*(?:step\s+)?\d{1,2}(?:\s*[.):]|\/)(?=\s+\S)\s+/i;

/** Leading bullets, check boxes and list numbers of a line, as the length they take. */
export function markerLength(line: string): number {
  const bullet = BULLET.exec(line)?.[0].length ?? 0;
  const number = NUMBERING.exec(line.slice(bullet))?.[0].length ?? 0;
  return bullet + number;
}

/** "[words](address)" and "![words](address)" as their words; one pass, whatever the brackets. */
function withoutLinks(line: string): string {
  if (!line.includes('](')) return line;
  let out = '';
  let open = -1;
  for (let i = 0; i < line.length; i += 1) {
    const c = line[i];
    if (c === '[') {
      open = out.length;
      out += c;
    } else if (c === ']' && line[i + 1] === '(' && open >= 0) {
      const close = line.indexOf(')', i + 2);
      if (close < 0) return out + line.slice(i);
      const before = out.slice(0, open).replace(/!$/, '');
      out = before + out.slice(open + 1);
      open = -1;
      i = close;
    } else out += c;
  }
  return out;
}

/** What emphasis is written with; the longer mark first. */
const MARKS = ['**', '__', '~~', '`', '*', '_'] as const;
const OPENS = /[\s(]/;
const CLOSES = /[\s.,;:)]/;

/** Takes marks off that stand in pairs around words; one pass, the marks of each kind paired as they come. */
function withoutPairs(line: string): string {
  const marks: { at: number; mark: string }[] = [];
  for (let i = 0; i < line.length;) {
    const mark = MARKS.find((m) => line.startsWith(m, i));
    if (mark) marks.push({ at: i, mark });
    i += mark?.length ?? 1;
  }
  if (marks.length < 2) return line;
  const gone = new Set<number>();
  const open = new Map<string, number>();
  for (const [k, { at, mark }] of marks.entries()) {
    const single = mark === '*' || mark === '_';
    const before = line[at - 1];
    const after = line[at + mark.length];
    const first = open.get(mark);
    const closes =
      !single || (before !== undefined && !/\s/.test(before) && (after === undefined || CLOSES.test(after)));
    if (first !== undefined && closes) {
      const from = marks[first] as { at: number };
      if (at > from.at + mark.length) {
        gone.add(first);
        gone.add(k);
      }
      open.delete(mark);
      continue;
    }
    const opens =
      !single || ((before === undefined || OPENS.test(before)) && after !== undefined && !/\s/.test(after));
    if (opens && first === undefined) open.set(mark, k);
  }
  if (gone.size === 0) return line;
  let out = '';
  let from = 0;
  for (const [k, { at, mark }] of marks.entries()) {
    if (!gone.has(k)) continue;
    out += line.slice(from, at);
    from = at + mark.length;
  }
  return out + line.slice(from);
}

/** Takes Markdown's emphasis, links and code marks off, keeps their words. */
export function stripMarkdown(line: string): string {
  if (!/[*_`\[~#]/.test(line)) return line;
  return withoutPairs(withoutLinks(line));
}

/**
 * One spelling for what cooks type in many ways: spaces, dashes, quotes, vulgar fractions, times signs.
 * Keeps case.
 */
export const clean = remember((line: string): string => {
  let text = stripMarkdown(line);
  // a table's frame
  if (text.includes('|')) text = text.replace(/^\s*\|\s*|\s*\|\s*$/g, '');
  if (/\bww\b/i.test(text)) text = text.replace(/\bww\b(?= [a-z])/gi, 'wholewheat');
  if (text.includes('s/r') || text.includes('S/R')) text = text.replace(/\bs\/r\b/gi, 'self-raising');
  if (text.includes('w/') || text.includes('W/'))
    text = text
      .replace(/\bw\/(?=meal\b)/gi, 'whole')
      .replace(/\bw\/o(?:ut)?(?![a-z])/gi, 'without')
      .replace(/\bw\/ ?(?=\S)/gi, 'with ');
  if (text.includes(' w ')) text = text.replace(/(?<=[a-z)]) w (?=[a-z])/gi, ' with ');
  if (/[^\x20-\x7e]/.test(text)) {
    text = text
      .replace(/[\u00a0\u2000-\u200a\u202f\u205f\u3000\t]/g, ' ')
      .replace(/[\u200b-\u200f\u2060\ufeff\ufe0f]/g, '')
      .replace(/[‐‑‒–—―−]/g, '-')
      .replace(/[‘’‛′`´]/g, "'")
      .replace(/[“”„″]/g, '"')
      .replace(/[×✕✖]/g, 'x')
      .replace(
        new RegExp(`(\\d)\\s{0,3}(${VULGAR_CLASS})`, 'gu'),
        (_, digit: string, f: string) => `${digit} ${VULGAR[f]}`,
      )
      .replace(new RegExp(VULGAR_CLASS, 'gu'), (f) => VULGAR[f] ?? f)
      .replace(
        /([⁰¹²³⁴-⁹]+)[⁄/]([₀-₉]+)/gu,
        (_, n: string, d: string) =>
          ` ${[...n].map((c) => SUPER[c]).join('')}/${[...d].map((c) => SUB[c]).join('')}`,
      )
      .replace(/⁄/g, '/');
  } else if (text.includes('\t')) text = text.replaceAll('\t', ' ');
  return (
    text
      .replace(/(\d)\s{0,3}\/\s{0,3}(\d)(?=\D|$)/g, '$1/$2')
      .replace(/(?<![\d/])(\d{1,6}\/\d{1,6})(?=[a-zA-Z])/g, '$1 ')
      // "1 tbsp chilli powder *": there is a footnote
      .replace(/(?<=[a-z)]) {0,2}(?:\*{1,3}|[†‡])$/i, '')
      .replace(/[{}]/g, (mark) => (mark === '{' ? '(' : ')'))
      .replace(/(?<=^|[ (])c\. ?(?=\d)/gi, 'about ')
      .replace(
        /\bbetween (\d[\d./]*|an?|half an?|half|one|two|three|four) and (?=\d|an? |one |two |three |four |five |six )/gi,
        '$1 to ',
      )
      // "1+ tsp", "1 or more tsp"
      .replace(/^(\W*)(\d[\d./]*)(?: ?\+| or more)(?= ?[a-z])/i, '$1at least $2')
      // "60 g ginger+garlic"
      .replace(/(?<=[a-z]{3})\+(?=[a-z]{3})/gi, ' + ')
      // two typed hyphens are a dash
      .replace(/ -{2,3} /g, ' - ')
      .replace(/ {2,}/g, ' ')
      .trim()
  );
});
