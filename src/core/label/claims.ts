import type { Range } from '@/core/range/range';
import type { HiddenClass, Label, LabelNutrient } from './schema';

type Figures = Readonly<Record<LabelNutrient, Range | null>>;
type Holds = Label['claims'][number]['holds'];

/** What a claim may be judged by. */
export interface Evidence {
  readonly perServing: Figures;
  readonly per100g: Figures;
  readonly hidden: ReadonlySet<HiddenClass>;
  readonly hasStatement: boolean;
}

interface Rule {
  readonly claim: string;
  readonly pattern: RegExp;
  readonly source: string;
  readonly judge: (e: Evidence) => { holds: Holds; because: string };
}

const shown = (n: number) => Number(n.toFixed(2)).toString();
/** "fat in 100 g, g" with its range: "fat in 100 g is 2–2.5 g". */
const saying = (what: string, { low, high }: Range) => {
  const [name, unit = ''] = what.split(', ');
  return `${name} is ${shown(low)}${shown(low) === shown(high) ? '' : `–${shown(high)}`} ${unit}`;
};
const unitOf = (what: string) => what.split(', ')[1] ?? '';
const nameOf = (what: string) => what.split(', ')[0] ?? what;

/** A claim that a figure is below (or under) a bound. */
function atMost(
  value: Range | null,
  bound: number,
  what: string,
  strict = false,
): { holds: Holds; because: string } {
  if (!value) return { holds: 'unknown', because: `${nameOf(what)} is not printed` };
  const said = `${saying(what, value)}, the claim allows ${strict ? 'under' : 'up to'} ${bound} ${unitOf(what)}`;
  if (value.low > bound || (strict && value.low >= bound)) return { holds: 'impossible', because: said };
  if (value.high <= bound) return { holds: 'surely', because: said };
  return { holds: 'possibly', because: said };
}

/** US law asks per serving, EU law per 100 g: judged by the figure that is printed, the serving first. */
function servingOr100(
  e: Evidence,
  nutrient: LabelNutrient,
  [serving, strict]: readonly [number, boolean],
  hundred: number,
  words: string,
): { holds: Holds; because: string } {
  const own = e.perServing[nutrient];
  return own
    ? atMost(own, serving, `${words.replace(',', ' a serving,')}`, strict)
    : atMost(e.per100g[nutrient], hundred, `${words.replace(',', ' in 100 g,')}`);
}

function atLeast(value: Range | null, bound: number, what: string): { holds: Holds; because: string } {
  if (!value) return { holds: 'unknown', because: `${nameOf(what)} is not printed` };
  const said = `${saying(what, value)}, the claim asks for ${bound} ${unitOf(what)}`;
  if (value.high < bound) return { holds: 'impossible', because: said };
  return { holds: value.low >= bound ? 'surely' : 'possibly', because: said };
}

function without(e: Evidence, kind: HiddenClass, what: string): { holds: Holds; because: string } {
  if (!e.hasStatement) return { holds: 'unknown', because: 'there is no ingredient statement' };
  return e.hidden.has(kind)
    ? { holds: 'impossible', because: `the ingredients name ${what}` }
    : { holds: 'possibly', because: `no name of ${what} stands in the ingredients` };
}

