import { techniqueOf } from '@/core/craft/techniques';
import { upperFirst } from '@/core/model/letters';
import { wornLooks } from '@/core/document/wearers';
import { appointmentWords, type SetState } from '@/core/model/appointment';
import { dayWords, today } from '@/core/model/days';
import type { Worn } from '@/core/model/wear';
import type { StoredSet } from '@/data/records';
import type { Listed } from '@/data/listed';

/** For whom a set is, when it was last changed, and what is on the nails. */
export function aboutWords(
  { document, changed_at }: StoredSet,
  client: string | undefined,
  worn?: Pick<Worn, 'made_on' | 'off_on'>,
): string {
  const looks = wornLooks(document).map((look) => look.name);
  const what = document.note || (looks.length > 0 ? looks.join(', ') : 'No look on any nail yet');
  const { appointment, state } = document;
  const changed = `changed ${dayWords(today(new Date(changed_at)))}`;
  const when = appointment ? appointmentWords(appointment) : client ? changed : '';
  const whom = client ? `For ${client}` : '';
  const about = [whom, when, stateWords(state, worn)].filter(Boolean).join(', ');
  return `${about ? `${upperFirst(about)}. ` : ''}${what}`;
}

/** How far it has come: planned, begun, worn, off. Planned is not told: what is not begun is planned. */
function stateWords(state: SetState, worn: Pick<Worn, 'made_on' | 'off_on'> | undefined): string {
  if (worn?.off_on) return `off since ${dayWords(worn.off_on)}`;
  if (worn) return `worn since ${dayWords(worn.made_on)}`;
  return state === 'planned' ? '' : state;
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
  const when = document.appointment ? appointmentWords(document.appointment) : '';
  return [title, document.note, client, when, document.state, ...looks, ...words]
    .filter(Boolean)
    .join(' ')
    .toLowerCase();
}
