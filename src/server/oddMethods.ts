import { Server, type IncomingMessage, type ServerResponse } from 'node:http';

/** What pages and routes answer to. */
const KNOWN = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];

/**
 * Methods that no request of the web platform may have (fetch standard, section 2.2.1: CONNECT, TRACE, TRACK) and such
 * as nobody knows are answered here with 405: further in they end in a stack trace on the server's console.
 */
export function refuseOddMethods(): void {
  const { emit } = Server.prototype;
  Server.prototype.emit = function (this: Server, event: string | symbol, ...args: unknown[]): boolean {
    const [request, response] = args as [IncomingMessage, ServerResponse];
    if (event !== 'request' || KNOWN.includes(request.method ?? ''))
      return Reflect.apply(emit, this, [event, ...args]) as boolean;
    const allow = request.url?.startsWith('/api/') ? 'POST' : 'GET, HEAD';
    response.writeHead(405, { Allow: allow, 'Content-Length': 0, Connection: 'close' }).end();
    return true;
  };
}
