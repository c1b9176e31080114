import { lowerFirst } from '../model/letters';
import type { NailName } from '../model/names';
import { rounded } from '../model/rounded';
import { nailIn, nailsIn, standing, nailsOf } from './events';
import { figureWords } from '../craft/recalled';
import type { Bench, BenchEvent } from './log';

/** One line of what was done: when, on which nails, how long it took and was to take. */
export interface RecordLine {
  at_ms: number;
  what: BenchEvent['what'];
  nails: NailName[];
  words: string;
  /** Of work and light: how long it took, and how long it was planned. */
  took_s?: number;
  planned_s?: number;
  by?: string;
}

const WHY = { door: 'its door was opened', fault: 'it failed' } as const;

/** What happened at the table from first to last; what was taken back is not in it. */
export function recordOf({ events }: Pick<Bench, 'events'>): RecordLine[] {
  const cut = new Map(events.flatMap((one) => (one.what === 'cut-short' ? [[one.of, one] as const] : [])));
  return standing(events).flatMap((one, i): RecordLine[] => {
    if (!one) return [];
    const line = { at_ms: one.at_ms, what: one.what };
    switch (one.what) {
      case 'begun':
        return [{ ...line, nails: [], words: 'Begun' }];
      case 'ended':
        return [{ ...line, nails: [], words: 'Ended' }];
      case 'done':
        return [
          {
            ...line,
            nails: nailsIn(one.pieces),
            words: one.words,
            took_s: rounded((one.at_ms - one.from_ms) / 1000, 1),
            planned_s: rounded(
              one.pieces.reduce((sum, { seconds }) => sum + seconds, 0),
              1,
            ),
            by: one.by,
          },
        ];
      case 'lit': {
        const short = cut.get(i);
        const given_s = short ? (short.at_ms - one.at_ms) / 1000 : one.seconds;
        return [
          {
            ...line,
            nails: one.nails,
            words: `${one.words}${short ? `, cut short: ${WHY[short.why]}` : ''}`,
            took_s: rounded(given_s, 1),
            planned_s: one.seconds,
          },
        ];
      }
      case 'undone':
        return [{ ...line, nails: nailsOf(one.operations), words: one.words }];
      case 'paused':
        return [{ ...line, nails: [], words: 'A break' }];
      case 'resumed':
        return [{ ...line, nails: [], words: 'Gone on' }];
      case 'recipe':
        return [{ ...line, nails: nailsOf(one.operations), words: recipeWords(one) }];
      case 'measured':
        return [{ ...line, nails: one.nail ? [one.nail] : [], words: `Measured ${one.mm} mm` }];
      case 'pictured':
        return [{ ...line, nails: one.operation ? [nailIn(one.operation)] : [], words: 'A picture' }];
      case 'replanned':
        return [{ ...line, nails: [], words: `Planned from here: ${one.why}` }];
      case 'noted':
        return [{ ...line, nails: one.operation ? [nailIn(one.operation)] : [], words: one.text }];
      case 'counted':
      case 'cut-short':
      case 'taken-back':
        return [];
    }
  });
}

/** "As planned: magnet off 4 mm, held 8 s": what a magnet, a marble or a mix was. */
function recipeWords({ kept, figures }: Extract<BenchEvent, { what: 'recipe' }>): string {
  const said = figures.map((one) => lowerFirst(figureWords(one)));
  return `${kept ? 'As planned' : 'Really'}: ${said.join(', ')}`;
}
