import { momentWords } from '../kit/words';
import { passHand, passWords, type CardLine, type CardPass } from '@/core/timing/card';
import { timeWords, waitWords } from '@/core/model/times';
import classes from './CardView.module.css';

interface Props {
  card: readonly CardPass[];
  /** When the first work begins, where that is known. */
  begins: Date | undefined;
  isTicked: (pass: string) => boolean;
  tick: (pass: string) => void;
}

/** The sitting in passes: each with its heading, what is done line by line, and the light. */
export function CardPasses({ card, begins, isTicked, tick }: Props) {
  return (
    <ol className={classes.passes} aria-label="In order">
      {card.map((pass) => {
        const { id, number, hand, title, start_s, work_s, lines, cautioned } = pass;
        const at = momentWords(begins, start_s);
        return (
          <li key={number} className={classes.pass} data-hand={hand} data-ticked={isTicked(id) || undefined}>
            <label className={classes.passHead}>
              <span className={classes.box}>
                <input
                  type="checkbox"
                  checked={isTicked(id)}
                  onChange={() => tick(id)}
                  aria-label={`Done: ${passWords(hand, title)}, ${at}`}
                />
              </span>
              <span className={classes.at}>{at}</span>
              <span className={classes.title}>
                <b>{passHand(hand)}</b> · {title}
                {cautioned && (
                  <span
                    className={classes.cautioned}
                    role="img"
                    aria-label="Caution as before"
                    title="Caution as before"
                  >
                    {' '}
                    △
                  </span>
                )}
              </span>
              <span className={classes.takes}>{timeWords(work_s)}</span>
            </label>
            <ul>
              {lines.map((line, i) => (
                <Line key={i} line={line} begins={begins} />
              ))}
            </ul>
          </li>
        );
      })}
    </ol>
  );
}

function Line({ line, begins }: { line: CardLine; begins: Date | undefined }) {
  const { kind, start_s, later, nails, words, light, wait_s, map, within, caution } = line;
  return (
    <li className={classes.line} data-kind={kind}>
      <b className={classes.whose}>{nails}</b>
      <span>
        {kind === 'lamp' ? 'into the lamp' : words}
        {light && (
          <span className={classes.light}>
            {', '}
            {light.mode} {light.seconds} s{light.each && ' each'}
            {light.held && ', held'}
          </span>
        )}
        {kind === 'lamp' && words && `, ${words}`}
        {later && <span className={classes.clock}> at {momentWords(begins, start_s)}</span>}
        {wait_s !== undefined && (
          <span className={classes.rest}>
            {kind === 'wait' ? ', ' : ' – rests '}
            {waitWords(wait_s)}
          </span>
        )}
        {map && <span className={classes.rest}> – map {map}</span>}
        {within && <span className={classes.rest}> – {within}</span>}
        {caution && <small className={classes.caution}>△ {caution}</small>}
      </span>
    </li>
  );
}
