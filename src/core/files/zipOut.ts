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
  for (const { name, content } of files) {
    count += 1;
    if (count > MOST_FILES) throw new Error(`it is more than the ${MOST_FILES} files that a zip file holds`);
    const isText = typeof content === 'string';
    const one = isText ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    one.mtime = mtime;
    zip.add(one);
    one.push(isText ? strToU8(content) : new Uint8Array(await content.arrayBuffer()), true);
    yield* taken();
  }
  zip.end();
  yield* taken();
  yield seal.end();
}
