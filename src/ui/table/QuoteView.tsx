'use client';
import { Button } from '@mantine/core';
import { IconCheck, IconCopy, IconFileTypePdf, IconPhoto } from '@tabler/icons-react';
import { useCallback, useMemo, useRef } from 'react';
import { dayWords, today } from '@/core/model/days';
import { moneyWords } from '@/core/model/money';
import { materialOf } from '@/core/stock/cost';
import { priceOf } from '@/core/stock/price';
import { offeredOf, quoteOf, quoteText } from '@/core/stock/quote';
import { forecastFor } from '@/workers/planner';
import { usePricing } from '../shelf/useStock';
import { downloadBlob, downloadPdf, fileName } from '../kit/download';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { notDone, notify } from '../kit/notify';
import { useAnswer } from '../kit/useAnswer';
import { FINENESS, usePictures } from '../kit/usePictures';
import { useStudio } from '../studio/studio';
import type { TableProps } from './props';
import { quotePicture } from './quotePicture';
import classes from './TableView.module.css';

/** The paper is so wide within its margins. */
const HANDS_PX = 540;
const MOST_PX_PER_MM = 3.2;

/** What a client is told before she says yes, to be sent as text, as PDF or as a picture, and kept with the set. */
export function QuoteView({ set, plan, needs, stock }: TableProps) {
  const { pricing } = usePricing();
  const change = useStudio((s) => s.change);
  const forecast = useAnswer(useCallback(() => forecastFor(set, plan), [set, plan]));
  const px_per_mm = spreadScale(set, HANDS_PX, MOST_PX_PER_MM);
  const pictures = usePictures(set, px_per_mm * FINENESS);
  const hands = useRef<HTMLDivElement>(null);
  const on = today();
  const asked = useMemo(() => {
    if (typeof forecast !== 'object') return undefined;
    const { half_s, nine_s } = forecast;
    const material = materialOf(needs, stock, pricing.currency);
    const price = priceOf(pricing, pricing.by === 'half' ? half_s : nine_s, material.cents);
    return { price, pricing, half_s, nine_s, on };
  }, [forecast, needs, stock, pricing, on]);
  if (forecast === 'failed') return <p>How long it takes could not be worked out.</p>;
  if (!asked) return <p className={classes.soft}>Many evenings are played …</p>;
  const quote = quoteOf(set, asked);
  const name = `${fileName(set.title)}, quote`;
  const offered = set.offered;
  // What is short of her time is no price.
  const wanting = asked.price.wanting.length > 0;

  async function pdf() {
    const { pagePdf } = await import('@/core/picture/pagePdf');
    const png = await quotePicture(hands.current);
    const bytes = await pagePdf(
      {
        title: quote.title,
        facts: quote.facts,
        list_words: 'Included',
        list: quote.included,
        small: quote.small,
      },
      png && new Uint8Array(await png.arrayBuffer()),
    );
    downloadPdf(`${name}.pdf`, bytes);
  }
  async function picture() {
    const png = await quotePicture(hands.current, quote);
    if (png) downloadBlob(`${name}.png`, png);
  }
  async function copy() {
    await navigator.clipboard.writeText(quoteText(quote));
    notify('The quote is copied.');
  }

  return (
    <>
      {wanting && (
        <p className={classes.look}>
          ▲ Nothing is asked for your time yet: under Price, say what an hour is before this is sent.
        </p>
      )}
      <div className={classes.beside}>
        <article className={classes.paper} data-testid="quote">
          <h3>{quote.title}</h3>
          <div ref={hands}>
            <HandsSpread set={set} pictures={pictures} px_per_mm={px_per_mm} />
          </div>
          <dl>
            {quote.facts.map(({ words, says }) => (
              <div key={words}>
                <dt>{words}</dt>
                <dd>{says}</dd>
              </div>
            ))}
          </dl>
          <span className={classes.soft}>Included</span>
          <ul>
            {quote.included.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          {quote.small.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </article>
        <div className={`${classes.ways} ${classes.noPrint}`}>
          <Button
            disabled={wanting}
            leftSection={<IconFileTypePdf size={18} />}
            onClick={() => void pdf().catch(notDone)}
          >
            PDF
          </Button>
          <Button
            variant="default"
            disabled={wanting}
            leftSection={<IconCopy size={18} />}
            onClick={() => void copy().catch(notDone)}
          >
            Copy as text
          </Button>
          <Button
            variant="default"
            disabled={wanting}
            leftSection={<IconPhoto size={18} />}
            onClick={() => void picture().catch(notDone)}
          >
            Picture
          </Button>
          <Button
            variant="default"
            disabled={wanting}
            leftSection={<IconCheck size={18} />}
            onClick={() => change({ kind: 'offer', offered: offeredOf(quote, asked) })}
          >
            Keep with the set
          </Button>
          {offered && (
            <p className={classes.soft} data-testid="offered">
              Offered on {dayWords(offered.on)}: {moneyWords(offered.total_cents, offered.currency)}
              {offered.currency === pricing.currency && offered.total_cents === asked.price.total_cents
                ? ', as it is now.'
                : `; now it would be ${moneyWords(asked.price.total_cents, pricing.currency)}.`}
            </p>
          )}
        </div>
      </div>
    </>
  );
}
