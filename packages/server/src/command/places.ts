import os from 'node:os';
import path from 'node:path';

export const DEFAULT_PORT = 4780;

/** Where the user's own studio is kept unless YTHRION_DATA says otherwise. */
export function dataFolder(): string {
  return path.resolve(process.env.YTHRION_DATA || path.join(os.homedir(), '.ythrion'));
}

/** A wrong setting, in a sentence. */
export class SettingError extends Error {
  override readonly name = 'SettingError';
}

/** The port to listen on. @throws SettingError when PORT is not one */
export function port(): number {
  const asked = process.env.PORT;
  if (asked === undefined || asked === '') return DEFAULT_PORT;
  const number = Number(asked);
  if (!Number.isInteger(number) || number < 0 || number > 65535)
    throw new SettingError(`PORT must be a whole number from 0 to 65535, not “${asked}”.`);
  return number;
}

/**
 * Without a sign-in the studio listens to this machine alone.
 * @throws SettingError where HOST, which once opened it to whoever asked, says otherwise
 */
export function loopbackOnly(): void {
  const asked = process.env.HOST;
  if (asked && asked !== '127.0.0.1' && asked !== 'localhost')
    throw new SettingError(
      'HOST opens the studio no more, for anybody could write to it. Start with --lan: devices sign in then.',
    );
}
