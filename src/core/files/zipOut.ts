import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { sealing } from './zipSums';

/** A file that goes into a zip: a text, which is packed, or a picture, which is packed already and goes as it is. */
export interface ZippedFile {
  name: string;
  content: string | Blob;
}

/** A zip knows the years from 1980 to 2099 alone; a clock may be wrong by more. */
const ZIP_YEARS = ['1980-01-02', '2099-12-30'].map((day) => new Date(day).getTime());
/** What a zip's own numbers hold (APPNOTE 6.3.10, 4.4.1.4). */
const MOST_FILES = 65_534;
const MOST_BYTES = 0xf000_0000;

/**
 * A sealed zip file, piece by piece: a picture is read as its turn comes and let go after, so that a thousand take no more room than one. `made_at`:
 * ISO 8601, written as the time of each file, so that the same files give the same bytes. Throws where a zip file cannot hold it all.
 */
export async function* zipped(files: Iterable<ZippedFile>, made_at: string): AsyncGenerator<Uint8Array> {
  const [first, last] = ZIP_YEARS;
  const mtime = new Date(Math.min(last!, Math.max(first!, new Date(made_at).getTime())));
  const ready: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    ready.push(chunk);
  });
  const seal = sealing();
  let bytes = 0;
  let count = 0;
  function* taken() {
    for (const chunk of ready.splice(0)) {
      bytes += chunk.length;
      if (bytes > MOST_BYTES) throw new Error('it is more than a zip file holds, which is 4 GB');
      const out = seal.take(chunk);
      if (out.length > 0) yield out;
    }
  }
  for await (const { name, content } of readAhead(files)) {
    count += 1;
    if (count > MOST_FILES) throw new Error(`it is more than the ${MOST_FILES} files that a zip file holds`);
    const isText = typeof content === 'string';
    const one = isText ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    one.mtime = mtime;
    zip.add(one);
    one.push(isText ? strToU8(content) : content, true);
    yield* taken();
  }
  zip.end();
  yield* taken();
  yield seal.end();
}

/** So many pictures are read ahead of the one that is written. */
const AHEAD = 8;

/** Files in their order, the pictures among them read while those before are written. */
async function* readAhead(
  files: Iterable<ZippedFile>,
): AsyncGenerator<{ name: string; content: string | Uint8Array }> {
  const waiting: Promise<{ name: string; content: string | Uint8Array }>[] = [];
  for (const { name, content } of files) {
    waiting.push(
      (async () => ({
        name,
        content: typeof content === 'string' ? content : new Uint8Array(await content.arrayBuffer()),
      }))(),
    );
    // One that cannot be read is told when its turn comes.
    waiting.at(-1)!.catch(() => undefined);
    if (waiting.length > AHEAD) yield await waiting.shift()!;
  }
  for (const one of waiting) yield await one;
}
