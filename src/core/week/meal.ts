/** A meal said in words ("2 slices rye, hummus, an apple") as a recipe for one: a line each thing. */
export function mealText(words: string): string {
  const things = words
    .split(
      /\s*[,;\n]\s*|\s+and\s+(?=(?:an?|some|\d+|[½⅓⅔¼¾⅛]|one|two|three|half)\b)|\s+with\s+(?=(?:an?|some|\d+|[½⅓⅔¼¾⅛]|one|two|three|half)\b)/i,
    )
    .map((t) => t.trim())
    .filter(Boolean);
  return `Meal\nServes 1\n\nIngredients\n${things.map((t) => `- ${t}`).join('\n')}\n`;
}
