import { describe, expect, test } from '@jest/globals';
import { X509Certificate } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer, get } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  certificateFiles,
  fingerprintOf,
  keepCertificate,
  newCertificate,
  readTls,
} from '../../src/access/certificate.ts';

const NOW = new Date();
const NAMES = ['studio.example', '192.168.7.4', '[fd00::4]', 'localhost'];

describe('a certificate for a studio’s network', () => {
  test('is for its names and no others, signed by what devices trust, and over after thirteen months', async () => {
    const { cert, authority } = await newCertificate(NAMES, NOW);
    const [server, signer] = [new X509Certificate(cert), new X509Certificate(authority)];
    expect(server.checkHost('studio.example')).toBe('studio.example');
    expect(server.checkIP('192.168.7.4')).toBe('192.168.7.4');
    expect(server.checkIP('fd00::4')).toBe('fd00::4');
    expect(server.checkHost('other.example')).toBeUndefined();
    expect(server.checkIssued(signer)).toBe(true);
    expect(server.verify(signer.publicKey)).toBe(true);
    expect(server.ca).toBe(false);
    expect(signer.ca).toBe(true);
    const days = (new Date(server.validTo).getTime() - NOW.getTime()) / 86_400_000;
    expect(days).toBeGreaterThan(396);
    expect(days).toBeLessThanOrEqual(397);
    expect(fingerprintOf(authority)).toMatch(/^(?:[\dA-F]{2}:){31}[\dA-F]{2}$/);
  });
  test('who trusts it speaks TLS with it, and who does not, does not', async () => {
    const { cert, key, authority } = await newCertificate(NAMES, NOW);
    const server = createServer({ cert, key, minVersion: 'TLSv1.2' }, (_request, response) =>
      response.end('wool'),
    );
    server.listen(0, '127.0.0.1');
    await once(server, 'listening');
    const { port } = server.address() as { port: number };
    const asked = (ca?: string) =>
      new Promise<string>((resolve) =>
        get(
          { host: '127.0.0.1', servername: 'studio.example', port, path: '/', ...(ca && { ca }) },
          (answer) => answer.on('data', (chunk) => resolve(String(chunk))),
        ).on('error', ({ message }) => resolve(message)),
      );
    expect(await asked(authority)).toBe('wool');
    expect(await asked()).not.toBe('wool');
    server.close();
  });
  test('its key is for nobody else to read; there is none, it is damaged, it is over: each is told', async () => {
    const dir = mkdtempSync(join(tmpdir(), 'lanakit-tls-'));
    expect(readTls(dir, null, NOW)).toEqual({ tls: null });
    const made = await newCertificate(NAMES, NOW);
    keepCertificate(dir, made);
    const files = certificateFiles(dir);
    expect(statSync(files.key).mode & 0o777).toBe(0o600);
    expect(readFileSync(files.authority, 'utf8')).toBe(made.authority);
    expect(readTls(dir, null, NOW)).toEqual({ tls: { cert: made.cert, key: made.key } });
    const later = new Date(NOW.getTime() + 400 * 86_400_000);
    expect(readTls(dir, null, later)).toMatchObject({ code: 'tls_over' });
    writeFileSync(files.key, 'no key');
    expect(readTls(dir, null, NOW)).toMatchObject({ code: 'tls_not_read', file: files.cert });
    const mine = { certFile: join(dir, 'mine.pem'), keyFile: files.key };
    expect(readTls(dir, mine, NOW)).toMatchObject({ code: 'tls_not_read', file: mine.certFile });
  });
});
