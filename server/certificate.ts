import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { generate } from 'selfsigned';
import { type Certificate, ownAddresses } from './listen';

const DAYS = 825;
const DAY_MS = 86_400_000;

/** Still good tomorrow, and for every address of this machine? */
function isGood(cert: string, addresses: readonly string[]): boolean {
  const found = new X509Certificate(cert);
  return Date.parse(found.validTo) > Date.now() + DAY_MS && addresses.every((address) => found.checkIP(address) !== undefined);
}

/** A certificate of this machine’s own for its names and addresses; kept, so that it has to be trusted only once. */
export async function certificateIn(folder: string): Promise<Certificate> {
  const [keyFile, certFile] = [join(folder, 'esmero.key'), join(folder, 'esmero.crt')];
  const addresses = ['127.0.0.1', ...ownAddresses()];
  if (existsSync(keyFile) && existsSync(certFile)) {
    const kept = { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') };
    if (isGood(kept.cert, addresses)) return kept;
  }
  const made = await generate([{ name: 'commonName', value: 'Esmero' }], {
    keySize: 2048,
    algorithm: 'sha256',
    notAfterDate: new Date(Date.now() + DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true },
      { name: 'subjectAltName', altNames: [{ type: 2, value: 'localhost' }, ...addresses.map((ip) => ({ type: 7 as const, ip }))] },
    ],
  });
  mkdirSync(folder, { recursive: true });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  writeFileSync(certFile, made.cert);
  return { key: made.private, cert: made.cert };
}
