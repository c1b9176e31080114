/** Whole figures as they are typed, parted by anything: "10, 30 60". Undefined where one is none or out of bounds. */
export function readFigures(
  text: string,
  { min, max, most }: { min: number; max: number; most: number },
): number[] | undefined {
  const parts = text.split(/[^0-9.,-]+|,\s*|,$/).filter((part) => part !== '' && part !== ',');
  const figures = parts.map(Number);
  const good =
    figures.length <= most && figures.every((one) => Number.isInteger(one) && one >= min && one <= max);
  return good ? figures : undefined;
}

/** A figure as it is typed, with a decimal point or comma: "9.5", "9,5". Undefined where it is none, or could be two things. */
export function readFigure(text: string): number | undefined {
  const plain = text.trim().replace(/^\+/, '');
  return /^\d+([.,]\d*)?$|^[.,]\d+$/.test(plain) ? Number(plain.replace(',', '.')) : undefined;
}
