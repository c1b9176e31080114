import { simulatedLamp, type LampSign } from './lamp';
import { simulatedPedal } from './pedal';

describe('the lamp that ships', () => {
  let now_ms = 0;
  beforeEach(() => {
    jest.useFakeTimers();
    now_ms = 0;
  });
  afterEach(() => jest.useRealTimers());
  const pass = (ms: number) => {
    now_ms += ms;
    jest.advanceTimersByTime(ms);
  };
  const lit = (speed = 1) => {
    const lamp = simulatedLamp(speed, () => now_ms);
    const said: LampSign[] = [];
    const off = lamp.onSign((sign) => said.push(sign));
    return { lamp, said, off };
  };

  it('shines for as long as it is told, and says so', () => {
    const { lamp, said } = lit();
    lamp.start(60);
    pass(20_000);
    expect(lamp.remaining_s()).toBe(40);
    pass(40_000);
    expect(said).toEqual([
      { kind: 'started', seconds: 60 },
      { kind: 'ended', given_s: 60 },
    ]);
    expect(lamp.remaining_s()).toBe(0);
  });

  it('stops at its door and by a fault, with what it gave', () => {
    const { lamp, said } = lit();
    lamp.start(60);
    pass(23_000);
    lamp.openDoor();
    lamp.start(30);
    pass(5000);
    lamp.fail();
    // Nothing is on: nothing is said.
    lamp.openDoor();
    pass(100_000);
    expect(said.filter(({ kind }) => kind !== 'started')).toEqual([
      { kind: 'stopped', why: 'door', given_s: 23 },
      { kind: 'stopped', why: 'fault', given_s: 5 },
    ]);
  });

  it('runs quicker in a practice run, and is heard no more by who has left', () => {
    const { lamp, said, off } = lit(20);
    lamp.start(60);
    pass(3000);
    expect(said.at(-1)).toEqual({ kind: 'ended', given_s: 60 });
    off();
    lamp.start(10);
    expect(said).toHaveLength(2);
  });
});

it('the pedal that ships is heard by all who listen', () => {
  const pedal = simulatedPedal();
  let pressed = 0;
  const off = pedal.onPress(() => (pressed += 1));
  pedal.send();
  off();
  pedal.send();
  expect(pressed).toBe(1);
});
