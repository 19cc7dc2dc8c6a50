'use client';
import { useEffect, useState } from 'react';
import type { Adaptation } from '@/core/adapt/schema';
import type { FlavourReport } from '@/core/swap/flavour';
import type { KitchenTastes } from '@/core/swap/tastes';
import type { StoredRecipe } from '@/data/db';
import { planner, stopPlanning } from '@/workers/adapt';
import { plainRecipes } from '@/workers/library';
import { useLibraryContext } from '../shelf/use-context';
import type { TableDiner } from './use-table';

const ALTERNATIVES = 3;

interface Question {
  readonly doc: StoredRecipe;
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
  readonly working: boolean;
  readonly stop: () => void;
} {
  const context = useLibraryContext();
  const [found, setFound] = useState<{
    of: Question;
    adaptation: Adaptation | null;
    flavour: readonly (FlavourReport | null)[];
  } | null>(null);
  useEffect(() => {
    if (!question) return;
    let current = true;
    const [recipe] = plainRecipes([question.doc]);
    if (!recipe) return;
    const diners = question.diners.map((d) => ({
      protocol: d.protocol,
      allergens: [...d.allergens],
      plate: d.appetite,
    }));
    void planner()
      .adapt(recipe, diners, context, {
        locked: [...question.locked],
        forced: [...question.forced],
        alternatives: ALTERNATIVES,
        tastes: question.tastes,
      })
      .then(({ adaptation, flavour }) => {
        if (current) setFound({ of: question, adaptation, flavour });
      });
    return () => {
      current = false;
    };
  }, [question, context]);
  const answered = question !== null && found?.of === question;
  return {
    adaptation: answered ? found.adaptation : null,
    flavour: answered ? found.flavour : [],
    working: question !== null && !answered,
    stop: () => {
      stopPlanning();
      if (question) setFound({ of: question, adaptation: null, flavour: [] });
    },
  };
}
