import { once } from './once';

describe('once', () => {
  it('a quick second press does nothing, neither while the first works nor just after', async () => {
    let made = 0;
    let finish: () => void = () => undefined;
    const work = () => {
      made += 1;
      return new Promise<void>((done) => (finish = done));
    };
    const first = once('a set', work);
    await once('a set', work);
    expect(made).toBe(1);
    finish();
    await first;
    await once('a set', work);
    expect(made).toBe(1);
  });

  it('another thing is made beside it, and the same again later', async () => {
    let now = 0;
    const clock = jest.spyOn(performance, 'now').mockImplementation(() => now);
    let made = 0;
    const work = () => (made += 1);
    await once('a copy of A', work);
    await once('a copy of B', work);
    now = 1000;
    await once('a copy of A', work);
    expect(made).toBe(3);
    clock.mockRestore();
  });

  it('what fails is told, and can be tried again', async () => {
    let now = 0;
    const clock = jest.spyOn(performance, 'now').mockImplementation(() => now);
    await expect(once('fails', () => Promise.reject(new Error('full')))).rejects.toThrow('full');
    now = 1000;
    let tried = false;
    await once('fails', () => (tried = true));
    expect(tried).toBe(true);
    clock.mockRestore();
  });
});
