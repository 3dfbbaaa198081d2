import type { CookieOptions, Request, RequestHandler, Response } from 'express';
import type { PairedDevice } from '@ythrion/core';
import { NotSignedIn } from '../refusals/refusals';
import type { Devices } from './devices';

const COOKIE = 'ythrion_device';
const LASTS_MS = 400 * 86_400_000;
const OPTIONS: CookieOptions = { httpOnly: true, secure: true, sameSite: 'strict', path: '/' };

/** The device that a request comes from; null where none has signed in. */
export function deviceOf(request: Request, devices: Devices): PairedDevice | null {
  const secret = (request.get('Cookie') ?? '')
    .split(';')
    .map((part) => part.trim())
    .find((part) => part.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1);
  return secret === undefined ? null : devices.find(secret);
}

/** Lets only devices that signed in go on. @throws NotSignedIn */
export const signedInOnly =
  (devices: Devices): RequestHandler =>
  (request, response, next) => {
    const device = deviceOf(request, devices);
    if (device === null) throw new NotSignedIn('This device is not signed in to the studio.');
    // For a stream, which may be open when the device is sent away.
    response.locals.whenGone = (end: () => void) => devices.whenGone(device.id, end);
    next();
  };

/** From now on the device shows by a cookie who it is; no script of a page can read it. */
export const giveCookie = (response: Response, secret: string): Response =>
  response.cookie(COOKIE, secret, { ...OPTIONS, maxAge: LASTS_MS });

export const takeCookie = (response: Response): Response => response.clearCookie(COOKIE, OPTIONS);
