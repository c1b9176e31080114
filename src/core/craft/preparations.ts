import type { Product } from '../model/product';
import type { NailContext } from './context';
import { coatOf } from './cure';
import { dustOffDraft, hardenOf, LAST_DUST_OFF, setDraft, STICKY_OFF, wipeDraft, wipedTop } from './drafts';
import { settingOf } from './families';
import { DUST, HAND_S } from './handwork';
import type { Draft, Place } from './operation';
import type { Surface } from './surface';

/** Work that makes a surface take what it does not take as it is; `reason`: what it is that it does not take. */
export interface Preparation {
  /** The film that it lets harden first. */
  hardens?: Product;
  /** What it would spoil. */
  spoils?: (surface: Surface) => boolean;
  drafts: (place: Place, reason: string) => Draft[];
}

/** Everything an artist does so that the next thing holds; the lighter work before the heavier (common practice). */
export function preparations(context: NailContext): Preparation[] {
  const dustOff = (place: Place, reason: string): Draft => ({
    ...dustOffDraft('brush-under', reason),
    place,
  });
  const wipe = (place: Place, reason: string) => wipeDraft(context, 'wipe-under', STICKY_OFF, reason, place);
  const key = (place: Place, reason: string): Draft[] => [
    {
      step: 'key-under',
      verb: 'buff',
      words: 'Take the shine off with a fine buffer',
      place,
      hand_s: HAND_S.buff,
      caution: DUST,
      reason,
    },
    dustOff(place, 'Dust under the next layer lifts it.'),
    wipeDraft(context, 'clean-under', LAST_DUST_OFF, 'Clean before the next layer.', place),
  ];
  const film = (role: 'base' | 'top', words: string) => (place: Place, reason: string) => {
    const product = context.role(role);
    const t_um = coatOf(product);
    return [
      {
        step: `${role}-under`,
        verb: role,
        words: `${product.name}${words}`,
        product: product.id,
        place,
        deposit: { kind: 'conformal', t_um },
        hand_s: HAND_S[role],
        reason,
      } satisfies Draft,
      ...hardenOf(product, t_um, place, 'cure-under'),
      ...wipedTop(product, context, place).map((draft) => ({ ...draft, step: 'wipe-under' })),
    ];
  };
  const [base, top] = [film('base', ', thin'), film('top', '')];
  return [
    { drafts: (place, reason) => [dustOff(place, reason)] },
    { drafts: (place, reason) => [wipe(place, reason)] },
    { spoils: buffedAway, drafts: key },
    {
      spoils: buffedAway,
      drafts: (place, reason) => [wipe(place, 'The sticky layer clogs the buffer.'), ...key(place, reason)],
    },
    { drafts: base },
    { drafts: top },
    {
      drafts: (place, reason) => [
        ...top(place, reason),
        ...key(
          place,
          'On the slick of a top nothing holds; it is keyed, and what lies below it is not touched.',
        ),
      ],
    },
    {
      spoils: buffedAway,
      drafts: (place, reason) => [
        ...key(place, 'Base holds on what is dull, and not on a shine.'),
        ...base(place, reason),
      ],
    },
  ];
}

/** A buffer takes powder, leaf and pieces off with the shine. */
function buffedAway({ finish, material }: Surface): boolean {
  return finish === 'powdered' || material === 'piece' || material === 'stone';
}

/** What is still soft, hard first: by its lamp, or in its own time. */
export function hardenFilm({
  product,
  t_um,
  place,
}: {
  product: Product;
  t_um: number;
  place: Place;
}): Preparation {
  const setting = settingOf(product);
  return {
    hardens: product,
    drafts: (_place, reason) =>
      (setting
        ? [setDraft(product, setting.dry_s, 'set-under', place)]
        : hardenOf(product, t_um, place, 'cure-under')
      ).map((draft) => ({ ...draft, reason })),
  };
}