/** Both a US and an EU rule where they differ: the stricter word is said in `source`. */
const RULES: readonly Rule[] = [
  {
    claim: 'fat free',
    pattern: /\b(?:fat[- ]free|0 ?% fat|zero fat|non[- ]?fat|no fat)\b/i,
    source: 'US 21 CFR 101.62(b): under 0.5 g a serving',
    judge: (e) => atMost(e.perServing.fatG, 0.5, 'fat a serving, g', true),
  },
  {
    claim: 'low fat',
    pattern: /\blow[- ]fat\b/i,
    source: 'US 21 CFR 101.62(b): up to 3 g a serving; EU 1924/2006: up to 3 g/100 g',
    judge: (e) => servingOr100(e, 'fatG', [3, false], 3, 'fat, g'),
  },
  {
    claim: 'sodium free',
    pattern: /\b(?:sodium[- ]free|salt[- ]free|no salt\b(?! added)|zero sodium)/i,
    source: 'US 21 CFR 101.61(b): under 5 mg a serving; EU 1924/2006: up to 5 mg/100 g',
    judge: (e) => servingOr100(e, 'sodiumMg', [5, true], 5, 'sodium, mg'),
  },
  {
    claim: 'very low sodium',
    pattern: /\bvery low (?:sodium|salt)\b/i,
    source: 'US 21 CFR 101.61(b): up to 35 mg; EU 1924/2006: up to 40 mg/100 g',
    judge: (e) => servingOr100(e, 'sodiumMg', [35, false], 40, 'sodium, mg'),
  },
  {
    claim: 'low sodium',
    pattern: /(?<!very )\blow[- ](?:sodium|salt|in salt)\b/i,
    source: 'US 21 CFR 101.61(b): up to 140 mg a serving; EU 1924/2006: up to 120 mg/100 g',
    judge: (e) => servingOr100(e, 'sodiumMg', [140, false], 120, 'sodium, mg'),
  },
  {
    claim: 'no salt added',
    pattern: /\b(?:no salt added|no added salt|unsalted|without added salt)\b/i,
    source: 'US 21 CFR 101.61(c): no salt is added in processing',
    judge: (e) => without(e, 'salt', 'salt or a salty seasoning'),
  },
  {
    claim: 'sugar free',
    pattern: /\b(?:sugar[- ]free|zero sugar)\b/i,
    source: 'US 21 CFR 101.60(c): under 0.5 g a serving; EU 1924/2006: up to 0.5 g/100 g',
    judge: (e) => servingOr100(e, 'sugarG', [0.5, true], 0.5, 'sugar, g'),
  },
  {
    claim: 'low sugars',
    pattern: /\blow (?:in )?sugars?\b/i,
    source: 'EU 1924/2006: up to 5 g/100 g',
    judge: (e) => atMost(e.per100g.sugarG, 5, 'sugar in 100 g, g'),
  },
  {
    claim: 'no added sugar',
    pattern: /\b(?:no added sugars?|no sugar added|without added sugars?|unsweetened)\b/i,
    source: 'US 21 CFR 101.60(c)(2); EU 1924/2006: no sugars or food used for sweetening',
    judge: (e) => {
      if (e.hidden.has('sugar')) return without(e, 'sugar', 'a sugar, syrup or juice');
      const added = e.perServing.addedSugarG;
      return added && added.low > 0
        ? { holds: 'impossible', because: 'added sugar is printed' }
        : without(e, 'sugar', 'a sugar, syrup or juice');
    },
  },
  {
    claim: 'oil free',
    pattern: /\b(?:oil[- ]free|no oil|no added oil|without oil)\b/i,
    source: 'not defined in law: no oil among the ingredients',
    judge: (e) => without(e, 'oil', 'an oil or fat'),
  },
  {
    claim: 'source of fibre',
    pattern: /\b(?:source of fib(?:re|er)|good source of fib(?:re|er))\b/i,
    source: 'EU 1924/2006: at least 3 g/100 g',
    judge: (e) => atLeast(e.per100g.fibreG, 3, 'fibre in 100 g, g'),
  },
  {
    claim: 'high fibre',
    pattern: /\b(?:high|rich|excellent source)(?: in| of)?[- ]fib(?:re|er)\b/i,
    source: 'EU 1924/2006: at least 6 g/100 g',
    judge: (e) => atLeast(e.per100g.fibreG, 6, 'fibre in 100 g, g'),
  },
  {
    claim: 'light',
    pattern: /\b(?:light|lite)\b(?! (?:brown|corn|soy|syrup|green|rye))/i,
    source:
      'US 21 CFR 101.56: half the fat (or a third less energy) of the usual product; EU 1924/2006: 30 % less',
    judge: () => ({
      holds: 'unknown',
      because: 'it compares with another product, whose figures are not here',
    }),
  },
  {
    claim: 'reduced',
    pattern: /\b(?:reduced|less|lower)[- ](?:fat|sodium|salt|sugars?)\b/i,
    source: 'US 21 CFR 101.61(b)(6), 101.62(b)(4): 25 % less; EU 1924/2006: 30 % less (sodium 25 %)',
    judge: () => ({
      holds: 'unknown',
      because: 'it compares with another product: it says nothing of how much is left',
    }),
  },
];

/** Claims printed on a packet, and whether they are possible with its figures and ingredients. */
export function judgeClaims(text: string, evidence: Evidence): Label['claims'] {
  return RULES.filter((r) => r.pattern.test(text)).map((r) => ({
    claim: r.claim,
    ...r.judge(evidence),
    source: r.source,
  }));
}
