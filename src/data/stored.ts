import type { ProtocolSource, RoleId } from '@/core/protocol';
import type { Price } from '@/core/cost/cost';
import type { Packet } from '@/core/label/schema';
import type { KeptRecipe } from '@/core/read/library';
import type { Correction, Corrections } from '@/core/read/types';
import type { Splice } from './splice';

/** A recipe as it is kept: the cook's text and what she said about it. All else is computed. */
export interface StoredRecipe {
  readonly id: string;
  readonly text: string;
  readonly role: RoleId | null;
  readonly servings: number | null;
  readonly corrections: Corrections;
  /** Grams of the whole dish and of one plate, as weighed; null where nobody did. */
  readonly potG: number | null;
  readonly plateG: number | null;
  /** The recipe that this one is a version of; null where it stands for itself. */
  readonly versionOf: string | null;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly updatedAt: number;
  /** When it was thrown away; null while it is on the shelf. */
  readonly deletedAt: number | null;
  /** Counts its writes in this browser, so that a view knows which of two it saw is the later. */
  readonly rev: number;
  /** Its words as they were first brought in; kept from the first edit of them on. */
  readonly original?: string | undefined;
  /** Its words as another kitchen's file last held them: what both have in common. */
  readonly shared?: { readonly text: string; readonly at: number } | undefined;
  /** Words that the cook sorts by. */
  readonly tags?: readonly string[] | undefined;
  readonly starred?: boolean | undefined;
}

/** What was worked out of a recipe, under the key of all that it hangs on; worked out again where the key differs. */
export interface StoredJudged {
  readonly id: string;
  readonly key: string;
  readonly row: unknown;
}

/** What an edit changes of a recipe: only these fields are written, and of the corrections only these lines. */
export interface RecipePatch {
  readonly text?: string;
  readonly role?: RoleId | null;
  readonly servings?: number | null;
  readonly potG?: number | null;
  readonly plateG?: number | null;
  /** By the words of their line; null takes a correction away. */
  readonly corrections?: Readonly<Record<string, Correction | null>>;
}

/** An edit as it is kept for undo: what it changed, from what to what. */
export interface StoredEdit {
  readonly seq?: number;
  readonly recipeId: string;
  readonly text: Splice | null;
  readonly before: Omit<RecipePatch, 'text'>;
  readonly after: Omit<RecipePatch, 'text'>;
  /** Edits in a row with the same key are one step: a line being typed. */
  readonly key: string | null;
  readonly undone: boolean;
  /** Swaps that were counted with it; uncounted with it where `counts` is negative. */
  readonly swaps: readonly string[];
  readonly counts: 1 | -1;
  readonly at: number;
}

/** The last file that was brought in: what it replaced and added, so that it can be taken back whole. */
export interface StoredImport {
  readonly id: 'last';
  readonly at: number;
  readonly before: Readonly<Record<string, readonly unknown[]>>;
  readonly added: Readonly<Record<string, readonly string[]>>;
}

export interface StoredDiner {
  readonly id: string;
  readonly name: string;
  readonly protocol: string;
  readonly allergens: readonly string[];
  /** Foods they would rather not eat, in words. */
  readonly dislikes: readonly string[];
  /** Size of their plate against the recipe's own: 1 is the same. */
  readonly appetite: number;
  /** Energy that they need a day, in kcal, where they know it. */
  readonly needKcal?: number | null | undefined;
  /** True where medical cautions concern them. */
  readonly medical: boolean;
  readonly order: number;
  readonly updatedAt: number;
}

/** A packet of the cook's own, as she typed it. */
export interface StoredPacket extends Packet {
  readonly updatedAt: number;
}

/** What the cook means by her words: "when I write stock I mean this one". */
export interface StoredMeaning {
  /** The words in one spelling (`wordsKey`). */
  readonly words: string;
  /** The words as she wrote them. */
  readonly said: string;
  readonly foodId: string;
  readonly updatedAt: number;
}

/** A protocol of the cook's own. */
export interface StoredProtocol {
  readonly id: string;
  readonly source: ProtocolSource;
  readonly updatedAt: number;
}

/** What the cook says of a food: that it is in the kitchen, how she likes it, what she pays for it. */
export interface StoredKitchenFood {
  readonly foodId: string;
  readonly has: boolean;
  /** 1 glad of it, -1 rather not, 0 not said. */
  readonly liking: -1 | 0 | 1;
  readonly price: Price | null;
  readonly updatedAt: number;
}

/** How often a swap was made here, and whether it worked; null while nobody has said. */
export interface StoredSwapUse {
  readonly swapId: string;
  readonly times: number;
  readonly worked: boolean | null;
  readonly updatedAt: number;
}

