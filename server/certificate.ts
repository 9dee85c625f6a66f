import { X509Certificate, webcrypto } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import 'reflect-metadata';
import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  NameConstraints,
  id_ce_nameConstraints,
} from '@peculiar/asn1-x509';
import {
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  Extension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  X509CertificateGenerator,
} from '@peculiar/x509';
import { type Certificate, ownAddresses } from './listen';

const DAYS = 825;
const DAY_MS = 86_400_000;
const NAME = 'localhost';
const KEYS = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;

/** What is served, and the certificate that devices may trust for it. */
export interface Trusted extends Certificate {
  readonly root: string;
}

/** Still good tomorrow, for every address of this machine, and unable to sign for any other? */
function isGood(cert: string, addresses: readonly string[]): boolean {
  const found = new X509Certificate(cert);
  return (
    !found.ca &&
    Date.parse(found.validTo) > Date.now() + DAY_MS &&
    addresses.every((address) => found.checkIP(address) !== undefined)
  );
}

/** Whatever is signed under it counts for these addresses and for this name alone. */
function onlyFor(addresses: readonly string[]): Extension {
  const names = [
    ...addresses.map((address) => new GeneralName({ iPAddress: `${address}/32` })),
    new GeneralName({ dNSName: NAME }),
  ];
  const permittedSubtrees = new GeneralSubtrees(names.map((base) => new GeneralSubtree({ base })));
  return new Extension(id_ce_nameConstraints, true, AsnConvert.serialize(new NameConstraints({ permittedSubtrees })));
}

/**
 * A root for these addresses alone, and the leaf that it signs. Its key is never written, and is gone once it has signed: whoever trusts the
 * root trusts this one leaf.
 */
async function made(addresses: readonly string[]): Promise<Trusted> {
  const [rootKeys, keys] = await Promise.all(
    [0, 1].map(() => webcrypto.subtle.generateKey(KEYS, true, ['sign', 'verify']) as Promise<webcrypto.CryptoKeyPair>),
  );
  const dates = { notBefore: new Date(Date.now() - DAY_MS), notAfter: new Date(Date.now() + DAYS * DAY_MS) };
  const issuer = 'CN=Esmero on this network';
  const root = await X509CertificateGenerator.createSelfSigned({
    ...dates,
    name: issuer,
    keys: rootKeys!,
    signingAlgorithm: KEYS,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign, true),
      onlyFor(addresses),
    ],
  });
  const leaf = await X509CertificateGenerator.create({
    ...dates,
    subject: 'CN=Esmero',
    issuer,
    publicKey: keys!.publicKey,
    signingKey: rootKeys!.privateKey,
    signingAlgorithm: KEYS,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension([
        { type: 'dns', value: NAME },
        ...addresses.map((value) => ({ type: 'ip' as const, value })),
      ]),
    ],
  });
  const key = PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', keys!.privateKey), 'PRIVATE KEY');
  return { key, cert: leaf.toString('pem'), root: root.toString('pem') };
}

/** A certificate of this machine’s own for its names and addresses; kept, so that it has to be trusted only once. */
export async function certificateIn(folder: string): Promise<Trusted> {
  const files = {
    key: join(folder, 'esmero.key'),
    cert: join(folder, 'esmero-leaf.crt'),
    root: join(folder, 'esmero.crt'),
  };
  const addresses = ['127.0.0.1', ...ownAddresses()];
  if (Object.values(files).every((file) => existsSync(file))) {
    const kept = {
      key: readFileSync(files.key, 'utf8'),
      cert: readFileSync(files.cert, 'utf8'),
      root: readFileSync(files.root, 'utf8'),
    };
    if (isGood(kept.cert, addresses)) return kept;
  }
  const fresh = await made(addresses);
  mkdirSync(folder, { recursive: true });
  rmSync(files.key, { force: true });
  writeFileSync(files.key, fresh.key, { mode: 0o600 });
  writeFileSync(files.cert, fresh.cert);
  writeFileSync(files.root, fresh.root);
  return fresh;
}
