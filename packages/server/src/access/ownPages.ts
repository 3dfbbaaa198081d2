import type { Request, RequestHandler } from 'express';
import { OWN_HEADER } from '@ythrion/core';
import { Forbidden } from '../refusals/refusals';

/**
 * Lets only this studio's own pages in, whoever asks and from where. A browser sends what a foreign page asks for along
 * with the cookies of this one, and a foreign name can be made to mean this machine's address: so the name asked for, the
 * page that asks and the way it does are looked at, and whatever changes something must be of a kind that a foreign page
 * cannot send without asking first.
 * @param hosts names and addresses by which this studio may be called, without ports, in lower case
 * @throws Forbidden
 */
export function ownPagesOnly(hosts: ReadonlySet<string>): RequestHandler {
  return (request, _response, next) => {
    if (!hosts.has(hostOf(request)))
      throw new Forbidden('This studio is not called by that name. Open it at the address it printed.');
    const origin = request.get('Origin');
    if (origin !== undefined && origin !== `${request.protocol}://${request.get('Host')}`)
      throw new Forbidden('Another page may not ask this studio for anything.');
    if (!isOwnFetch(request)) throw new Forbidden('Another page may not ask this studio for anything.');
    if (changes(request) && (request.get(OWN_HEADER) === undefined || !isOurs(request)))
      throw new Forbidden(
        `A change must be JSON or an archive, sent with the header ${OWN_HEADER}, so that no other page can make it.`,
      );
    next();
  };
}

/** The name that a request was sent to, in lower case, without its port. */
export function hostOf(request: Request): string {
  const host = (request.get('Host') ?? '').toLowerCase();
  return host.startsWith('[') ? host.slice(0, host.indexOf(']') + 1) : (host.split(':')[0] ?? '');
}

/** Whether the browser, where it says so, says that the request is one of our own pages' or that a page is just opened. */
function isOwnFetch(request: Request): boolean {
  const site = request.get('Sec-Fetch-Site');
  if (site === undefined || site === 'same-origin' || site === 'none') return true;
  return (
    request.method === 'GET' &&
    request.get('Sec-Fetch-Mode') === 'navigate' &&
    request.get('Sec-Fetch-Dest') === 'document' &&
    !request.path.startsWith('/api')
  );
}

/** Neither kind can be sent by a form of a foreign page. */
const isOurs = (request: Request): boolean =>
  request.get('Content-Length') === '0' || request.is(['json', 'zip']) !== false;

const changes = ({ method }: Request): boolean => method !== 'GET' && method !== 'HEAD';
