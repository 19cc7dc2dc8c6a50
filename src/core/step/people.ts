import { STEP_WORDS } from './lexicon';

/** Other cooks, guests, books and shops. */
export const PEOPLE: ReadonlySet<string> = new Set(STEP_WORDS.people);
export const OWNERS = new Set(
  'my his her our your their the a an one some most many other all these those every any each'.split(' '),
);
/** Verbs of telling in the past: "had 125 g butter", "was fried in oil". */
export const PAST = new Set(
  'had was were used did would went got said called asked wanted told listed gave swore took'.split(' '),
);
/** Verbs that a person, or a book, does something with: "puts", "swears by", "calls for". */
export const DOES = new Set([
  'has',
  'have',
  'puts',
  'put',
  'calls',
  'says',
  'likes',
  'like',
  'swears',
  'wants',
  'loves',
  'does',
  'always',
  'usually',
  'sometimes',
  'often',
  'insists',
  'throws',
  'prefers',
  'eats',
  'gets',
  'goes',
  'takes',
  'asks',
  'tells',
  'lists',
  'gives',
]);
