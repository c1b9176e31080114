'use client';
import { useElementSize } from '@mantine/hooks';
import type { SetDocument } from '@/core/document/document';
import { lowerFirst, upperFirst } from '@/core/model/letters';
import { HANDS, type Hand, type NailName } from '@/core/model/names';
import { momentAt, type Moment } from '@/core/timing/moment';
import { whoseWords, type Round } from '@/core/timing/rounds';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { FINENESS, usePictures } from '../kit/usePictures';
import { clockWords } from '@/core/model/times';
import { handWords } from '../kit/words';
import classes from './TimingView.module.css';

const MOST_PX_PER_MM = 4.6;

/** The table at one moment: the nails under the artist's hands, and the hand that lies in the lamp. */
export function AtTheMoment({
  set,
  rounds,
  worked,
  at_s,
}: {
  set: SetDocument;
  rounds: readonly Round[];
  worked: readonly NailName[];
  at_s: number;
}) {
  const { ref, width } = useElementSize();
  const px_per_mm = spreadScale(set, width || 340, MOST_PX_PER_MM);
  const pictures = usePictures(set, px_per_mm * FINENESS);
  const moment = momentAt(rounds, at_s);
  return (
    <section className={classes.moment} aria-label={`On the table at ${clockWords(at_s)}`}>
      <h2>On the table at {clockWords(at_s)}</h2>
      <div ref={ref} className={classes.tableTop}>
        <div className={classes.lamps}>
          {HANDS.map((hand) => (
            <div key={hand} className={classes.lampPlace}>
              {lightOn(moment, hand) && (
                <div className={classes.lamp}>lamp, {lightOn(moment, hand)!.seconds} s</div>
              )}
            </div>
          ))}
        </div>
        <HandsSpread
          set={set}
          pictures={pictures}
          px_per_mm={px_per_mm}
          around={({ name }, picture) => (
            <div className={classes.atNail} data-state={stateOf(moment, name)}>
              {picture}
            </div>
          )}
        />
      </div>
      <Told moment={moment} worked={worked} />
    </section>
  );
}

/** What the artist does now and why, and what lies in the light. */
function Told({ moment, worked }: { moment: Moment; worked: readonly NailName[] }) {
  const { artist, next } = moment;
  const whose = (round: Round) => `${handWords(round.hand)}${whoseWords(round.nails, worked)}`;
  const lit = HANDS.flatMap((hand) => (lightOn(moment, hand) ? [moment.hands[hand]!] : []));
  return (
    <div className={classes.told} data-testid="moment">
      {artist ? (
        <>
          <p>
            <b>{upperFirst(whose(artist))}:</b> {lowerFirst(artist.words)}
          </p>
          <p className={classes.soft}>{artist.reason}</p>
          {artist.caution && <p className={classes.caution}>Caution: {artist.caution}</p>}
        </>
      ) : (
        <p>
          <b>Nothing to do</b>
          {next && `; next, ${whose(next)}: ${lowerFirst(next.words)}`}
        </p>
      )}
      {[...new Set(lit)].map((round) => (
        <p key={round.number} className={classes.light}>
          {upperFirst(whose(round))}: {round.words.endsWith('inside the tip') && 'tips '}in the lamp,{' '}
          {round.light?.seconds} s
        </p>
      ))}
    </div>
  );
}

/** The light that shines on a hand. */
function lightOn(moment: Moment, hand: Hand): Round['light'] {
  const round = moment.hands[hand];
  return round?.kind === 'load' ? round.light : undefined;
}

function stateOf(moment: Moment, name: NailName): 'worked' | 'lit' | 'waits' {
  if (moment.artist?.nails.includes(name)) return 'worked';
  const lit = HANDS.some((hand) => lightOn(moment, hand) && moment.hands[hand]!.nails.includes(name));
  return lit ? 'lit' : 'waits';
}
