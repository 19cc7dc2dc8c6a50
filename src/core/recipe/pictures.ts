/** What a picture in front of a row says of it, as cooks mark their lists. */
export type Picture = 'eaters' | 'time' | 'step' | 'plain';

const EATERS = /^\s*(?:👥|👪|👤|🧑|👨|👩|🍽|🍴|🥄)/u;
const TIME = /^\s*(?:⏱|⏲|⏰|🕐|🕑|🕒|🕓|🕔|🕕|🕖|🕗|🕘|🕙|🕚|🕛|⌛|⏳|🔥|🌡)/u;
const STEP = /^\s*(?:👉|➡|▶|🔪|👩‍🍳|👨‍🍳)/u;
const LIST = /^\s*(?:✅|☑|✔|➕|🛒|📝)/u;
const PLAIN = /^\s*\p{Extended_Pictographic}/u;
/** "❌ oil": what a list crosses out. */
const CROSSED = /^\s*(?:❌|✖|❎|🚫|⛔|🙅|✗|✘)\ufe0f?\s*/u;
const AROUND =
  /^(?:\s*\p{Extended_Pictographic}\ufe0f?\u200d?)+\s*|\s*(?:\p{Extended_Pictographic}\ufe0f?\u200d?\s*)+$/gu;
const COUNT =
  /(?:👥|👪|👤|🧑|👨|👩|🍽|🍴)\ufe0f?\s*[x×:]?\s*(\d{1,2}(?: ?[-–] ?\d{1,2})?)(?![\d./]| ?(?:g|ml|kg|min|m|h)\b)/u;

/** What the picture at the head of a row says; null where there is none. */
export function pictureOf(row: string): Picture | null {
  if (STEP.test(row)) return 'step';
  if (EATERS.test(row)) return 'eaters';
  if (TIME.test(row)) return 'time';
  return PLAIN.test(row) && !LIST.test(row) ? 'plain' : null;
}

/** "⏱ 35m 👥 4": for how many a row of pictures says that it is; null where it does not. */
export const eatersInPictures = (row: string): string | null => COUNT.exec(row)?.[1] ?? null;

/** "❌ oil" as "no oil". */
export const crossedOut = (row: string): string => row.replace(CROSSED, 'no ');

/** Words without the pictures around them. */
export const withoutPictures = (words: string): string => words.replace(AROUND, '').trim();

/** The first character of a row that is not a space: which picture it is. */
export const headOf = (row: string): string => [...row.trim()][0] ?? '';
