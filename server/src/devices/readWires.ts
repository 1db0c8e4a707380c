import type { DeviceAdapter } from './adapter.ts';
import { fileAdapter, socketAdapter } from './wireAdapter.ts';

/** @property setting the variable it stands in */
export interface WiresFault {
  readonly code: 'wires_not_read';
  readonly setting: string;
  readonly text: string;
}

/**
 * Devices of a setting such as `LANAKIT_SCALES`: `NAME=tcp://HOST:PORT` or `NAME=file:/PATH`, with commas between.
 */
export function readWires(setting: string, text: string): readonly DeviceAdapter[] | WiresFault {
  const adapters: DeviceAdapter[] = [];
  for (const entry of text.split(',').map((each) => each.trim())) {
    if (entry === '') continue;
    const [, name = '', target = ''] = /^([^=]{1,60})=\s*(.+)$/.exec(entry) ?? [];
    const [, host = '', port = ''] = /^tcp:\/\/(\[[\da-fA-F:]+\]|[\w.-]+):(\d{1,5})$/.exec(target) ?? [];
    const [, path = ''] = /^file:(\/.+)$/.exec(target) ?? [];
    if (host !== '' && Number(port) > 0 && Number(port) < 65_536)
      adapters.push(socketAdapter(name.trim(), host.replaceAll(/[[\]]/g, ''), Number(port)));
    else if (path !== '') adapters.push(fileAdapter(name.trim(), path));
    else return { code: 'wires_not_read', setting, text: entry };
  }
  return adapters;
}
