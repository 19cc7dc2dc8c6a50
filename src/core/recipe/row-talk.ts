import { placed, type Stretch } from './source';

/** "tarka: none.": what is not made. */
export const NONE_OF_IT =
  /^[a-z][a-z -]{2,24}\s*[:–—-]\s*(?:none|nothing|no thanks|not here|skipped)\b(?: (?:at all|here|for us|today))?[.!;]*/i;
const A_YIELD = String.raw`\d+(?: ?[-–] ?\d+)? ?(?:ml|g|litres?|l|cups?|tbsps?|tablespoons)`;
/** "about 250 ml, 16 tbsp": how much comes of it. */
export const COMES_TO = new RegExp(
  String.raw`^\W*(?:makes |about |roughly |an? |~ ?)*${A_YIELD}(?: (?:pot|jar|tub|bowl|block|loaf|batch))?(?:\s*[,/=(]\s*(?:about |or )*${A_YIELD}\)?)*\s*$`,
  'i',
);
/** The head of a letter: "Subject: the soup". */
export const LETTER = /^(from|to|cc|date|sent|subject|re)\s*:\s*(.+)$/i;
/** "The original: 2 oz butter, 1 pint cream". */
export const OTHER_LIST =
  /^(?:the )?(?:original|originally|old (?:way|one|version|recipe)|book(?:'s)?(?: version)?|card(?: says| said)?|(?:usual|traditional|classic)(?: way| version| recipe)?|before|(?:her|his|their|mum's|nan's|gran's) (?:way|version|recipe|one))\s*(?::|\s[–—-]\s)\s*(?=.*\d)/i;
/** "Serves four. Ingredients: 1 kg potatoes; …". */
export const LISTED_INSIDE = /^([^:]{0,60}?)\b(?:ingredients|you need|you'll need|shopping)\s*:\s*(\S.*)$/is;
/** Sentences of a list told in one row, each with its place. */
export const sentencesAt = (list: string, start: number): Stretch[] =>
  placed(list, list.split(/(?<=[a-z)])\.\s+(?=[A-Z])/), start);

/** "1 lb peas, soaked. Greens: 1 bunch collards. Also onion": lists in one row, without their labels. */
const FURTHER_LIST = /[a-z)]\.\s+(?:[A-Z][a-z]+(?: [a-z]+)?:\s|Also\b)/;
const ITS_LABEL = /^(?:[A-Z][a-z]+(?: [a-z]+)?:|Also,?)\s+/;
/** A row's lists apart, each with its place; the row alone where it is one. */
export function partsOfRow(row: Stretch): Stretch[] {
  if (!FURTHER_LIST.test(row.text)) return [row];
  return sentencesAt(row.text, row.start).map((part) => {
    const label = ITS_LABEL.exec(part.text)?.[0].length ?? 0;
    return { ...part, text: part.text.slice(label), start: part.start + label };
  });
}
