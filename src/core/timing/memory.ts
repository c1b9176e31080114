/** Arrays of numbers side by side, so that all of them are copied at once. */
export class Memory {
  private readonly buffer: ArrayBuffer;
  private taken_bytes = 0;

  /** Room for so many numbers of any kind, in so many arrays. */
  constructor(numbers: number, arrays: number) {
    this.buffer = new ArrayBuffer(8 * (numbers + arrays));
  }

  floats(length: number): Float64Array<ArrayBuffer> {
    return new Float64Array(this.buffer, this.take(8 * length), length);
  }

  integers(length: number): Int32Array<ArrayBuffer> {
    return new Int32Array(this.buffer, this.take(4 * length), length);
  }

  /** 0 or 1 each. */
  marks(length: number): Uint8Array<ArrayBuffer> {
    return new Uint8Array(this.buffer, this.take(length), length);
  }

  /** All that was given out. */
  all(): Uint8Array<ArrayBuffer> {
    return new Uint8Array(this.buffer, 0, this.taken_bytes);
  }

  private take(bytes: number): number {
    const at = this.taken_bytes;
    // Every array begins where a number of any kind can.
    this.taken_bytes += 8 * Math.ceil(bytes / 8);
    return at;
  }
}
