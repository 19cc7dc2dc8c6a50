import { namesFood } from '@/core/food/find';
import type { Raw } from './source';

/** "[18:02] ", "02/11/2026, 18:02 - ", "6:02 pm ": when a row of a chat was sent. */
const SENT =
  /^\s*[[(]?\s*(?:\d{1,4}[/.-]\d{1,2}[/.-]\d{2,4},?\s+)?\d{1,2}:\d{2}(?::\d{2})?\s?(?:[ap]\.?m\.?)?\s*[\])]?\s*(?:[-–—|]\s*)?(?=\S)/i;
/** "Nia: ", "Old Tom: ": who sent it. */
const SENDER = /^\s*((?:[A-Z][\p{L}'’.]{0,15})(?: [A-Z][\p{L}'’.]{0,15})?|me)\s*:\s+(?=\S)/u;
const FEWEST = 2;
/** Without a time a name must come again more often, and before most of what is said. */
const FEWEST_NAMED = 3;

/** Names before the rows of a chat that tells no times. */
function sendersOf(rows: readonly Raw[]): ReadonlySet<string> {
  const counted = new Map<string, number>();
  for (const row of rows) {
    const name = SENDER.exec(row.text)?.[1];
    if (name && !namesFood(name)) counted.set(name, (counted.get(name) ?? 0) + 1);
  }
  const senders = [...counted].filter(([, n]) => n >= FEWEST_NAMED);
  const said = senders.reduce((sum, [, n]) => sum + n, 0);
  return new Set(said * 2 > rows.length ? [...counted.keys()] : []);
}

/** Rows sent in a chat without when and by whom; each keeps its place in the text. */
export function withoutSenders(raws: readonly Raw[]): Raw[] {
  const filled = raws.filter((raw) => raw.text.trim());
  const timed = filled.filter((raw) => SENT.test(raw.text)).length >= FEWEST;
  const senders = timed ? null : sendersOf(filled);
  if (!timed && senders?.size === 0) return [...raws];
  return raws.map((raw) => {
    const sent = timed ? (SENT.exec(raw.text)?.[0].length ?? 0) : 0;
    const rest = raw.text.slice(sent);
    const by = SENDER.exec(rest);
    const known = by?.[1] !== undefined && (senders ? senders.has(by[1]) : sent > 0 && !namesFood(by[1]));
    const cut = sent + (known ? by[0].length : 0);
    return cut === 0 ? raw : { start: raw.start + cut, end: raw.end, text: raw.text.slice(cut) };
  });
}
