import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import path from 'node:path';
import type { PairedDevice } from '@ythrion/core';
import { accessFolder, readSecret, writeSecret } from './secretFile';

interface Kept extends PairedDevice {
  /** SHA-256 of the device's token; the token itself only the device has. */
  tokenHash: string;
}

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Devices that may use the studio over the network, each under the name of who uses it. */
export class Devices {
  private readonly leaving = new Map<string, Set<() => void>>();

  private constructor(
    private readonly file: string,
    private kept: Kept[],
  ) {}

  static async open(dataFolder: string): Promise<Devices> {
    const file = path.join(accessFolder(dataFolder), 'devices.json');
    return new Devices(file, JSON.parse((await readSecret(file)) ?? '[]') as Kept[]);
  }

  list(): PairedDevice[] {
    return this.kept.map(({ tokenHash: _, ...device }) => device);
  }

  /** Takes a device in. Gives what it must show from now on: its id and its token. */
  async admit(person: string, label: string): Promise<{ device: PairedDevice; secret: string }> {
    const token = randomBytes(32).toString('base64url');
    const device: PairedDevice = {
      id: randomBytes(9).toString('base64url'),
      person,
      label,
      pairedAt: new Date().toISOString(),
    };
    this.kept = [...this.kept, { ...device, tokenHash: hashOf(token) }];
    await this.keep();
    return { device, secret: `${device.id}.${token}` };
  }

  /** The device that shows this secret; null when none does, or not any more. */
  find(secret: string): PairedDevice | null {
    const [id = '', token = ''] = secret.split('.');
    const found = this.kept.find((one) => one.id === id);
    if (!found || !timingSafeEqual(Buffer.from(hashOf(token)), Buffer.from(found.tokenHash))) return null;
    const { tokenHash: _, ...device } = found;
    return device;
  }

  /** Whether a device may still come in. */
  has(id: string): boolean {
    return this.kept.some((device) => device.id === id);
  }

  /** From now on it may not; what it has open ends. */
  async revoke(id: string): Promise<void> {
    this.kept = this.kept.filter((device) => device.id !== id);
    for (const end of this.leaving.get(id) ?? []) end();
    await this.keep();
  }

  /** Calls back when a device may not come in any more. Returns what stops that. */
  whenGone(id: string, end: () => void): () => void {
    const ends = this.leaving.get(id) ?? new Set();
    this.leaving.set(id, ends.add(end));
    return () => void ends.delete(end);
  }

  private keep(): Promise<void> {
    return writeSecret(this.file, JSON.stringify(this.kept, null, 1));
  }
}
