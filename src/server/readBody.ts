export type ReadBody =
  | { kind: 'whole'; bytes: Uint8Array<ArrayBuffer> }
  /** More than is taken; slower than is waited for; broken off; the server holds as much as it may. */
  | { kind: 'too-large' | 'too-slow' | 'broken' | 'full' };

/** All bodies that are being received, together, are kept under this. */
const MOST_HELD_BYTES = 64 * 1024 * 1024;
let held = 0;

/**
 * Receives a request's body, counting while it streams: what is over the limit is not kept, whatever length was
 * announced.
 */
export async function readBody(request: Request, limits: { bytes: number; ms: number }): Promise<ReadBody> {
  const announced = Number(request.headers.get('content-length') ?? 0);
  if (announced > limits.bytes) return { kind: 'too-large' };
  const reader = request.body?.getReader();
  if (!reader) return { kind: 'whole', bytes: new Uint8Array() };
  const chunks: Uint8Array[] = [];
  let size = 0;
  let late = false;
  const timer = setTimeout(() => {
    late = true;
    void reader.cancel().catch(() => undefined);
  }, limits.ms);
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (late) return { kind: 'too-slow' };
      if (done) return { kind: 'whole', bytes: joined(chunks, size) };
      size += value.length;
      held += value.length;
      chunks.push(value);
      const over = size > limits.bytes ? 'too-large' : held > MOST_HELD_BYTES ? 'full' : undefined;
      if (over) {
        void reader.cancel().catch(() => undefined);
        return { kind: over };
      }
    }
  } catch {
    return { kind: late ? 'too-slow' : 'broken' };
  } finally {
    clearTimeout(timer);
    held -= size;
  }
}

function joined(chunks: readonly Uint8Array[], size: number): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    bytes.set(chunk, at);
    at += chunk.length;
  }
  return bytes;
}
