'use client';
import { ActionIcon } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import type { Look } from '@/core/document/document';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import { AddTray } from './AddTray';
import { ElementFields } from './ElementFields';
import { FieldsOfSet } from './FieldsOfSet';
import { ElementMenu } from './ElementMenu';
import { namedElement, saidOfElement } from './elementWords';
import { LookHead } from './LookHead';
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
  const openElement = useStudio((s) => s.openElement);
  const { change } = useStudioStore().getState();
  const element = openElementOf(look, openElement);
  return (
    <section className={classes.editor} aria-label="Open look">
      <LookHead look={look} />
      <div className={classes.parts}>
        <div className={classes.apart}>
          <Stack look={look} open={element?.id} />
          <AddTray look={look} />
        </div>
        {element && (
          <div className={classes.options} key={element.id}>
            <div className={classes.optionsHead}>
              <h3>{namedElement(element)}</h3>
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
            <p className={classes.blurb}>{saidOfElement(element)}</p>
            <FieldsOfSet look={look} element={element.id}>
              <ElementFields look={look} element={element} />
            </FieldsOfSet>
          </div>
        )}
      </div>
    </section>
  );
}
