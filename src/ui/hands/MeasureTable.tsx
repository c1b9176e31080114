'use client';
import { Button } from '@mantine/core';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { takesTip } from '@/core/document/nailContext';
import { inUnit, MEASURES, oddPlate, readMeasure, type Measure, type Unit } from '@/core/craft/measures';
import { tipWords } from '@/core/craft/tipFit';
import { tipsOf } from '@/core/judge/rules/tipSize';
import { upperFirst } from '@/core/model/letters';
import {
  fingerOf,
  groupWords,
  handNails,
  handOf,
  NAILS,
  digitOf,
  nailWords,
  type NailName,
} from '@/core/model/names';
import type { Plate } from '@/core/model/nail';
import { typicalNails } from '@/core/starter/hand';
import type { Caliper } from '@/devices/caliper';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './HandsView.module.css';

/** A field of the table: measures are taken nail by nail. */
interface Spot {
  nail: NailName;
  measure: Measure;
}

const ORDER: readonly Spot[] = NAILS.flatMap((nail) => MEASURES.map((measure) => ({ nail, measure })));
const idOf = ({ nail, measure }: Spot) => `measure-${nail}-${measure.key}`;

/** A measure that was taken at one of several chosen nails, and may be meant for all of them. */
interface ForAll {
  nails: NailName[];
  plate: Partial<Plate>;
}

interface Told {
  spot: string;
  words: string;
  fault: boolean;
}

