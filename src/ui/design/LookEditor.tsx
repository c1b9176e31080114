'use client';
import { ActionIcon, Button } from '@mantine/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { TECHNIQUES, techniqueOf } from '@/core/craft/techniques';
import { withTwins } from '@/core/document/bothHands';
import { LOOK_KEYS, type Look } from '@/core/document/document';
import { nailsWords } from '@/core/model/names';
import { tidyWords, wordsWith } from '@/core/model/primitives';
import { MoreMenu } from '../kit/MoreMenu';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { ElementFields } from './ElementFields';
import { FieldsOfSet } from './FieldsOfSet';
import { ElementMenu } from './ElementMenu';
import { freeId } from '@/core/model/freeId';
import { elementId } from './elementId';
import { broughtFor, freshProducts } from './fresh';
import { Stack } from './Stack';
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
  const store = useStudioStore();
  const { change, changeWorn } = store.getState();
  const element = openElementOf(look, openElement);
  const open = (id: string) => store.setState({ openElement: id });

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
              <ElementMenu look={look} element={element} />
              <ActionIcon
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
            <FieldsOfSet>
              <ElementFields look={look} element={element} />
            </FieldsOfSet>
          </div>
        )}
      </div>
    </section>
  );
}

/** The same look under an id, a name and a key of its own. */
function duplicated(look: Look, looks: readonly Look[]): Look {
  const key = [...LOOK_KEYS].find((one) => !looks.some((other) => other.key === one))!;
  return { ...look, id: freeId(look.id.slice(0, 34), looks), name: wordsWith(look.name, '(copy)'), key };
}
