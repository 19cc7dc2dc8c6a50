import { isOpen, soupWith } from './told-soup';

/** Words that no table of foods holds, and ways in which a sentence puts something into a dish. */
const WORDS = ['blorg', 'quimbles', 'zaffa'];
const GOES_IN = [
  'X on top.',
  'X over.',
  'X on the side.',
  'X alongside.',
  'X, 2 tbsp, at the end.',
  'In goes the X, 2 tbsp.',
  'Add X.',
  'Add 2 tbsp X.',
  'Top with X.',
  'Serve with X and rice.',
  'Eat with X.',
  'Mash it with X.',
  'Loosen with X.',
  'Thicken with X.',
  'Spread X on the toast.',
  'Scatter X and serve.',
  'A spoon of X over each.',
];
test.each(GOES_IN)('"%s": what nobody knows keeps the dish from being judged', (frame) => {
  for (const word of WORDS) {
    const said = frame.replace('X', word);
    const told = `${said.charAt(0).toUpperCase()}${said.slice(1)}`;
    expect([told, isOpen(soupWith('1 tin chickpeas', told))]).toEqual([told, true]);
  }
});

test.each([
  'Lid on top.',
  'Foil over.',
  'Another sheet on top.',
  'The rest on the side.',
  'Leave it, 10 minutes, off the heat.',
  'Spread it out on a tray.',
  'Eat with a spoon.',
  'Good with friends.',
])('"%s" brings nothing', (told) => expect(isOpen(soupWith('1 tin chickpeas', told))).toBe(false));
