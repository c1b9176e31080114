/** "Cure Base A" as the middle of a sentence: "cure Base A". */
export function lowerFirst(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1);
}

/** The same as the beginning of one. */
export function upperFirst(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
