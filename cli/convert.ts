import { auditRecipe } from '../src/core/audit/audit';
import { protocolById, PROTOCOLS, type Protocol } from '../src/core/protocol';
import { recipeText } from '../src/core/format/text';
import { FORMS, formById } from '../src/core/format/formats';
import { parseRecipe } from '../src/core/recipe/parse';
import { readRecipe } from '../src/core/read/read';
import { complain, groundOf, textsOf, USAGE, type Flags } from './inputs';

/** Writes a recipe in another form; 0 where it is written, 2 where it could not be read. What is lost is said on standard error. */
export function convertFile(files: readonly string[], flags: Flags): number {
  const [file] = files;
  if (!file || files.length > 1) return complain(`convert: name one file\n${USAGE}`);
  const form = formById(typeof flags.to === 'string' ? flags.to : '');
  if (!form) return complain(`convert: --to is one of ${FORMS.map((f) => f.id).join(', ')}`);
  const ground = groundOf('convert', flags);
  if (typeof ground === 'string') return complain(ground);
  const [text] = textsOf([file]).texts;
  if (!text) return 2;
  const plain = recipeText(text.text);
  if (!plain.ok) return complain(`${file}, line 1: ${plain.message}`);
  const protocol = protocolById('heart-strict') ?? (PROTOCOLS[0] as Protocol);
  plain.recipes.forEach((words, i) => {
    const read = readRecipe(parseRecipe(words), { ...ground, corrections: {} });
    const { text: out, lost } = form.write(read, auditRecipe(read, protocol));
    process.stdout.write(`${i > 0 ? '\n' : ''}${out}`);
    for (const what of lost) process.stderr.write(`${file}: ${form.name} cannot hold ${what}\n`);
  });
  return 0;
}
