import type { MakingPage } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import type { MakingLine } from '@lanakit/core/logbook';
import { fibreNamesOf } from '@lanakit/core/words';

/** What a line is of, by its names. */
export function lineName(line: MakingLine, { build }: MakingPage, wool: Wool): string {
  const fibre = line.fibreId === null ? '' : fibreNamesOf({ fibres: wool.fibres })(line.fibreId);
  const known =
    line.fibreId === null ? 'wool' : wool.fibres.has(line.fibreId) ? fibre : 'a fibre no longer on the shelf';
  const part = build?.parts.find(({ id }) => id === line.partId)?.name ?? (build ? '' : line.name);
  return part === '' ? known : `${known}, ${part}`;
}
