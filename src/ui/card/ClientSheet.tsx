'use client';
import { Button } from '@mantine/core';
import { IconDownload, IconFileTypePdf } from '@tabler/icons-react';
import { useMemo, type ReactNode } from 'react';
import type { SetDocument } from '@/core/document/document';
import { dayWords, today } from '@/core/model/days';
import { NAILS } from '@/core/model/names';
import { withBatches } from '@/core/model/wear';
import { clientSheet, sheetPage, sheetText } from '@/core/plan/clientSheet';
import { inOrderOfUse } from '@/core/plan/inOrderOfUse';
import type { Plan } from '@/core/plan/planSet';
import { downloadPdf, downloadText, fileName } from '../kit/download';
import { HandsSpread } from '../kit/HandsSpread';
import { notDone } from '../kit/notify';
import { FINENESS, usePictures } from '../kit/usePictures';
import { timeWords } from '@/core/model/times';
import { useWorn } from '../wear/useWorn';
import { Paper } from './Paper';
import classes from './CardView.module.css';

const PICTURE_PX_PER_MM = 3.2;

/** What the client takes home. */
export function ClientSheet({ set, plan, choice }: { set: SetDocument; plan: Plan; choice: ReactNode }) {
  const pictures = usePictures(set, PICTURE_PX_PER_MM * FINENESS);
  const day = set.appointment?.on ?? today();
  const sheet = useMemo(() => clientSheet(set, plan, day), [set, plan, day]);
  const used = useMemo(
    () =>
      inOrderOfUse(
        plan.rounds,
        NAILS.flatMap((name) => plan.operations[name]),
        set.kit.products,
      ),
    [set, plan],
  );
  // Once it is worn, the batches that were in use then are known.
  const { worn } = useWorn(set.id);
  const named = withBatches(
    used.map((product) => product.name),
    worn?.batches,
  );
  const page = sheetPage(sheet, day, named);
  const name = `${fileName(set.title)}, for the client`;
  async function pdf() {
    const { pagePdf } = await import('@/core/picture/pagePdf');
    downloadPdf(`${name}.pdf`, await pagePdf(page));
  }
  return (
    <Paper
      more={
        <>
          <Button
            variant="default"
            leftSection={<IconFileTypePdf size={18} />}
            onClick={() => void pdf().catch(notDone)}
          >
            PDF
          </Button>
          <Button
            variant="default"
            leftSection={<IconDownload size={18} />}
            onClick={() => downloadText(`${name}.txt`, sheetText(page))}
          >
            Text
          </Button>
        </>
      }
      label="Client’s sheet"
      choice={choice}
      title={sheet.title}
      says={`${dayWords(day)} · about ${timeWords(sheet.from_s)} to ${timeWords(sheet.to_s)} at the table`}
      picture={<HandsSpread set={set} pictures={pictures} px_per_mm={PICTURE_PX_PER_MM} />}
    >
      <section className={classes.take}>
        <h3>What you wear</h3>
        <ul>
          {sheet.worn.map(({ whose, what }) => (
            <li key={whose}>
              <b>{whose}</b> {what}
            </li>
          ))}
        </ul>
        {sheet.again && (
          <>
            <h3>When to come again</h3>
            <p>
              Between {dayWords(sheet.again.from)} and {dayWords(sheet.again.to)}: {sheet.again.then}.
            </p>
          </>
        )}
        <h3>Care</h3>
        <ul>
          {sheet.care.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        <h3>What was used</h3>
        <p>{named.join(', ')}.</p>
      </section>
    </Paper>
  );
}
