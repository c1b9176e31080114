/** How far a copy lies from what it is a copy of: to the right and up, as far as the nail goes. */
const BESIDE = { across: 0.12, along: 0.06 } as const;

interface Spot {
  across: number;
  along: number;
}

/** A list of parts with some laid again beside themselves; `ids` are their handles, such as `stone-2`. At most so many. */
export function partsAgain<P extends Spot>(
  parts: readonly P[],
  part: string,
  ids: readonly string[],
  most: number,
): P[] {
  const copies = ids.flatMap((id): P[] => {
    const found = new RegExp(`^${part}-(\\d+)`).exec(id);
    const one = found ? parts[Number(found[1])] : undefined;
    if (!one) return [];
    return [
      {
        ...one,
        across: one.across + BESIDE.across <= 1 ? one.across + BESIDE.across : one.across - BESIDE.across,
        along: Math.min(2, one.along + BESIDE.along),
      },
    ];
  });
  return [...parts, ...copies].slice(0, Math.max(parts.length, most));
}
