import { BUILDS } from '../craft/builds';
import { FAMILIES } from '../craft/families';
import { TECHNIQUES } from '../craft/techniques';
import type { Options, Was } from '../craft/was';
import { PRODUCT_FAMILIES } from '../model/product';
import { isObject, list, text, type Json } from './json';

/** The parts of a file that carry a history of their own, by their kind. */
export interface Parts {
  elements: ReadonlyMap<string, Was>;
  builds: ReadonlyMap<string, Was>;
  /** By their family. */
  products: ReadonlyMap<string, Was>;
}

function histories(all: readonly { kind: string; was?: Was }[]): ReadonlyMap<string, Was> {
  return new Map(all.flatMap(({ kind, was }) => (was ? [[kind, was] as const] : [])));
}

const families = PRODUCT_FAMILIES.map((kind) => ({ kind, ...FAMILIES[kind] }));

export const PARTS: Parts = {
  elements: histories(TECHNIQUES),
  builds: histories(BUILDS),
  products: histories(families),
};

/** The version that the last change of any part leads to; 0 where none has changed. */
export function versionOfParts({ elements, builds, products }: Parts): number {
  const versions = [elements, builds, products].flatMap((kinds) =>
    [...kinds.values()].flatMap((was) => Object.keys(was).map(Number)),
  );
  return versions.reduce((last, version) => Math.max(last, version + 1), 0);
}

/**
 * Every part of a file as the version after `version` writes it: elements of looks, what single nails change of them, builds, products of the kit.
 * Changes the file in place, which is a copy.
 */
export function partsForward(file: Json, version: number, { elements, builds, products }: Parts): Json {
  const kinds = new Map<string, string>();
  for (const look of list(file.looks)) {
    if (!Array.isArray(look.elements)) continue;
    look.elements = look.elements.map((element: unknown) => {
      if (!isObject(element)) return element;
      kinds.set(`${text(look.id)}/${text(element.id)}`, text(element.kind));
      return forward(element, elements.get(text(element.kind)), version);
    });
  }
  for (const nail of Object.values(isObject(file.nails) ? file.nails : {}).filter(isObject))
    for (const change of list(nail.changes)) {
      const kind = kinds.get(`${text(nail.look)}/${text(change.element)}`) ?? '';
      if (isObject(change.options)) change.options = forward(change.options, elements.get(kind), version);
    }
  if (Array.isArray(file.builds))
    file.builds = file.builds.map((build: unknown) =>
      isObject(build) ? forward(build, builds.get(text(build.kind)), version) : build,
    );
  if (isObject(file.kit) && Array.isArray(file.kit.products))
    file.kit.products = file.kit.products.map((product: unknown) =>
      isObject(product) ? forward(product, products.get(text(product.family)), version) : product,
    );
  return file;
}

function forward(options: Json, was: Was | undefined, version: number): Options {
  return was && Object.hasOwn(was, version) ? was[version]!(options) : options;
}
