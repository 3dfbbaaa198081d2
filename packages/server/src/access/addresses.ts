import os from 'node:os';

/** Names by which a machine calls itself. */
export const LOOPBACK: readonly string[] = ['localhost', '127.0.0.1', '[::1]'];

/** Ranges that no address outside a house's own network has (RFC 1918, RFC 3927). */
const PRIVATE = /^(10\.|192\.168\.|172\.(1[6-9]|2\d|3[01])\.|169\.254\.)/;

/** This machine's addresses on the studio's own network, IPv4. */
export const lanAddresses = (interfaces = os.networkInterfaces()): string[] =>
  Object.values(interfaces)
    .flatMap((list) => list ?? [])
    .filter(({ family, internal, address }) => family === 'IPv4' && !internal && PRIVATE.test(address))
    .map(({ address }) => address);

/** Names by which others on the network may call this machine, in lower case. */
export function lanNames(name = os.hostname()): string[] {
  const [plain = ''] = name.toLowerCase().split('.');
  return /^[a-z0-9-]+$/.test(plain) ? [plain, `${plain}.local`] : [];
}
