import { refusalOf } from './oddRequests';

const status = (method: string, url: string) => refusalOf({ method, url })?.status;

describe('odd requests', () => {
  it('a malformed address is one, wherever it leads', () => {
    for (const url of ['/%E0%A4%A', '/set/%', '/api/%ff', '/%c3%28?x=1'])
      expect(status('GET', url)).toBe(400);
    for (const url of ['/', '/set/caf%C3%A9/design', '/?q=%', '/set/%2e%2e/design', '*'])
      expect(status('GET', url)).toBeUndefined();
  });

  it('pages are read and nothing else; the plan route says itself what it has', () => {
    for (const method of ['POST', 'PUT', 'DELETE', 'OPTIONS', 'TRACE', 'PROPFIND', ''])
      expect(refusalOf({ method, url: '/set/matinee/design' })).toMatchObject({
        status: 405,
        allow: 'GET, HEAD',
      });
    for (const method of ['POST', 'PUT', 'DELETE', 'OPTIONS', 'GET'])
      expect(status(method, '/api/plan')).toBeUndefined();
    expect(refusalOf({ method: 'TRACE', url: '/api/plan' })).toMatchObject({ status: 405, allow: 'POST' });
  });
});
