import type { RecipeAudit } from '@/core/audit/schema';
import type { ReadRecipe } from '@/core/read/types';
import { toCooklang } from './cooklang';
import { toCsv } from './csv';
import { toJsonLd } from './jsonld';
import { partsOf, toMarkdown, toPlainText } from './markdown';

/** A recipe written in a form, with what that form cannot hold, in words. */
export interface Written {
  readonly text: string;
  readonly lost: readonly string[];
}

/** A form that a recipe is written in; all of them are read again by `recipeText`. */
export interface Form {
  readonly id: string;
  readonly name: string;
  /** What a file of it ends in, and is sent as. */
  readonly ending: string;
  readonly type: string;
  readonly write: (read: ReadRecipe, audit: RecipeAudit) => Written;
}

/** Parts of the list that a form without sections drops. */
const partsLost = (read: ReadRecipe): string[] =>
  partsOf(read).some((p) => p.section !== null)
    ? [
        `the parts of the list (${partsOf(read)
          .flatMap((p) => p.section ?? [])
          .join(', ')})`,
      ]
    : [];

/** All forms, each in a file of its own. */
export const FORMS: readonly Form[] = [
  {
    id: 'text',
    name: 'Plain text',
    ending: 'txt',
    type: 'text/plain',
    write: (r) => ({ text: toPlainText(r), lost: [] }),
  },
  {
    id: 'markdown',
    name: 'Markdown',
    ending: 'md',
    type: 'text/markdown',
    write: (r) => ({ text: toMarkdown(r), lost: [] }),
  },
  { id: 'cooklang', name: 'Cooklang', ending: 'cook', type: 'text/plain', write: (r) => toCooklang(r) },
  {
    id: 'jsonld',
    name: 'schema.org Recipe',
    ending: 'json',
    type: 'application/ld+json',
    write: (r, audit) => ({ text: toJsonLd(r, audit), lost: partsLost(r) }),
  },
  {
    id: 'csv',
    name: 'Table of figures',
    ending: 'csv',
    type: 'text/csv',
    write: (r, audit) => ({ text: toCsv(r, audit), lost: [] }),
  },
];

/** The form of an id, if there is one. */
export const formById = (id: string): Form | undefined => FORMS.find((f) => f.id === id);
