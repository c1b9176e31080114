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
