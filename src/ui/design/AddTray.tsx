'use client';
import { Button, Modal, TextInput } from '@mantine/core';
import { IconPlus, IconSearch } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { buildOf, frameOf } from '@/core/document/nailContext';
import type { KeptMotif } from '@/core/craft/keptMotif';
import { isSought, offersFor, type Offer } from '@/core/craft/offers';
import { TECHNIQUES, type Element } from '@/core/craft/techniques';
import { applyUnchecked, type Change } from '@/core/document/changes';
import type { Look, SetDocument } from '@/core/document/document';
import { nailWords } from '@/core/model/names';
import type { Product } from '@/core/model/product';
import { StillPicture } from '../kit/StillPicture';
import { FINENESS, usePicture } from '../kit/usePictures';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { useKey } from '../studio/useKey';
import { elementId } from './elementId';
import { MotifShelf } from './MotifShelf';
import { useMotifs } from './useMotifs';
import { broughtFor, pickerOf } from '@/core/starter/picker';
import classes from './AddTray.module.css';

const MOST_PX = 92;
const PX_PER_MM = 4.4;

/** The keyboard goes on where the new thing lies. */
const OPEN_FILM = '[data-film][data-open]';

/** What can be added to the open look, each shown on the nail in focus. */
export function AddTray({ look }: { look: Look }) {
  const [open, setOpen] = useState(false);
  const focus = useStudio((s) => s.focus);
  useKey('+', () => setOpen(true));
  return (
    <>
      <Button
        title="Add (+)"
        variant="default"
        leftSection={<IconPlus size={18} />}
        onClick={() => setOpen(true)}
      >
        Add
      </Button>
      <Modal
        opened={open}
        onClose={() => setOpen(false)}
        returnFocus={false}
        onExitTransitionEnd={() => document.querySelector<HTMLElement>(OPEN_FILM)?.focus()}
        size={1060}
        title={`Add to “${look.name}”, seen on the ${nailWords(focus)}`}
      >
        {open && <Offers look={look} onAdded={() => setOpen(false)} />}
      </Modal>
    </>
  );
}

function Offers({ look, onAdded }: { look: Look; onAdded: () => void }) {
  const [sought, setSought] = useState('');
  const store = useStudioStore();
  const motifs = useMotifs();
  const own = (motifs ?? []).map(keptOffer).filter((offer) => isSought(offer, sought));
  const offers: readonly Brought[] = [...own, ...offersFor(sought)];
  function add(offer: Brought) {
    const { set, change, openElementAt } = store.getState();
    const { element, adding } = added(offer, look, set);
    if (change(adding)) openElementAt(element.id);
    onAdded();
  }
  const shelf = (
    <MotifShelf motifs={motifs ?? []}>
      {(motif) => {
        const offer = own.find(({ key }) => key === `kept-${motif.id}`);
        return offer && <OfferButton offer={offer} look={look} onPick={() => add(offer)} />;
      }}
    </MotifShelf>
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (offers[0]) add(offers[0]);
      }}
    >
      <TextInput
        data-autofocus
        aria-label="Search"
        placeholder="Search: stripes, stones, fade …"
        leftSection={<IconSearch size={18} />}
        value={sought}
        onChange={(event) => setSought(event.currentTarget.value)}
      />
      {own.length > 0 && shelf}
      <ul className={classes.offers} aria-label="What can be added">
        {offers.slice(own.length).map((offer) => (
          <li key={offer.key}>
            <OfferButton offer={offer} look={look} onPick={() => add(offer)} />
          </li>
        ))}
      </ul>
      {motifs && motifs.length === 0 && sought === '' && shelf}
      {offers.length === 0 && <p className={classes.none}>Nothing is called so. Try another word.</p>}
    </form>
  );
}

/** An offer with the products it was kept with. */
type Brought = Offer & { products?: readonly Product[] };

/** What draws: the technique that motifs are kept of and taken for. */
const DRAWS = TECHNIQUES.find(({ library }) => library)!;

function keptOffer(motif: KeptMotif): Brought {
  return {
    key: `kept-${motif.id}`,
    words: motif.name,
    blurb: `Your own, in ${motif.colours.length === 1 ? 'one colour' : `${motif.colours.length} colours`}.`,
    products: motif.colours.map(({ product }) => product),
    fresh: (id, pick) => DRAWS.library!.take(motif, DRAWS.fresh(id, pick)),
  };
}

/** What an offer brings into a look, with the products that the set lacks for it, as one change. */
function added(offer: Brought, look: Look, set: SetDocument): { element: Element; adding: Change } {
  const element = offer.fresh(elementId(offer.key, look), pickerOf(set, look));
  const put: Change = { kind: 'put-element', look: look.id, element };
  return { element, adding: { kind: 'many', changes: [...broughtFor(element, set, offer.products), put] } };
}

function OfferButton({ offer, look, onPick }: { offer: Brought; look: Look; onPick: () => void }) {
  const set = useSettled((now) => now);
  const focus = useStudio((s) => s.focus);
  const trial = useMemo(() => {
    const then = applyUnchecked(set, added(offer, look, set).adding);
    const nail = { ...then.nails[focus], look: look.id, changes: [] };
    return { ...then, nails: { ...then.nails, [focus]: nail }, edits: [] };
  }, [offer, look, set, focus]);
  const { length_mm } = frameOf(set.nails[focus], buildOf(set, set.nails[focus]));
  const px_per_mm = Math.min(PX_PER_MM, Math.round((MOST_PX / length_mm) * 10) / 10);
  const picture = usePicture(trial, focus, px_per_mm * FINENESS);
  return (
    <button type="button" className={classes.offer} data-testid={`add-${offer.key}`} onClick={onPick}>
      <span className={classes.picture}>
        <StillPicture picture={picture} px_per_mm={px_per_mm} />
      </span>
      <span>
        <strong>{offer.words}</strong>
        <span className={classes.blurb}>{offer.blurb}</span>
      </span>
    </button>
  );
}
