import { simulatedCaliper } from './caliper';

describe('the simulated caliper', () => {
  it('sends what it reads to who listens, to a hundredth, until they stop', () => {
    const caliper = simulatedCaliper();
    const [one, other]: number[][] = [[], []];
    const stop = caliper.onReading((mm) => one!.push(mm));
    caliper.onReading((mm) => other!.push(mm));
    caliper.send(11.4567);
    stop();
    caliper.send(9);
    expect(one).toEqual([11.46]);
    expect(other).toEqual([11.46, 9]);
  });
});