/** A timer that runs on the Stove: until a moment, or with so much left while it is stopped. */
export interface StoredTimer {
  readonly id: string;
  readonly label: string;
  readonly task: string | null;
  /** Milliseconds since 1970; null while it is stopped. */
  readonly endsAt: number | null;
  readonly leftMs: number;
  /** It has rung, and nobody has put it off yet. */
  readonly rang: boolean;
}

/** The supper on the Stove: what it is made of, and how far it is. There is one. */
export interface StoredSupper {
  readonly id: 'open';
  readonly dishes: readonly { readonly recipe: KeptRecipe; readonly times: number }[];
  /** When it is to be on the table: "18:30". */
  readonly table: string;
  readonly cooks: readonly string[];
  readonly burners: number;
  readonly ovens: number;
  /** Milliseconds since 1970; null before cooking is begun. */
  readonly startedAt: number | null;
  /** Moments at which tasks were done and begun, by their ids; minutes they took longer. */
  readonly done: Readonly<Record<string, number>>;
  readonly begun: Readonly<Record<string, number>>;
  readonly longer: Readonly<Record<string, number>>;
  /** What is set out already. */
  readonly ticks: readonly string[];
  /** The task that is looked at; null for the one that is next. */
  readonly at: string | null;
  readonly timers: readonly StoredTimer[];
  /** What was added at the stove, in the cook's words, by dish. */
  readonly added: readonly { readonly dish: number; readonly text: string; readonly at: number }[];
  readonly updatedAt: number;
}

/** What somebody said of a dish that was eaten. */
export interface StoredWord {
  readonly name: string;
  /** 1 liked it, -1 did not, 0 not said. */
  readonly liked: -1 | 0 | 1;
  /** "bland", "too thick", "again". */
  readonly says: readonly string[];
}

/** One cooking in the Log: the text as it was, what was done and added, and what the eaters said. */
export interface StoredCooking {
  readonly id: string;
  /** The recipe it was cooked from; it may be gone. */
  readonly recipeId: string;
  readonly title: string;
  readonly text: string;
  /** The text with what was added at the stove. */
  readonly after: string;
  readonly times: number;
  readonly cookedAt: number;
  /** From the first thing begun to the last one done; null where nobody said. */
  readonly tookMinutes: number | null;
  /** Minutes that deeds really took, by the verb: the cook's own times. */
  readonly minutes: Readonly<Record<string, number>>;
  readonly added: readonly string[];
  /** Grams of the whole dish, as weighed. */
  readonly potG: number | null;
  /** How many plates it really gave. */
  readonly plates: number | null;
  readonly words: readonly StoredWord[];
  readonly note: string;
  /** A picture as a data address; null without one. */
  readonly photo: string | null;
  readonly updatedAt: number;
}

/** A box of something cooked, in the fridge or the freezer. */
export interface StoredBox {
  readonly id: string;
  readonly name: string;
  readonly cookingId: string | null;
  readonly grams: number;
  readonly place: 'fridge' | 'freezer';
  readonly madeAt: number;
  readonly eaten: boolean;
  readonly updatedAt: number;
}

/** Something that is eaten in a week: plates of a pot, or what is said in words. */
export interface StoredMeal {
  readonly id: string;
  /** From 0, the first day of the week. */
  readonly day: number;
  readonly meal: string;
  /** The diner's id. */
  readonly diner: string;
  /** The cooking it comes from; null for what is said in words. */
  readonly of: string | null;
  readonly plates: number;
  readonly text: string;
}

/** A pot that is cooked in a week. */
export interface StoredPot {
  readonly id: string;
  readonly day: number;
  readonly recipeId: string;
  readonly times: number;
  readonly place: 'fridge' | 'freezer';
  /** The diner who cooks it; nobody is named yet where it is null. */
  readonly cook?: string | null | undefined;
}

/** The week that is planned. There is one. */
export interface StoredWeek {
  readonly id: 'open';
  /** The first day, milliseconds since 1970. */
  readonly from: number;
  readonly pots: readonly StoredPot[];
  readonly meals: readonly StoredMeal[];
  /** What is bought already, by the id of its food. */
  readonly bought: readonly string[];
  /** Tins that are bought dry, by the id of the tinned food. */
  readonly dry?: readonly string[] | undefined;
  readonly updatedAt: number;
}

/** What a loose measure of the cook's own held each time she weighed it, in millilitres. */
export interface StoredHand {
  readonly unit: string;
  readonly ml: readonly number[];
  readonly updatedAt: number;
}

export interface StoredSetting {
  readonly key: string;
  readonly value: unknown;
}
