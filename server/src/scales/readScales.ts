import type { ScaleAdapter } from './adapter.ts';
import { fileAdapter, socketAdapter } from './wireAdapter.ts';

export type ScalesFault = { readonly code: 'scales_not_read'; readonly text: string };

/**
 * The scales of `LANAKIT_SCALES`: `NAME=tcp://HOST:PORT` or `NAME=file:/PATH`, with commas between.
 */
export function readScales(text: string): readonly ScaleAdapter[] | ScalesFault {
  const adapters: ScaleAdapter[] = [];
  for (const entry of text.split(',').map((each) => each.trim())) {
    if (entry === '') continue;
    const [, name = '', target = ''] = /^([^=]{1,60})=\s*(.+)$/.exec(entry) ?? [];
    const [, host = '', port = ''] = /^tcp:\/\/(\[[\da-fA-F:]+\]|[\w.-]+):(\d{1,5})$/.exec(target) ?? [];
    const [, path = ''] = /^file:(\/.+)$/.exec(target) ?? [];
    if (host !== '' && Number(port) > 0 && Number(port) < 65_536)
      adapters.push(socketAdapter(name.trim(), host.replaceAll(/[[\]]/g, ''), Number(port)));
    else if (path !== '') adapters.push(fileAdapter(name.trim(), path));
    else return { code: 'scales_not_read', text: entry };
  }
  return adapters;
}
