import { techniqueOf } from '@/core/craft/techniques';
import { wornLooks } from '@/core/document/wearers';
import { dayWords, today } from '@/core/model/days';
import type { StoredSet } from '@/data/database';
import type { Listed } from '@/data/listed';

/** For whom a set is, when it was last changed, and what is on the nails. */
export function aboutWords({ document, changed_at }: StoredSet, client: string | undefined): string {
  const looks = wornLooks(document).map((look) => look.name);
  const what = document.note || (looks.length > 0 ? looks.join(', ') : 'No look on any nail yet');
  const changed = `changed ${dayWords(today(new Date(changed_at)))}`;
  return `${client ? `For ${client}, ${changed}. ` : ''}${what}`;
}

/** All that a search looks through, in small letters: titles, client, looks, techniques, colours. */
export function soughtIn(one: Listed, client: string | undefined): string {
  if (one.kind !== 'set') return one.title.toLowerCase();
  const { title, document } = one.stored;
  const worn = wornLooks(document);
  const elements = worn.flatMap((look) => look.elements);
  const words = elements.flatMap((element) => {
    const { words: technique, products } = techniqueOf(element.kind);
    const named = products(element).map(
      (id) => document.kit.products.find((product) => product.id === id)?.name,
    );
    return [technique, ...named];
  });
  const looks = worn.map((look) => look.name);
  return [title, document.note, client, ...looks, ...words].filter(Boolean).join(' ').toLowerCase();
}
