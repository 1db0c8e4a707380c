import { homedir } from 'node:os';
import { join } from 'node:path';

/** Everything the environment decides. */
export interface Config {
  readonly port: number;
  readonly host: string;
  /** Names it answers to beside its own. */
  readonly names: readonly string[];
  /** A certificate of one’s own and its key, PEM; null: what `npm run certificate` made, where there is any. */
  readonly tls: { readonly certFile: string; readonly keyFile: string } | null;
  /** Scales on a wire. */
  readonly scales: string;
  readonly scanners: string;
  readonly printers: string;
  readonly dataDir: string;
  /** Load the demo data when the studio is new. */
  readonly isDemo: boolean;
}

export type ConfigRefusal =
  { readonly code: 'port_not_read'; readonly text: string } | { readonly code: 'tls_half_given' };

/** Reads `PORT`, `LANAKIT_HOST`, `LANAKIT_NAMES`, `LANAKIT_TLS_CERT`, `LANAKIT_TLS_KEY`, `LANAKIT_SCALES`, `LANAKIT_DATA` and `LANAKIT_DEMO`; defaults in the README. */
export function readConfig(env: NodeJS.ProcessEnv): Config | ConfigRefusal {
  const portText = env['PORT'] ?? '4310';
  const port = Number(portText);
  if (!/^\d+$/.test(portText) || port > 65_535) return { code: 'port_not_read', text: portText };
  const [certFile, keyFile] = [env['LANAKIT_TLS_CERT'], env['LANAKIT_TLS_KEY']];
  if (!certFile !== !keyFile) return { code: 'tls_half_given' };
  return {
    tls: certFile && keyFile ? { certFile, keyFile } : null,
    port,
    scales: env['LANAKIT_SCALES'] ?? '',
    scanners: env['LANAKIT_SCANNERS'] ?? '',
    printers: env['LANAKIT_PRINTERS'] ?? '',
    host: env['LANAKIT_HOST'] ?? '127.0.0.1',
    names: (env['LANAKIT_NAMES'] ?? '').split(',').filter((name) => name.trim() !== ''),
    dataDir: env['LANAKIT_DATA'] ?? join(homedir(), '.lanakit'),
    isDemo: env['LANAKIT_DEMO'] !== '0',
  };
}
