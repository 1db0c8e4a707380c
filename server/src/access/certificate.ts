import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { createSecureContext } from 'node:tls';
import { generate } from 'selfsigned';

/** What TLS is spoken with, as PEM. */
export interface TlsFiles {
  readonly cert: string;
  readonly key: string;
}

export type CertificateFault =
  | { readonly code: 'tls_not_read'; readonly file: string; readonly reason: string }
  | { readonly code: 'tls_over'; readonly file: string; readonly endedOn: string };

const DAY_MS = 24 * 3_600_000;
/** Browsers take no longer ones. */
const VALID_DAYS = 397;

const folderOf = (dataDir: string): string => join(dataDir, 'tls');
export const certificateFiles = (dataDir: string) => ({
  cert: join(folderOf(dataDir), 'certificate.pem'),
  key: join(folderOf(dataDir), 'key.pem'),
  authority: join(folderOf(dataDir), 'authority.crt'),
});

/** A name of a URL as a certificate has it. */
const altName = (name: string): { type: 2; value: string } | { type: 7; ip: string } => {
  const address = name.replace(/^\[|\]$/g, '');
  return isIP(address) ? { type: 7, ip: address } : { type: 2, value: name };
};

/**
 * A certificate for the names of a studio, and the authority that signed it, to be trusted on the studio’s devices. The
 * authority’s own key is thrown away at once: nobody can ever sign another site with it. RFC 5280.
 * @param names as they stand in a URL
 */
export async function newCertificate(
  names: readonly string[],
  now: Date,
): Promise<TlsFiles & { readonly authority: string }> {
  const validity = {
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: new Date(now.getTime() + VALID_DAYS * DAY_MS),
    keyType: 'ec',
    curve: 'P-256',
    algorithm: 'sha256',
  } as const;
  const authority = await generate([{ name: 'commonName', value: `Lanakit studio ${now.getFullYear()}` }], {
    ...validity,
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  const [first = 'localhost'] = names;
  const server = await generate([{ name: 'commonName', value: first }], {
    ...validity,
    ca: { key: authority.private, cert: authority.cert },
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: names.map(altName) },
    ],
  });
  return { cert: server.cert, key: server.private, authority: authority.cert };
}

/** Only who runs Lanakit may read the key. */
export function keepCertificate(
  dataDir: string,
  { cert, key, authority }: TlsFiles & { readonly authority: string },
): void {
  mkdirSync(folderOf(dataDir), { recursive: true, mode: 0o700 });
  const files = certificateFiles(dataDir);
  writeFileSync(files.key, key, { mode: 0o600 });
  writeFileSync(files.cert, cert, { mode: 0o600 });
  writeFileSync(files.authority, authority, { mode: 0o644 });
}

/** To be compared on the device that is to trust it: SHA-256. */
export const fingerprintOf = (pem: string): string => new X509Certificate(pem).fingerprint256;

/**
 * What is given, else what was made here.
 * @param given files of one’s own; null: none
 * @returns null: there is none
 */
export function readTls(
  dataDir: string,
  given: { readonly certFile: string; readonly keyFile: string } | null,
  now: Date,
): { readonly tls: TlsFiles | null } | CertificateFault {
  const files = certificateFiles(dataDir);
  const { certFile, keyFile } = given ?? { certFile: files.cert, keyFile: files.key };
  if (!given && !existsSync(certFile)) return { tls: null };
  try {
    const tls = { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
    createSecureContext(tls);
    const end = new Date(new X509Certificate(tls.cert).validTo);
    if (end < now) return { code: 'tls_over', file: certFile, endedOn: end.toISOString().slice(0, 10) };
    return { tls };
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return { code: 'tls_not_read', file: certFile, reason };
  }
}
