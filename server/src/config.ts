import { homedir } from 'node:os';
import { join } from 'node:path';

/** Everything the environment decides. */
export interface Config {
  readonly port: number;
  readonly host: string;
  /** Names it answers to beside its own. */
  readonly names: readonly string[];
  readonly dataDir: string;
  /** Load the demo data when the studio is new. */
  readonly isDemo: boolean;
}

export type ConfigRefusal = { readonly code: 'port_not_read'; readonly text: string };

/** Reads `PORT`, `LANAKIT_HOST`, `LANAKIT_NAMES`, `LANAKIT_DATA` and `LANAKIT_DEMO`; defaults in the README. */
export function readConfig(env: NodeJS.ProcessEnv): Config | ConfigRefusal {
  const portText = env['PORT'] ?? '4310';
  const port = Number(portText);
  if (!/^\d+$/.test(portText) || port > 65_535) return { code: 'port_not_read', text: portText };
  return {
    port,
    host: env['LANAKIT_HOST'] ?? '127.0.0.1',
    names: (env['LANAKIT_NAMES'] ?? '').split(',').filter((name) => name.trim() !== ''),
    dataDir: env['LANAKIT_DATA'] ?? join(homedir(), '.lanakit'),
    isDemo: env['LANAKIT_DEMO'] !== '0',
  };
}
