'use client';
import { Button } from '@mantine/core';
import { IconCheck, IconDownload } from '@tabler/icons-react';
import { useLocalStorage } from '@mantine/hooks';
import { useMemo, useState, type ReactNode } from 'react';
import type { SetDocument } from '@/core/document/document';
import { tipWords } from '@/core/craft/tipFit';
import { tipsOf } from '@/core/judge/rules/tipSize';
import { appointmentWords } from '@/core/model/appointment';
import { dayWords, today as isoToday } from '@/core/model/days';
import type { Product } from '@/core/model/product';
import { lowerFirst, upperFirst } from '@/core/model/letters';
import { NAILS, nailWords } from '@/core/model/names';
import { nailMaps } from '@/core/picture/nailMap';
import { mustEndAt, workBeginsAt } from '@/core/plan/appointed';
import { countedOut, type CountedOut } from '@/core/plan/countedOut';
import { measuredOut, type MeasuredOut } from '@/core/plan/measuredOut';
import { inOrderOfUse } from '@/core/plan/inOrderOfUse';
import type { Plan } from '@/core/plan/planSet';
import type { Stock } from '@/core/stock/held';
import { suppliesNow } from '@/core/stock/now';
import { pastOf } from '@/core/stock/pastDate';
import { cardOf } from '@/core/timing/card';
import { useRuledOut } from '../clients/useRuledOut';
import { downloadText, fileName } from '../kit/download';
import { HandsSpread } from '../kit/HandsSpread';
import { MapOf } from '../kit/MapOf';
import { FINENESS, usePictures } from '../kit/usePictures';
import { timeWords } from '@/core/model/times';
import { countWords, hourWords } from '../kit/words';
import { useStock } from '../shelf/useStock';
import { NoPlan } from '../studio/NoPlan';
import { useStudio } from '../studio/studio';
import { CardPasses } from './CardPasses';
import { ClientSheet } from './ClientSheet';
import { HelperList } from './HelperList';
import { PrintButton } from './PrintButton';
import { SheetChoice, type SheetName } from './SheetChoice';
import classes from './CardView.module.css';

const PICTURE_PX_PER_MM = 3.2;

/** The sheet to work from: every pass in the order of the sitting, the nails, their maps and the products. */
export function CardView() {
  const set = useStudio((s) => s.set);
  const plan = useStudio((s) => s.plan);
  const [sheet, setSheet] = useState<SheetName>('card');
  if (!plan) return <NoPlan />;
  const choice = <SheetChoice value={sheet} onChange={setSheet} />;
  if (sheet === 'client') return <ClientSheet set={set} plan={plan} choice={choice} />;
  if (sheet === 'helper') return <HelperList set={set} plan={plan} choice={choice} />;
  return <Sheet set={set} plan={plan} choice={choice} />;
}

