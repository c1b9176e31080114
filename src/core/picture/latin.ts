/** The built-in fonts of a PDF have only Latin letters: any other sign is shown as a question mark. */
export function written(words: string, encode: (sign: string) => unknown): string {
  return [...words]
    .map((sign) => {
      try {
        encode(sign);
        return sign;
      } catch {
        return '?';
      }
    })
    .join('');
}
