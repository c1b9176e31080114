/** "Cure Base A" as the middle of a sentence: "cure Base A". */
export function lowerFirst(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1);
}

/** The same as the beginning of one. */
export function upperFirst(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

const NUMBERS = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ');

/** "a crystal", "five crystals", "24 crystals". */
export function counted(count: number, one: string, many = `${one}s`): string {
  return count === 1 ? `a ${one}` : `${NUMBERS[count] ?? count} ${many}`;
}
