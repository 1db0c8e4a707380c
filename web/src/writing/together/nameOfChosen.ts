import type { Wool } from '@lanakit/core/engine';
import type { Together } from '@lanakit/core/figure';
import type { Pattern } from '@lanakit/core/pattern';
import { CUT_WORDS } from '@lanakit/core/words';
import { layerName } from '../../words/layerName.ts';
import type { Chosen } from './grasp.ts';

/** What a piece or a detail is called where it is chosen: `Wing 2 on Body`. */
export function nameOfChosen(
  { figure, details }: Together,
  { kind, key }: Chosen,
  { parts }: Pick<Pattern, 'parts'>,
  wool: Wool,
): string {
  const partName = (partId: string) => parts.find(({ id }) => id === partId)?.name || 'Unnamed';
  if (kind === 'piece') {
    const piece = figure.pieces.find((candidate) => candidate.key === key);
    if (!piece) return '';
    const isOneOfMany = figure.pieces.some(
      ({ partId, index }) => partId === piece.partId && index !== piece.index,
    );
    const host = figure.pieces.find((candidate) => candidate.key === piece.set?.hostKey);
    return `${partName(piece.partId)}${isOneOfMany ? ` ${piece.index + 1}` : ''}${host ? ` on ${partName(host.partId)}` : ''}`;
  }
  const detail = details.find((candidate) => candidate.key === key);
  if (!detail) return '';
  const on = ` on ${partName(detail.host.partId)}`;
  if (detail.of.kind === 'laid') return `${detail.of.part.name}${on}`;
  if (detail.of.kind === 'finding') return `${detail.of.finding.name}${on}`;
  if (detail.of.kind === 'cut') return `${detail.of.cut.name || CUT_WORDS[detail.of.cut.kind]}${on}`;
  return layerName(partName(detail.of.partId), detail.of.use, wool);
}
