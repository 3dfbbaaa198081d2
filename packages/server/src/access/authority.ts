import 'reflect-metadata';
import { webcrypto, X509Certificate } from 'node:crypto';
import os from 'node:os';
import path from 'node:path';
import { AsnConvert } from '@peculiar/asn1-schema';
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';
import { accessFolder, readSecret, writeSecret } from './secretFile';

type CryptoKey = webcrypto.CryptoKey;

x509.cryptoProvider.set(webcrypto as never);

/** ECDSA on P-256 with SHA-256 (FIPS 186-5): every phone that can be trusted at all reads it. */
const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 3650;
/** Phones take no certificate of a machine that lasts longer than 398 days. */
const MACHINE_DAYS = 390;
const NAME_CONSTRAINTS = '2.5.29.30';

/** The studio's own authority: what a phone is asked to trust. */
export interface Authority {
  certificate: x509.X509Certificate;
  key: CryptoKey;
}

/** A key and certificate as an HTTPS server takes them. */
export interface MachineCertificate {
  key: string;
  /** The machine's, then the authority's. */
  cert: string;
}

/** The authority of a data folder; made the first time, and then the same for ten years. */
export async function authorityOf(dataFolder: string, now = Date.now()): Promise<Authority> {
  const keyFile = path.join(accessFolder(dataFolder), 'authority-key.pem');
  const file = path.join(accessFolder(dataFolder), 'authority.pem');
  const [key, text] = [await readSecret(keyFile), await readSecret(file)];
  if (key !== null && text !== null) {
    const certificate = new x509.X509Certificate(text);
    if (certificate.notAfter.getTime() > now + MACHINE_DAYS * DAY_MS)
      return { certificate, key: await privateKey(key) };
  }
  const made = await makeAuthority(now);
  await writeSecret(keyFile, await privateText(made.key));
  await writeSecret(file, made.certificate.toString('pem'));
  return made;
}

async function makeAuthority(now: number): Promise<Authority> {
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
  const name = `CN=Ythrion studio on ${os.hostname().replace(/[^A-Za-z0-9.-]/g, '')}`;
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name,
    notBefore: new Date(now - DAY_MS),
    notAfter: new Date(now + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      houseOnly(),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { certificate, key: keys.privateKey };
}

/**
 * A phone that trusts the authority trusts it for the addresses of houses and for names under `local` alone (RFC 5280,
 * 4.2.1.10): whoever steals its key can be no bank.
 */
function houseOnly(): x509.Extension {
  const network = (iPAddress: string): GeneralSubtree =>
    new GeneralSubtree({ base: new GeneralName({ iPAddress }) });
  const permitted = new GeneralSubtrees([
    ...['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', '127.0.0.0/8'].map(network),
    ...['local', 'localhost'].map((dNSName) => new GeneralSubtree({ base: new GeneralName({ dNSName }) })),
  ]);
  const value = AsnConvert.serialize(new NameConstraints({ permittedSubtrees: permitted }));
  return new x509.Extension(NAME_CONSTRAINTS, true, value);
}

/** A certificate for this machine under these addresses and names, made anew at each start; its key is never kept. */
export async function machineCertificate(
  { certificate, key }: Authority,
  addresses: readonly string[],
  names: readonly string[],
  now = Date.now(),
): Promise<MachineCertificate> {
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
  const made = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Ythrion studio',
    issuer: certificate.subject,
    notBefore: new Date(now - DAY_MS),
    notAfter: new Date(now + MACHINE_DAYS * DAY_MS),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey: key,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension([
        ...addresses.map((value) => ({ type: 'ip' as const, value })),
        ...names.map((value) => ({ type: 'dns' as const, value })),
      ]),
      await x509.AuthorityKeyIdentifierExtension.create(certificate.publicKey),
    ],
  });
  return {
    key: await privateText(keys.privateKey),
    cert: `${made.toString('pem')}\n${certificate.toString('pem')}\n`,
  };
}

/** The authority as a file that phones take: DER. */
export const derOf = ({ certificate }: Authority): Buffer => Buffer.from(certificate.rawData);

/** Its fingerprint, to be compared with what a phone shows: SHA-256. */
export const fingerprintOf = (authority: Authority): string =>
  new X509Certificate(derOf(authority)).fingerprint256;

const serial = (): string => Buffer.from(webcrypto.getRandomValues(new Uint8Array(15))).toString('hex');

async function privateText(key: CryptoKey): Promise<string> {
  const raw = await webcrypto.subtle.exportKey('pkcs8', key);
  return x509.PemConverter.encode(raw, 'PRIVATE KEY');
}

async function privateKey(text: string): Promise<CryptoKey> {
  const raw = x509.PemConverter.decodeFirst(text);
  return webcrypto.subtle.importKey('pkcs8', raw, ALGORITHM, false, ['sign']);
}
