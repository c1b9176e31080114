import { contextOf, takesTip } from '../document/nailContext';
import { techniqueOf } from '../craft/techniques';
import type { Change } from '../document/changes';
import type { Look, SetDocument } from '../document/document';
import { leastOf } from '../model/extent';
import { fingerOf, FINGERS, handOf, NAILS, type Finger, type NailName } from '../model/names';

/**
 * Something of a set that could go or be simpler. `key` names what it is about: what an artist keeps is not proposed, and of two
 * about the same only one is taken.
 */
export interface Simplification {
  key: string;
  words: string;
  change: Change;
}

/** All that could be simpler, kind by kind; what the artist keeps, and the point of a look, is left alone. */
export function simplifications(set: SetDocument): Simplification[] {
  const kept = new Set(set.keeps ?? []);
  return KINDS.flatMap((kind) => kind(set)).filter(({ key }) => !kept.has(key));
}

type Kind = (set: SetDocument) => Simplification[];

/** What hands and lamp do, and nobody sees in the end. */
const ofPractice: Kind = (set) => {
  const { practice } = set;
  const out: Simplification[] = [];
  if (practice.tips !== 'ready' && sizesTips(set))
    out.push({
      key: 'tips',
      words: 'Have the tips sized and cut before the sitting',
      change: { kind: 'practice', practice: { tips: 'ready' } },
    });
  if (practice.thumbs === 'apart') {
    out.push({
      key: 'thumbs',
      words: 'Cure thumbs with the fingers, turned to the light',
      change: { kind: 'practice', practice: { thumbs: 'with-fingers' } },
    });
    out.push({
      key: 'thumbs',
      words: 'Cure both thumbs in one load',
      change: { kind: 'practice', practice: { thumbs: 'together' } },
    });
  }
  if (practice.stones === 'bedded')
    out.push({
      key: 'stones',
      words: 'Set stones in the wet top',
      change: { kind: 'practice', practice: { stones: 'wet-top' } },
    });
  if (practice.flow !== 'quick')
    out.push({
      key: 'flow',
      words: 'Save every second, with more changes of hand and brush',
      change: { kind: 'practice', practice: { flow: 'quick' } },
    });
  return out;
};

/** Whether anybody's tips are sized at the table. */
export function sizesTips(set: SetDocument): boolean {
  return NAILS.some((name) => set.nails[name].in_work && takesTip(set, set.nails[name]));
}

/** Looks that are worn, each with a nail that wears it. */
function worn(set: SetDocument): { look: Look; wearer: NailName }[] {
  return set.looks.flatMap((look) => {
    const wearer = NAILS.find((nail) => set.nails[nail].in_work && set.nails[nail].look === look.id);
    return wearer ? [{ look, wearer }] : [];
  });
}

/** A look without what only dresses up something else of it. */
const withoutExtras: Kind = (set) =>
  worn(set).flatMap(({ look }) => {
    const art = look.elements.filter((element) => !techniqueOf(element.kind).ground);
    if (art.length < 2) return [];
    return art
      .filter((one) => techniqueOf(one.kind).extra)
      .map((element): Simplification => ({
        key: `${look.id}/${element.id}`,
        words: `${look.name} without its ${techniqueOf(element.kind).words.toLowerCase()}`,
        change: { kind: 'remove-element', look: look.id, element: element.id },
      }));
  });

/** An element done in a way that is less work, as its technique knows. */
const simplerWays: Kind = (set) =>
  worn(set).flatMap(({ look, wearer }) =>
    look.elements.flatMap((element) => {
      const { ways, words } = techniqueOf(element.kind);
      return (ways?.quicker?.(element, {}, contextOf(set, wearer)) ?? []).map((way): Simplification => ({
        key: `${look.id}/${element.id}`,
        words: `${look.name} with its ${words.toLowerCase()} ${way.words}`,
        change: {
          kind: 'put-element',
          look: look.id,
          element: { ...element, ...way.options } as typeof element,
        },
      }));
    }),
  );

/**
 * An accent on fewer nails: where both hands wear a look on more than one finger each, one pair wears the plainest look of the
 * set instead. The last pair keeps it.
 */
const fewerAccents: Kind = (set) => {
  const looks = worn(set).map(({ look }) => look);
  const weight = (look: Look) =>
    look.elements.filter((element) => !techniqueOf(element.kind).ground).length * 100 + look.elements.length;
  const plain = looks.toSorted((a, b) => weight(a) - weight(b))[0];
  if (!plain) return [];
  return looks.flatMap((look) => {
    if (weight(look) <= weight(plain)) return [];
    const pairs = FINGERS.filter((finger) =>
      ofFinger(finger).every((nail) => set.nails[nail].in_work && set.nails[nail].look === look.id),
    );
    const each = (['left', 'right'] as const).map(
      (hand) => NAILS.filter((nail) => handOf(nail) === hand && set.nails[nail].look === look.id).length,
    );
    if (leastOf(each) < 2) return [];
    return pairs.map((finger): Simplification => ({
      key: `${look.id} on ${finger}`,
      words: `${look.name} not on the ${FEW[finger]}, ${plain.name} there`,
      change: { kind: 'wear', nails: ofFinger(finger), look: plain.id },
    }));
  });
};

const FEW: Record<Finger, string> = {
  thumb: 'thumbs',
  index: 'index fingers',
  middle: 'middle fingers',
  ring: 'ring fingers',
  little: 'little fingers',
};

function ofFinger(finger: Finger): NailName[] {
  return NAILS.filter((nail) => fingerOf(nail) === finger);
}

/** Every kind of simplification, one entry each: what nobody sees first. */
const KINDS: readonly Kind[] = [ofPractice, withoutExtras, simplerWays, fewerAccents];
