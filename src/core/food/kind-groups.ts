/** Kinds of food that several readers look out for, as they stand in the composition table. */
export const FAT_KINDS = ['oil', 'solid-fat', 'animal-fat'] as const;
/** What is added to other foods and a limit looks at: fat, salt, sugar. */
export const ADDED_KINDS = [...FAT_KINDS, 'salt', 'salty', 'sugar', 'syrup', 'animal-sugar'] as const;
/** Foods that a limit looks at by what they are. */
export const RICH_KINDS = ['nut', 'nut-butter', 'coconut', 'olive', 'chocolate', 'alcohol'] as const;