/** Thirty measures in one flow: type, Enter, the next. */
export function MeasureTable({ unit, caliper, turned }: { unit: Unit; caliper: Caliper; turned: boolean }) {
  const set = useStudio((s) => s.set);
  const selected = useStudio((s) => s.selected);
  const store = useStudioStore();
  const [told, setTold] = useState<Told>();
  const [draft, setDraft] = useState<{ spot: string; text: string }>();
  const [row, setRow] = useState<Measure['key']>(MEASURES[0]!.key);
  const [forAll, setForAll] = useState<ForAll>();
  const last = useRef<Spot>(ORDER[0]!);
  const shown = turned ? [...NAILS].reverse() : NAILS;
  const typical = typicalNails(set.nails);
  const tips = tipsOf(set);
  const usesTips = NAILS.some((nail) => takesTip(set, set.nails[nail]));

  /** Keeps what was typed; false where it cannot be. */
  function commit(spot: Spot, text: string): boolean {
    const { nail, measure } = spot;
    const now = inUnit(store.getState().set.nails[nail].plate[measure.key], unit);
    setDraft(undefined);
    if (text.trim() === '' || text.trim().replace(',', '.') === String(now)) {
      // A doubt about it stays until something else is measured.
      setTold((before) => (before?.spot === idOf(spot) && before.fault ? undefined : before));
      return true;
    }
    const read = readMeasure(text, measure, unit);
    const where = `${upperFirst(nailWords(nail))}, ${measure.words.toLowerCase()}`;
    if (!read.ok) {
      setTold({ spot: idOf(spot), words: `${where}: ${read.faults[0]!.message}`, fault: true });
      setDraft({ spot: idOf(spot), text });
      return false;
    }
    store
      .getState()
      .change({ kind: 'measure', nails: [nail], plate: { [measure.key]: read.value.value_mm } });
    const several = selected.length > 1 && selected.includes(nail);
    setForAll(several ? { nails: selected, plate: { [measure.key]: read.value.value_mm } } : undefined);
    const plates = store.getState().set.nails;
    const odd = oddPlate(
      plates[nail].plate,
      handNails(handOf(nail)).map((one) => plates[one].plate),
    );
    const doubt = read.value.doubt ?? odd;
    setTold(doubt ? { spot: idOf(spot), words: `${where}: ${doubt}`, fault: false } : undefined);
    return true;
  }

  function goOn(spot: Spot): void {
    const next = ORDER[ORDER.findIndex((one) => idOf(one) === idOf(spot)) + 1];
    const field = document.getElementById(next ? idOf(next) : idOf(spot));
    if (next) field?.focus();
    else field?.blur();
  }

  /** The measure above or below, of the same nail. */
  function rowBeside({ nail, measure }: Spot, by: number): void {
    const next = MEASURES[MEASURES.indexOf(measure) + by];
    if (next) document.getElementById(idOf({ nail, measure: next }))?.focus();
  }

  const read = useEffectEvent((mm: number) => {
    const spot = last.current;
    if (commit(spot, String(inUnit(mm, unit)))) goOn(spot);
  });
  useEffect(() => caliper.onReading(read), [caliper]);

  return (
    <div className={classes.measures}>
      <table>
        <caption>Type a measure and press Enter: width, bed, arch, then the next nail.</caption>
        <thead>
          <tr>
            <td />
            {shown.map((nail) => (
              <th key={nail} scope="col" data-here={selected.includes(nail) || undefined}>
                <b>{digitOf(nail)}</b> {fingerOf(nail)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {MEASURES.map((measure) => (
            <tr key={measure.key}>
              <th scope="row" title={measure.how}>
                {measure.words}
              </th>
              {shown.map((nail) => {
                const spot: Spot = { nail, measure };
                const id = idOf(spot);
                const text =
                  draft?.spot === id ? draft.text : String(inUnit(set.nails[nail].plate[measure.key], unit));
                return (
                  <td key={nail} data-here={selected.includes(nail) || undefined}>
                    <input
                      id={id}
                      // One row is in the way of Tab; the arrows lead to the others.
                      tabIndex={measure.key === row ? 0 : -1}
                      inputMode="decimal"
                      autoComplete="off"
                      data-typical={typical.includes(nail) || undefined}
                      aria-label={`${upperFirst(nailWords(nail))}, ${measure.words.toLowerCase()}`}
                      aria-invalid={told?.spot === id && told.fault}
                      {...(told?.spot === id ? { 'aria-describedby': 'measure-told' } : {})}
                      value={text}
                      onFocus={(event) => {
                        last.current = spot;
                        setRow(measure.key);
                        event.currentTarget.select();
                        if (!selected.includes(nail)) store.getState().select([nail]);
                      }}
                      onChange={(event) => setDraft({ spot: id, text: event.currentTarget.value })}
                      onBlur={(event) => commit(spot, event.currentTarget.value)}
                      onKeyDown={(event) => {
                        if (event.key === 'Escape') {
                          setDraft(undefined);
                          setTold(undefined);
                        }
                        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
                          event.preventDefault();
                          rowBeside(spot, event.key === 'ArrowUp' ? -1 : 1);
                        }
                        if (event.key === 'Enter' && commit(spot, event.currentTarget.value)) goOn(spot);
                      }}
                    />
                  </td>
                );
              })}
            </tr>
          ))}
          {usesTips && (
            <tr>
              <th scope="row">Tip</th>
              {shown.map((nail) => {
                const fit = tips.fits.find((one) => one.nail === nail);
                const without = tips.without.includes(nail);
                return (
                  <td key={nail} className={classes.tip} title={fit ? tipWords(fit) : undefined}>
                    {fit && (
                      <>
                        <b>{fit.size}</b>
                        <small>{fit.spare_mm < 0.1 ? 'fits' : `file ${(fit.spare_mm / 2).toFixed(1)}`}</small>
                      </>
                    )}
                    {without && <b className={classes.none}>none</b>}
                  </td>
                );
              })}
            </tr>
          )}
        </tbody>
      </table>
      {typical.length > 0 && (
        <p className={classes.typical}>
          {typical.length === NAILS.length
            ? 'A typical hand: nothing is measured yet.'
            : `Measured: ${NAILS.length - typical.length} of ten nails; the others are typical.`}
        </p>
      )}
      {forAll && (
        <Button
          variant="default"
          className={classes.forAll}
          onClick={() => {
            store.getState().change({ kind: 'measure', ...forAll });
            setForAll(undefined);
          }}
        >
          Give it to {groupWords(forAll.nails)}
        </Button>
      )}
      <p id="measure-told" className={classes.told} data-fault={told?.fault || undefined} role="status">
        {told?.words ?? (usesTips ? 'Tips: size, and mm to file off each side.' : '')}
      </p>
    </div>
  );
}
