import { describe, expect, test } from '@jest/globals';
import { homedir } from 'node:os';
import { readConfig } from '../src/config.ts';
import { startRefusalWords, type StartRefusal } from '../src/startRefusalWords.ts';

describe('what the environment decides', () => {
  test('defaults: loopback, 4310, a hidden directory at home, with the demo', () => {
    expect(readConfig({})).toEqual({
      port: 4310,
      host: '127.0.0.1',
      names: [],
      tls: null,
      scales: '',
      scanners: '',
      printers: '',
      dataDir: `${homedir()}/.lanakit`,
      isDemo: true,
    });
  });
  test('each can be set', () => {
    expect(
      readConfig({
        PORT: '0',
        LANAKIT_HOST: '0.0.0.0',
        LANAKIT_NAMES: 'studio, kiosk',
        LANAKIT_TLS_CERT: '/c.pem',
        LANAKIT_TLS_KEY: '/k.pem',
        LANAKIT_SCALES: 'Window=tcp://scale:7001',
        LANAKIT_DATA: '/x',
        LANAKIT_DEMO: '0',
      }),
    ).toEqual({
      port: 0,
      host: '0.0.0.0',
      names: ['studio', ' kiosk'],
      tls: { certFile: '/c.pem', keyFile: '/k.pem' },
      scales: 'Window=tcp://scale:7001',
      scanners: '',
      printers: '',
      dataDir: '/x',
      isDemo: false,
    });
  });
  test.each([{ LANAKIT_TLS_CERT: '/c.pem' }, { LANAKIT_TLS_KEY: '/k.pem' }])(
    '%j: half a certificate is refused',
    (env) => {
      expect(readConfig(env)).toEqual({ code: 'tls_half_given' });
    },
  );
  test.each(['abc', '-1', '99999', '43.1', ''])('a port of %j is refused', (text) => {
    expect(readConfig({ PORT: text })).toEqual({ code: 'port_not_read', text });
  });
});

test.each<[string, StartRefusal, string]>([
  [
    'a port in use',
    { code: 'cannot_listen', reason: 'EADDRINUSE', host: '127.0.0.1', port: 4310 },
    'PORT=4311',
  ],
  [
    'an address that is not ours',
    { code: 'cannot_listen', reason: 'EADDRNOTAVAIL', host: '9.9.9.9', port: 4310 },
    'LANAKIT_HOST',
  ],
  ['half a certificate', { code: 'tls_half_given' }, 'LANAKIT_TLS_KEY'],
  [
    'a certificate that is over',
    { code: 'tls_over', file: '/c.pem', endedOn: '2026-01-01' },
    'npm run certificate',
  ],
  [
    'a certificate that is none',
    { code: 'tls_not_read', file: '/c.pem', reason: 'no PEM' },
    'npm run certificate',
  ],
  [
    'a scale that is none',
    { code: 'wires_not_read', setting: 'LANAKIT_SCALES', text: 'Window' },
    'tcp://HOST:PORT',
  ],
  ['a network without a passphrase', { code: 'no_passphrase', host: '0.0.0.0' }, 'npm run passphrase'],
  ['a newer database', { code: 'database_newer', found: 9, known: 1 }, 'newer Lanakit'],
  [
    'an unreadable database',
    { code: 'database_unreadable', file: '/x', reason: 'r', lastBackup: null },
    'LANAKIT_DATA',
  ],
  [
    'a directory that cannot be written',
    { code: 'data_dir_unwritable', dataDir: '/x', reason: 'r' },
    'LANAKIT_DATA',
  ],
  [
    'an unreadable database that was backed up',
    { code: 'database_unreadable', file: '/x', reason: 'r', lastBackup: 'b.sqlite' },
    'npm run restore -- b.sqlite',
  ],
  ['a second Lanakit on one studio', { code: 'studio_in_use', dataDir: '/x' }, 'LANAKIT_DATA'],
  ['a full disk', { code: 'disk_full', dataDir: '/x', reason: 'r' }, 'Make room'],
  ['a disk that is gone', { code: 'disk_failed', dataDir: '/x', reason: 'r' }, 'in order'],
  ['a file that may not be written', { code: 'read_only', dataDir: '/x', reason: 'r' }, 'Allow writing'],
  ['a file in other hands', { code: 'database_busy', dataDir: '/x', reason: 'r' }, 'Close it'],
  ['a port in words', { code: 'port_not_read', text: 'abc' }, '65535'],
])('not starting for %s names the remedy', (_name, refusal, remedy) => {
  expect(startRefusalWords(refusal)).toContain(remedy);
});
