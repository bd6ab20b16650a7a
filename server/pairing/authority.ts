import 'reflect-metadata';
import { createHash, randomBytes, webcrypto } from 'node:crypto';
import { chmod, mkdir, readFile } from 'node:fs/promises';
import { isIP } from 'node:net';
import { join } from 'node:path';
import * as x509 from '@peculiar/x509';
import writeFileAtomic from 'write-file-atomic';

x509.cryptoProvider.set(webcrypto as unknown as Crypto);

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const DAY_MS = 86_400_000;
const AUTHORITY_DAYS = 5 * 365;
/** Phones refuse certificates that are valid for longer than 398 days. */
const SERVER_DAYS = 397;
const RENEW_BEFORE_DAYS = 30;
/** Clocks of phones differ. */
const EARLIER_MS = DAY_MS;

interface Authority {
  readonly certificate: x509.X509Certificate;
  readonly key: CryptoKey;
}

/** What a secure listener needs, and what a phone compares before it trusts it. */
export interface ServerCertificate {
  readonly key: string;
  readonly cert: string;
  readonly authority: string;
  /** SHA-256 of the authority, pairs of hexadecimal digits. */
  readonly fingerprint: string;
}

const newKeys = (): Promise<CryptoKeyPair> =>
  webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']) as Promise<CryptoKeyPair>;
const keyPem = async (key: CryptoKey): Promise<string> =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
/** Positive, as certificates want it. */
const serial = (): string => `01${randomBytes(15).toString('hex')}`;
const span = (days: number, now: number) => ({
  notBefore: new Date(now - EARLIER_MS),
  notAfter: new Date(now + days * DAY_MS),
});

const makeAuthority = async (name: string, now: number): Promise<Authority> => {
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [{ CN: [`Dusk Slate on ${name}`] }],
    ...span(AUTHORITY_DAYS, now),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { certificate, key: keys.privateKey };
};

const storedAuthority = async (folder: string, now: number): Promise<Authority | null> => {
  try {
    const certificate = new x509.X509Certificate(await readFile(join(folder, 'authority.crt'), 'utf8'));
    const pem = await readFile(join(folder, 'authority.key'), 'utf8');
    const der = x509.PemConverter.decodeFirst(pem);
    const key = await webcrypto.subtle.importKey('pkcs8', der, ALGORITHM, true, ['sign']);
    return certificate.notAfter.getTime() - now > RENEW_BEFORE_DAYS * DAY_MS
      ? { certificate, key: key as CryptoKey }
      : null;
  } catch {
    return null;
  }
};

/**
 * The certificate authority of this installation: made on the first start and kept in the folder, its key readable by the owner
 * only. Made anew when it is about to run out, or cannot be read; phones then trust it again.
 */
const authorityIn = async (folder: string, name: string, now: number): Promise<Authority> => {
  const stored = await storedAuthority(folder, now);
  if (stored) return stored;
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const made = await makeAuthority(name, now);
  await writeFileAtomic(join(folder, 'authority.key'), await keyPem(made.key), { mode: 0o600 });
  await chmod(join(folder, 'authority.key'), 0o600);
  await writeFileAtomic(join(folder, 'authority.crt'), made.certificate.toString('pem'));
  return made;
};

/**
 * A certificate for the addresses and names under which this machine is reached just now. Its key stays in memory.
 * @param folder where the authority is kept
 * @param hosts addresses and host names
 */
export const certificateFor = async (
  folder: string,
  hosts: readonly string[],
  machine: string,
  now = Date.now(),
): Promise<ServerCertificate> => {
  const authority = await authorityIn(folder, machine, now);
  const keys = await newKeys();
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: ['Dusk Slate'] }],
    issuer: authority.certificate.subject,
    ...span(SERVER_DAYS, now),
    signingAlgorithm: ALGORITHM,
    signingKey: authority.key,
    publicKey: keys.publicKey,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        hosts.map((value) => ({ type: isIP(value) === 0 ? ('dns' as const) : ('ip' as const), value })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(authority.certificate),
    ],
  });
  const digest = createHash('sha256').update(Buffer.from(authority.certificate.rawData)).digest('hex');
  return {
    key: await keyPem(keys.privateKey),
    cert: certificate.toString('pem'),
    authority: authority.certificate.toString('pem'),
    fingerprint: digest.toUpperCase().replace(/..(?!$)/g, '$&:'),
  };
};
