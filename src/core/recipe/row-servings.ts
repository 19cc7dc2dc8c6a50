// How rows of their own say how many a recipe feeds.

/** A row that says how many it feeds, whatever else it looks like. */
export const SAYS_SERVINGS =
  /^(?:(?:serves|makes|feeds|yields?|servings|portions)\b|[\w-]+(?:\s*(?:or|to|-|–)\s*[\w-]+)?\s+(?:\w+\s+){0,2}(?:people|persons|servings|portions|helpings|diners|eaters)\b|1 (?:person|serving|portion|helping)\s*$|\d{1,2}(?: ?[-–] ?\d{1,2})? (?:serves?|pax|ppl)\s*(?:$|[,.;(])|serve:?\s+(?:for )?\d{1,2}\s*$|(?:just|only) (?:for )?me[.!]?$|\d+(?:\s*(?:or|to|-|–)\s*\d+)?\s+as (?:an?|the) (?:\w+ )?(?:starter|main|side|snack|lunch|supper|appeti[sz]er)\b)/i;

/** "Enough for 4 with rice." at the end of a step or note. */
export const SENTENCE_OF_SERVINGS =
  /^(?:\d{1,2}(?:\s*(?:-|–|to|or)\s*\d{1,2})? (?:portions|servings|helpings|people|plates)\b|this (?:is|was) (?:enough )?for\b|(?:this )?(?:serves|feeds|makes|enough (?:for|to feed)|should (?:serve|feed)|(?:it )?will (?:serve|feed))\b)/i;

/** "2 big plates." wherever it stands; "4 wraps" may be a food. */
export const PLATES_ALONE =
  /^(?:\d{1,2}|one|two|three|four|five|six|eight)(?:\s*(?:-|–|to|or)\s*\d{1,2})? (?:(?:big|small|large|good|deep|hungry|decent|generous) )?(?:plates?|bowls?|bowlfuls?|platefuls?|portions?|servings?|helpings?|people|ppl|covers|lunches|dinners|suppers|meals|glass(?:es)?|of us)(?:,? (?:or|maybe|perhaps|more like) (?:\d{1,2}|two|three|four|five|six|eight)(?: (?:big|small|smaller|large|good|hungry|light))?(?: ones)?)?[.!]?$/i;

/** "one 2lb loaf, 10 slices". */
export const ONE_CUT =
  /^(?:an?|one|1|two|2)\b[^.;]{0,30}\b(?:loaf|loaves|cakes?|tarts?|pies?|trays?|tins?|pizzas?)\b[^.;]{0,12}?\b\d{1,2} (?:slices|squares|pieces|wedges|bars|portions)\b/i;

/** "one pack of tofu does 2 of us": a line, and how many it feeds. */
export const LINE_DOES =
  /^(.{4,60}?)\s+(?:(?:does|feeds|serves|is (?:enough )?for|will do) (?:the )?(?:\d|two|three|four|five|six|eight)(?: of us| people)?)[.!]*\s*$/i;

/** "16 slices, 2 per person": pieces, and how many of them make a plate. */
export const PIECES_AND_EACH =
  /^(?:about |makes )?\d{1,2} (?:[a-z]+ )?(?:slices|squares|pieces|wedges|bars|rolls|pancakes|patties|burgers|balls|fritters|muffins|wraps|dumplings|ones)\s*[,;(–-]\s*(?:so |about |we have |we eat |that's )?(?:\d|one|two|three|four)(?: slices)? (?:each|apiece|pp|(?:per|a) (?:person|head|plate|serving))\)?[.!]*\s*$/i;

/** "3 each. Dip shared.": how many each eats of what is made. */
export const SO_MANY_EACH =
  /^(?:\d{1,2}|one|two|three|four|five|six) (?:each|apiece|pp|per (?:person|head))(?:[.!]\s+|[.!]?$)/i;

/** A row's first sentence that opens with a number, or with for how many it is. */
export const COUNTED_SENTENCE =
  /^((?:for |serves |feeds |does )?(?:\d{1,2}|two|three|four|five|six|seven|eight|ten)\b[^.;!?]{0,48})[.!]\s+(?=\S)/i;

/** "for 3 / takes 20 min", "goes round 6": for how many, alone or before a stroke. */
export const FOR_FIRST =
  /^(for (?:\d{1,2}|two|three|four|five|six|eight)(?: people| of us)?)\s*(?:[/|·•]|$)|^(?:goes|enough to go|will go) a?round ((?:\d{1,2}|two|three|four|five|six|eight)(?: people| of us)?)[.!]?$/i;

/** "Four": how many it feeds. */
export const NUMBER_ALONE = /^(?:two|three|four|five|six|seven|eight|ten|twelve)[.!]?$/i;

/** "2 with a cuppa", "3 per box": a number and no food. */
export const COUNTS_NOTHING =
  /^(?:\d{1,2}|one|two|three|four) (?:(?:is|are|makes|=) (?:an?|one|my|our|the) (?:portion|serving|helping|plateful|treat)\b[^\d]*(?:\([^()]*\))?|with (?:an?|your|my|the) (?:cuppa|coffee|tea|brew|drink|soup|salad|meal)|per (?:box|bag|jar|tin|person|head|lunch|plate)(?: (?:per|a) day)?(?:,? max(?:imum)?)?)[.!]*$/i;

/** "About 600 g. We reckon 60 g each.": how much comes of it, and how much of that is one serving. */
export const COMES_TO_EACH =
  /^\W*(?:makes |gives |about |comes to |roughly )+\d[\d.]* ?(?:g|kg|ml|l|litres?)\b.*\b(?:each|a (?:serving|portion)|per (?:serving|person|portion))\b/i;
