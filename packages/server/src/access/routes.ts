import { Router } from 'express';
import {
  ACCESS,
  FieldError,
  pairSchema,
  personSchema,
  signInSchema,
  type AccessResponse,
  type CodeResponse,
} from '@ythrion/core';
import { NotFound } from '../refusals/refusals';
import type { Codes } from './codes';
import type { Devices } from './devices';
import { isPassphrase } from './passphrase';
import { deviceOf, giveCookie, signedInOnly, takeCookie } from './signIn';
import type { Waits } from './waits';

/** What the door needs; shared by every way in. */
export interface Access {
  dataFolder: string;
  devices: Devices;
  codes: Codes;
  waits: Waits;
  /** Where a phone opens the studio: first the page that says how to trust it, then the studio; null without a network. */
  lan: { trustUrl: string; url: string } | null;
}

/**
 * Who may come in: signing in by passphrase or code, and the list of devices.
 * @param open true on this machine itself, where nobody signs in
 */
export function accessRoutes(access: Access, open: boolean): Router {
  const { dataFolder, devices, codes, waits } = access;
  const router = Router();
  router.get(ACCESS.self, (request, response) => {
    const device = open ? null : deviceOf(request, devices);
    const answer: AccessResponse = { open, signedIn: open || device !== null, device, lan: access.lan };
    response.json(answer);
  });
  router.post(ACCESS.signIn, async (request, response) => {
    const { passphrase, person, label } = signInSchema.parse(request.body);
    const who = request.socket.remoteAddress ?? '';
    waits.mayTry(who);
    // Counted before it is looked at: tries at once must not slip through together.
    waits.wrong(who);
    if (!(await isPassphrase(dataFolder, passphrase)))
      throw new FieldError('passphrase', 'That is not the studio’s passphrase.');
    waits.right(who);
    const { device, secret } = await devices.admit(person, label);
    giveCookie(response, secret).status(201).json(device);
  });
  router.post(ACCESS.pair, async (request, response) => {
    const { code, label } = pairSchema.parse(request.body);
    const who = request.socket.remoteAddress ?? '';
    waits.mayTry(who);
    const person = codes.use(code);
    if (person === null) {
      waits.wrong(who);
      throw new FieldError('code', 'That code is not open. Each is good once and for ten minutes.');
    }
    waits.right(who);
    const { device, secret } = await devices.admit(person, label);
    giveCookie(response, secret).status(201).json(device);
  });
  // From here on only who is in.
  if (!open) router.use('/api', signedInOnly(devices));
  router.post(ACCESS.signOut, async (request, response) => {
    const device = deviceOf(request, devices);
    if (device) await devices.revoke(device.id);
    takeCookie(response).json({ ok: true });
  });
  router.post(ACCESS.codes, (request, response) => {
    const { person } = personSchema.parse(request.body);
    const answer: CodeResponse = codes.make(person);
    response.status(201).json(answer);
  });
  router.get(ACCESS.devices, (_request, response) => void response.json(devices.list()));
  router.post(`${ACCESS.devices}/:id/revoke`, async (request, response) => {
    if (!devices.has(request.params.id)) throw new NotFound('There is no such device.');
    await devices.revoke(request.params.id);
    response.json(devices.list());
  });
  return router;
}