function Sheet({ set, plan, choice }: { set: SetDocument; plan: Plan; choice: ReactNode }) {
  // An old card is not to be worked from.
  const fresh = useStudio((s) => s.planning === 'fresh');
  const searched = useStudio((s) => s.searched);
  const searchFailed = useStudio((s) => s.searchFailed);
  const { client, ruledOut } = useRuledOut();
  const [today] = useState(() => TODAY.format(new Date()));
  const { isTicked, tick } = useTicks(set.id);
  const worked = NAILS.filter((name) => set.nails[name].in_work);
  const operations = NAILS.flatMap((name) => plan.operations[name]);
  const begins = workBeginsAt(set.appointment, plan.ahead_s);
  const ends = mustEndAt(set.appointment);
  const { maps, numbers } = useMemo(() => nailMaps(set, plan.operations), [set, plan]);
  const card = cardOf(plan.passes, worked, plan.windows, numbers);
  const products = inOrderOfUse(plan.rounds, operations, set.kit.products);
  const { stock } = useStock();
  const counted = countedOut(operations, stock ? suppliesNow(stock) : []);
  const past = pastDates(products, stock, set.appointment?.on);
  const measured = useMemo(() => measuredOut(set, plan.operations), [set, plan]);
  const pictures = usePictures(set, PICTURE_PX_PER_MM * FINENESS);
  const change = useStudio((s) => s.change);
  /** A set is begun with the first pass that is ticked off its card, and done with the last. */
  function ticked(pass: string) {
    const done = tick(pass);
    const open = card.filter((one) => !done.includes(one.id)).length;
    const state = open === 0 ? 'done' : open === card.length ? 'planned' : 'begun';
    if (state !== set.state) change({ kind: 'state', state });
  }
  const loads = useMemo(() => plan.rounds.filter((round) => round.kind === 'load').length, [plan]);
  return (
    <div
      className={classes.scroll}
      data-stale={!fresh || undefined}
      tabIndex={0}
      role="region"
      aria-label="Bench card"
    >
      {choice}
      <article className={classes.card}>
        <header className={classes.head}>
          <div>
            <h2>{set.title}</h2>
            <p>
              {client ? `${client.name} · ` : ''}
              {set.appointment ? upperFirst(appointmentWords(set.appointment)) : today}
              {set.appointment?.late_min ? `, ${set.appointment.late_min} minutes late` : ''}
              {ends ? `, over by ${hourWords(ends)}` : ''}
              <br />
              {timeWords(plan.sitting.total_s)}, between {timeWords(plan.sitting.low_s)} and{' '}
              {timeWords(plan.sitting.high_s)}
              {plan.ahead_s > 0 && `, ${timeWords(plan.ahead_s)} of it before she comes`}
              <br />
              {card.length} passes, {loads} lamp loads · {countWords(plan.findings)}
              {set.practice.wearer === 'client' && (
                <>
                  <br />
                  Into the lamp: the client moves, you work on.
                </>
              )}
              {client?.sensitivities && (
                <>
                  <br />
                  <b>
                    Not on these hands: {client.sensitivities}
                    {ruledOut.map(({ product }) => ` · ${product.name} is in this plan`)}
                  </b>
                </>
              )}
            </p>
          </div>
          <div className={classes.hands}>
            <HandsSpread set={set} pictures={pictures} px_per_mm={PICTURE_PX_PER_MM} />
          </div>
          <div className={classes.actions}>
            <PrintButton />
            <Button
              variant="default"
              leftSection={<IconDownload size={18} />}
              disabled={!fresh}
              loading={fresh && searched < 1 && !searchFailed}
              onClick={() =>
                downloadText(`${fileName(set.title)}, plan.json`, `${JSON.stringify(plan, null, 2)}\n`)
              }
            >
              Plan as file
            </Button>
            <Button
              variant="default"
              leftSection={<IconCheck size={18} />}
              onClick={() => change({ kind: 'state', state: set.state === 'done' ? 'planned' : 'done' })}
            >
              {set.state === 'done' ? 'Not done yet' : 'Done'}
            </Button>
          </div>
        </header>
        <section className={classes.table}>
          <h3>On the table, in order of use</h3>
          <ol className={classes.products}>
            {products.map((product) => (
              <li key={product.id}>
                {upperFirst(product.name)}
                {past.has(product.id) && <b> · past its date, {past.get(product.id)}</b>}
              </li>
            ))}
          </ol>
          <TipsList set={set} />
          <CountedList counted={counted} measured={measured} />
        </section>
        <CardPasses card={card} begins={begins} isTicked={isTicked} tick={ticked} />
        <section className={classes.foot}>
          {maps.length > 0 && (
            <div>
              <h3>Where it lies, in mm</h3>
              <div className={classes.maps}>
                {maps.map((map) => (
                  <MapOf key={map.nail} map={map} same={map.same} />
                ))}
              </div>
            </div>
          )}
          <p>△ The caution said for such work before holds here too.</p>
          <p>Follow each product’s directions, your local code and your licence; they go before this card.</p>
        </section>
      </article>
    </div>
  );
}

/** Products that are no longer good on the day, each with the last day it was. */
function pastDates(
  products: readonly Product[],
  stock: Stock | undefined,
  on = isoToday(),
): ReadonlyMap<string, string> {
  const used = new Set(products.map(({ id }) => id));
  return new Map(
    (stock?.shelf ?? []).flatMap((item) => {
      const past = used.has(item.product.id) ? pastOf(item, on) : undefined;
      return past?.gone ? [[item.product.id, dayWords(past.good_until)] as const] : [];
    }),
  );
}

/** Stones, pieces and charms, grains and sheets to lay out before the client comes, and where the shelf runs short. */
function CountedList({
  counted,
  measured,
}: {
  counted: readonly CountedOut[];
  measured: readonly MeasuredOut[];
}) {
  if (counted.length + measured.length === 0) return null;
  return (
    <>
      <h3>Counted out</h3>
      <ul className={classes.products}>
        {counted.map((one) => (
          <li key={`${one.words} ${one.colour}`}>
            <span className={classes.dot} style={{ background: one.colour }} aria-hidden />
            {one.said} {one.words}
            {one.left !== undefined && one.left < one.count && <b> · {one.left} left on the shelf</b>}
          </li>
        ))}
        {measured.map((one) => (
          <li key={`${one.words} ${one.colour}`}>
            <span className={classes.dot} style={{ background: one.colour }} aria-hidden />
            {one.said} {one.words}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Which ready tip goes on which nail, and what is filed off it before. */
function TipsList({ set }: { set: SetDocument }) {
  const fits = useMemo(() => tipsOf(set).fits, [set]);
  if (fits.length === 0) return null;
  const boxes = new Set(fits.map((one) => one.box.id));
  return (
    <>
      <h3>Tips</h3>
      <ul className={classes.tips}>
        {fits.map((fit) => (
          <li key={fit.nail}>
            <b>{upperFirst(nailWords(fit.nail))}</b> {lowerFirst(tipWords(fit))}
            {boxes.size > 1 && ` · ${fit.box.name}`}
          </li>
        ))}
      </ul>
    </>
  );
}

const TODAY = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long' });

/** Passes that are done, kept in this browser until they are taken back. */
function useTicks(set: string) {
  const [ticked, setTicked] = useLocalStorage<string[]>({ key: `ticked ${set}`, defaultValue: [] });
  return {
    isTicked: (id: string) => ticked.includes(id),
    /** What is ticked then. */
    tick: (id: string): string[] => {
      const next = ticked.includes(id) ? ticked.filter((one) => one !== id) : [...ticked, id];
      setTicked(next);
      return next;
    },
  };
}
