import { expose } from 'comlink';
import loadHighs from 'highs';
import { costOf, type Prices } from '@/core/cost/cost';
import type { Eater, Kept, Offer } from '@/core/menu/menu';
import { handsMinutes } from '@/core/menu/minutes';
import { planMenu, type MenuPlan } from '@/core/menu/plan';
import { menuOf, type Wishes } from '@/core/menu/program';
import { menuSolver } from '@/core/menu/solver';
import { weekWith } from '@/core/menu/week';
import { keptText, libraryOf, type KeptRecipe } from '@/core/read/library';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe } from '@/core/read/types';
import { parseRecipe } from '@/core/recipe/parse';
import { mealText } from '@/core/week/meal';
import { judgeWeek } from '@/core/week/week';
import type { Week, WeekPlan } from '@/core/week/schema';
import { larderFor, type LibraryContext } from './larder';

/** Something that is left: plates of a pot of the week, or of a box, which is eaten in words. */
export interface LeftOver {
  readonly id: string;
  /** The pot of the week; null for a box. */
  readonly pot: string | null;
  /** A plate of it in words, for a box. */
  readonly text: string;
  readonly plates: number;
  readonly from: number;
  readonly until: number;
}

/** What a week is planned from. */
export interface MenuGround {
  readonly week: WeekPlan;
  /** The recipes of its pots. */
  readonly pots: Readonly<Record<string, KeptRecipe>>;
  readonly eaters: readonly Eater[];
  /** What may be cooked. */
  readonly shelf: readonly KeptRecipe[];
  readonly left: readonly LeftOver[];
  /** All that recipes and meals may be made of. */
  readonly known: readonly KeptRecipe[];
  readonly prices: Prices;
}

/** A plan, judged afresh like any week. */
export interface JudgedMenu {
  readonly plan: MenuPlan;
  readonly judged: Week;
  readonly titles: Readonly<Record<string, string>>;
}

let engine: { readonly highs: ReturnType<typeof loadHighs>; readonly log: string[] } | null = null;

async function solver() {
  if (!engine) {
    const log: string[] = [];
    const settings = { locateFile: () => '/highs.wasm', print: (row: string) => void log.push(row) };
    engine = { highs: loadHighs(settings), log };
  }
  return menuSolver(await engine.highs, engine.log);
}

const doorway = {
  /** Plans the open meals of a week; what is found is judged afresh. */
  async plan(
    ground: MenuGround,
    wishes: Wishes,
    context: LibraryContext,
    seconds: number,
  ): Promise<JudgedMenu> {
    const { week, eaters, shelf, left } = ground;
    const library = libraryOf(ground.known, {
      measures: context.measures,
      natural: context.natural,
      larder: larderFor(context),
    });
    const settings = library.settingsOf(keptText('', ''));
    const inWords = (text: string): ReadRecipe => readRecipe(parseRecipe(mealText(text)), settings);
    const pots = new Map(Object.entries(ground.pots).map(([id, r]) => [id, library.read(r)]));
    const offers: Offer[] = [
      ...shelf.map((r): Offer => {
        const read = library.read(r);
        return {
          id: r.id,
          read,
          role: r.role,
          minutes: handsMinutes(read, library.settingsOf(r)),
          cost: costOf(read, ground.prices, context.measures).whole?.best ?? null,
          left: null,
        };
      }),
      ...left.flatMap((l): Offer[] => {
        const read = l.pot === null ? inWords(l.text) : pots.get(l.pot);
        const { plates, from, until } = l;
        return read
          ? [{ id: l.id, read, role: 'main', minutes: 0, cost: 0, left: { plates, from, until } }]
          : [];
      }),
    ];
    const kept = week.meals.flatMap((m): Kept[] => {
      const eater = week.diners.findIndex((d) => d.name === m.diner);
      if (eater < 0) return [];
      const at = { day: m.day, meal: m.meal, eater };
      if ('text' in m) return [{ ...at, read: inWords(m.text), plates: 1 }];
      return [{ ...at, read: pots.get(m.of) ?? null, plates: m.plates, grams: m.grams }];
    });
    const plan = planMenu(menuOf(eaters, offers, kept, wishes), await solver(), seconds);
    const leftById = new Map(left.map((l) => [l.id, l]));
    const whole = weekWith(
      week,
      plan,
      (id) => leftById.get(id) ?? null,
      (id) => id,
    );
    const byOffer = new Map(offers.map((o) => [o.id, o.read]));
    return {
      plan,
      judged: judgeWeek(whole, {
        cookings: new Map(
          whole.cookings.flatMap((c) => {
            const read = pots.get(c.id) ?? (typeof c.recipe === 'string' ? byOffer.get(c.recipe) : undefined);
            return read ? [[c.id, read] as const] : [];
          }),
        ),
        meals: new Map(whole.meals.flatMap((m, i) => ('text' in m ? [[i, inWords(m.text)] as const] : []))),
        protocols: new Map(eaters.map((e) => [e.protocol.id, e.protocol])),
      }),
      titles: Object.fromEntries(offers.map((o) => [o.id, leftById.get(o.id)?.text || o.read.recipe.title])),
    };
  },
};

export type MenuDoor = typeof doorway;
expose(doorway);
