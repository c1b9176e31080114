/**
 * Content faults are values, not exceptions. `path` points at the fault inside the content, in the
 * form `nails.left-ring.plate.width_mm`; it is empty where the whole is at fault.
 */
export interface Fault {
  path: string;
  message: string;
}

export type Result<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

export function ok<T>(value: T): Result<T> {
  return { ok: true, value };
}

export function fail(path: string, message: string): { ok: false; faults: Fault[] } {
  return { ok: false, faults: [{ path, message }] };
}

export function faultLine(fault: Fault): string {
  return fault.path ? `${fault.path}: ${fault.message}` : fault.message;
}
