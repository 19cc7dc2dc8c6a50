'use client';
import { useEffect, useState } from 'react';
import type { Adaptation } from '@/core/adapt/schema';
import type { FlavourReport } from '@/core/swap/flavour';
import type { KitchenTastes } from '@/core/swap/tastes';
import type { KeptRecipe } from '@/core/read/library';
import { askPlanner, stopPlanning } from '@/workers/adapt';
import { Stopped } from '@/workers/door';
import { useLibraryContext } from '@/kitchen/use-library-context';
import type { TableDiner } from '@/kitchen/use-table';

const ALTERNATIVES = 3;

interface Question {
  /** The recipe, and those that it is made of. */
  readonly recipes: readonly KeptRecipe[];
  readonly diners: readonly TableDiner[];
  readonly locked: readonly string[];
  readonly forced: readonly string[];
  readonly tastes: KitchenTastes;
}

/** Plans for a dish, made in a worker; null while they are being made, or where nobody asks. */
export function usePlans(question: Question | null): {
  readonly adaptation: Adaptation | null;
  /** What each plan took from the taste, and what gives it back. */
  readonly flavour: readonly (FlavourReport | null)[];
  /** Why there is none, where the worker could not be asked. */
  readonly why: string | null;
  readonly working: boolean;
  readonly stop: () => void;
} {
  const context = useLibraryContext();
  const [found, setFound] = useState<{
    of: Question;
    adaptation: Adaptation | null;
    flavour: readonly (FlavourReport | null)[];
    why: string | null;
  } | null>(null);
  useEffect(() => {
    if (!question) return;
    let current = true;
    const diners = question.diners.map((d) => ({
      protocol: d.protocol,
      allergens: [...d.allergens],
      plate: d.appetite,
    }));
    void askPlanner((door) =>
      door.adapt(question.recipes, diners, context, {
        locked: [...question.locked],
        forced: [...question.forced],
        alternatives: ALTERNATIVES,
        tastes: question.tastes,
      }),
    ).then(
      ({ adaptation, flavour }) => {
        if (current) setFound({ of: question, adaptation, flavour, why: null });
      },
      (error: Error) => {
        if (current && !(error instanceof Stopped))
          setFound({ of: question, adaptation: null, flavour: [], why: error.message });
      },
    );
    return () => {
      current = false;
    };
  }, [question, context]);
  const answered = question !== null && found?.of === question;
  return {
    adaptation: answered ? found.adaptation : null,
    flavour: answered ? found.flavour : [],
    why: answered ? found.why : null,
    working: question !== null && !answered,
    stop: () => {
      stopPlanning();
      if (question) setFound({ of: question, adaptation: null, flavour: [], why: null });
    },
  };
}
