/** How many of a nail's operations lie on it once some of them are done: up to the last of those. */
export function layersBefore(operations: readonly { id: string }[], done: readonly string[]): number {
  return operations.findLastIndex(({ id }) => done.includes(id)) + 1;
}
