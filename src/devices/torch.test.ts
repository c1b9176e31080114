import { simulatedTorch, type TorchSign } from './torch';

describe('the torch that ships', () => {
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

  it('shines its time and says when it is over; lit anew it begins anew', () => {
    const torch = simulatedTorch(1, () => now_ms);
    const said: TorchSign[] = [];
    const off = torch.onSign((sign) => said.push(sign));
    torch.shine(10);
    pass(4000);
    expect(torch.remaining_s()).toBe(6);
    torch.shine(10);
    pass(9000);
    expect(said.filter(({ kind }) => kind === 'ended')).toEqual([]);
    pass(1000);
    off();
    torch.shine(1);
    expect(said.map(({ kind }) => kind)).toEqual(['on', 'on', 'ended']);
  });

  it('that goes out says what it gave, and nothing where it is off; in a practice run it is as much quicker', () => {
    const torch = simulatedTorch(20, () => now_ms);
    const said: TorchSign[] = [];
    torch.onSign((sign) => said.push(sign));
    torch.goOut();
    torch.shine(40);
    pass(1000);
    torch.goOut();
    expect(said).toEqual([
      { kind: 'on', seconds: 40 },
      { kind: 'lost', given_s: 20 },
    ]);
    expect(torch.remaining_s()).toBe(0);
  });
});
