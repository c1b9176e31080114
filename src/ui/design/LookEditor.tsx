'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { partsOf } from '@/core/craft/copies';
import { TECHNIQUES, techniqueOf, type Element } from '@/core/craft/techniques';
import { withTwins } from '@/core/document/bothHands';
import { LOOK_KEYS, type Look, type SetDocument } from '@/core/document/document';
import { nailsWords } from '@/core/model/names';
import { tidyWords, wordsWith } from '@/core/model/primitives';
import { MoreMenu } from '../kit/MoreMenu';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { ElementFields } from './ElementFields';
import { freeId } from '../kit/freeId';
import { elementId } from './elementId';
import { broughtFor, freshProducts } from './fresh';
import { Stack } from './Stack';
import { useCopying } from './useCopying';
import { openElementOf, openLookOf } from './useEditing';
import classes from './DesignView.module.css';

/** The open look: its elements from the top down, and the options of the open one. */
export function LookEditor() {
  const look = useSettled((set, s) => openLookOf(set, s));
  if (!look) {
    return (
      <section className={classes.editor} aria-label="Open look">
        <p>Make a look first.</p>
      </section>
    );
  }
  return <OpenLook key={look.id} look={look} />;
}

function OpenLook({ look }: { look: Look }) {
  const set = useSettled((now) => now);
  const selected = useStudio((s) => s.selected);
  const bothHands = useStudio((s) => s.bothHands);
  const openElement = useStudio((s) => s.openElement);
  const held = useStudio((s) => s.openPart);
  const copied = useStudio((s) => s.copied);
  const store = useStudioStore();
  const { change, changeWorn } = store.getState();
  const element = openElementOf(look, openElement);
  const open = (id: string) => store.setState({ openElement: id });

  const { copy, paste } = useCopying();

  function copyInto(into: Look, copied: Element) {
    const id = elementId(copied.id.slice(0, 34), into);
    if (change({ kind: 'put-element', look: into.id, element: { ...copied, id } }))
      store.setState({ openLook: into.id, openElement: id });
  }

  function add(kind: string) {
    const id = elementId(kind, look);
    const element = techniqueOf(kind).fresh(id, freshProducts(set));
    const put = { kind: 'put-element', look: look.id, element } as const;
    const brought = broughtFor(element, set);
    if (change(brought.length > 0 ? { kind: 'many', changes: [...brought, put] } : put)) open(id);
  }

  return (
    <section className={classes.editor} aria-label="Open look">
      <div className={classes.lookBar}>
        <input
          key={look.name}
          className={classes.lookTitle}
          aria-label="Name of this look"
          defaultValue={look.name}
          onBlur={(event) => {
            const name = tidyWords(event.target.value);
            if (name && name !== look.name) change({ kind: 'put-look', look: { ...look, name } });
          }}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        />
        <Button
          h={44}
          variant="default"
          disabled={selected.length === 0}
          onClick={() => changeWorn({ kind: 'wear', nails: selected, look: look.id })}
        >
          Put on {nailsWords(bothHands ? withTwins(selected) : selected)}
        </Button>
        <MoreMenu
          label="More for this look"
          entries={[
            ...(set.looks.length < 12
              ? [
                  {
                    key: 'duplicate',
                    words: 'Duplicate this look',
                    onPick: () => {
                      const copy = duplicated(look, set.looks);
                      if (change({ kind: 'put-look', look: copy }))
                        store.setState({ openLook: copy.id, openElement: undefined });
                    },
                  },
                ]
              : []),
            {
              key: 'remove',
              words: 'Remove this look',
              danger: true,
              onPick: () => {
                if (change({ kind: 'remove-look', look: look.id })) {
                  store.setState({ openLook: store.getState().set.looks[0]?.id, openElement: undefined });
                }
              },
            },
          ]}
        />
      </div>
      <div className={classes.parts}>
        <div className={classes.apart}>
          <Stack look={look} open={element?.id} />
          <MoreMenu
            label="Add an element"
            face={{ words: 'Add', icon: <IconPlus size={18} /> }}
            entries={TECHNIQUES.map((technique) => ({
              key: technique.kind,
              words: (
                <>
                  <strong>{technique.words}</strong>
                  <br />
                  <span style={{ color: 'var(--soft)' }}>{technique.blurb}</span>
                </>
              ),
              onPick: () => add(technique.kind),
            }))}
          />
        </div>
        {element && (
          <div className={classes.options} key={element.id}>
            <div className={classes.optionsHead}>
              <h3>{techniqueOf(element.kind).words}</h3>
              <MoreMenu
                label="More for this element"
                entries={[
                  ...(held && holdsPart(element, held)
                    ? [
                        {
                          key: 'copy',
                          words: `Copy ${heldWords(held)} (Ctrl C)`,
                          onPick: () => copy(element, [held]),
                        },
                      ]
                    : []),
                  ...(copied ? [{ key: 'paste', words: 'Lay what was copied (Ctrl V)', onPick: paste }] : []),
                  { key: 'again', words: 'Duplicate it here', onPick: () => copyInto(look, element) },
                  ...crossedBy(element, set).map((other) => ({
                    key: 'plaid',
                    words: 'Cross it in another colour: a plaid',
                    onPick: () => copyInto(look, other),
                  })),
                  ...set.looks
                    .filter((one) => one.id !== look.id)
                    .map((one) => ({
                      key: one.id,
                      words: `Copy it into ${one.name}`,
                      onPick: () => copyInto(one, element),
                    })),
                ]}
              />
              <ActionIcon
                size={44}
                variant="subtle"
                color="gray"
                aria-label="Take out"
                title="Take out"
                onClick={() => change({ kind: 'remove-element', look: look.id, element: element.id })}
              >
                <IconTrash size={20} />
              </ActionIcon>
            </div>
            <p className={classes.blurb}>{techniqueOf(element.kind).blurb}</p>
            <ElementFields look={look} element={element} />
          </div>
        )}
      </div>
    </section>
  );
}

/** Lines as they would cross these: square to them, in another colour of the kit. Nothing where it is no set of lines. */
function crossedBy(element: Element, set: SetDocument): Element[] {
  if (element.kind !== 'colour' || element.region.kind !== 'lines') return [];
  const { product } = element;
  const { colour, second } = freshProducts(set);
  const turn_deg = element.region.turn_deg > 90 ? element.region.turn_deg - 90 : element.region.turn_deg + 90;
  return [
    {
      ...element,
      product: product === second ? colour : second,
      region: { ...element.region, turn_deg, crossed: false },
    },
  ];
}

/** The same look under an id, a name and a key of its own. */
function duplicated(look: Look, looks: readonly Look[]): Look {
  const key = [...LOOK_KEYS].find((one) => !looks.some((other) => other.key === one))!;
  return { ...look, id: freeId(look.id.slice(0, 34), looks), name: wordsWith(look.name, '(copy)'), key };
}

/** Whether a handle is of a part that can be copied. */
function holdsPart(element: Element, handle: string): boolean {
  const { copies } = techniqueOf(element.kind);
  return copies !== undefined && partsOf(element, copies, [handle]).length > 0;
}

/** "stone 3": what a handle holds, in words. */
function heldWords(handle: string): string {
  const [part = '', index] = handle.split('-');
  return `${part} ${Number(index) + 1}`;
}
