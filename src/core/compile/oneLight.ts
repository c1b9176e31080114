import type { Operation } from '../craft/operation';

/**
 * A flash as long as the cure that follows at once is that cure: one light, held to its nail where the flash was, so that what runs
 * does not run meanwhile.
 */
export function oneLight(operations: readonly Operation[]): Operation[] {
  const isWhole = (flash: Operation | undefined, cure: Operation | undefined): boolean =>
    flash?.lamp?.mode === 'flash' &&
    cure?.lamp?.mode === 'cure' &&
    flash.element === cure.element &&
    flash.lamp.seconds >= cure.lamp.seconds;
  return operations.flatMap((one, i) => {
    if (isWhole(one, operations[i + 1])) return [];
    return isWhole(operations[i - 1], one) && operations[i - 1]!.held
      ? [{ ...one, held: true as const }]
      : [one];
  });
}
