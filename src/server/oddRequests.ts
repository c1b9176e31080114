import { Server, type IncomingMessage, type ServerResponse } from 'node:http';
import { ANSWERS_POLICY, HEADERS } from './headers';

const PLANS = '/api/';
/** What the plan route is asked by, so that it can say which method it has. */
const KNOWN_TO_PLANS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];
const OF_PAGES = ['GET', 'HEAD'];

interface Refusal {
  status: 400 | 405;
  words: string;
  allow?: string;
}

/**
 * What is wrong with a request before anything is asked of it: a malformed address, or a method that what it leads to
 * does not have, among them those that no request of the web platform may have (fetch standard, section 2.2.1).
 */
export function refusalOf({
  url = '/',
  method = '',
}: Pick<IncomingMessage, 'url' | 'method'>): Refusal | undefined {
  const path = url.split('?')[0]!;
  try {
    decodeURIComponent(path);
  } catch {
    return { status: 400, words: 'The address is malformed.' };
  }
  const ofPlans = path.startsWith(PLANS);
  if ((ofPlans ? KNOWN_TO_PLANS : OF_PAGES).includes(method)) return undefined;
  const allow = ofPlans ? 'POST' : OF_PAGES.join(', ');
  return { status: 405, words: `This address is asked by ${allow}.`, allow };
}

/** Answers such requests before the framework meets them: further in they end in a stack trace on the console. */
export function refuseOddRequests(): void {
  const { emit } = Server.prototype;
  Server.prototype.emit = function (this: Server, event: string | symbol, ...args: unknown[]): boolean {
    const [request, response] = args as [IncomingMessage, ServerResponse];
    const refusal = event === 'request' ? refusalOf(request) : undefined;
    if (!refusal) return Reflect.apply(emit, this, [event, ...args]) as boolean;
    response
      .writeHead(refusal.status, {
        ...HEADERS,
        'Content-Security-Policy': ANSWERS_POLICY,
        'Content-Type': 'text/plain; charset=utf-8',
        Connection: 'close',
        ...(refusal.allow ? { Allow: refusal.allow } : {}),
      })
      .end(request.method === 'HEAD' ? undefined : `${refusal.words}\n`);
    return true;
  };
}
