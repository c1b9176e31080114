/** `name`, `name-2`, … whichever is free among the items. */
export function freeId(name: string, items: readonly { id: string }[]): string {
  let id = name;
  for (let n = 2; items.some((item) => item.id === id); n += 1) id = `${name}-${n}`;
  return id;
}
