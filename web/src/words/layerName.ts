import type { Wool } from '@lanakit/core/engine';
import type { Use } from '@lanakit/core/pattern';
import { ROLE_WORDS } from '@lanakit/core/words';

/** `Body coat: Slate`: a layer by its part, its role and what it is of. */
export function layerName(partName: string, use: Use, { fibres, findings }: Wool): string {
  if (use.role === 'needled') return `${partName} ${ROLE_WORDS[use.role]}`;
  const of =
    use.role === 'insert' ? findings.get(use.findingId ?? '')?.name : fibres.get(use.fibreId ?? '')?.name;
  return `${partName} ${ROLE_WORDS[use.role]}: ${of ?? 'not chosen yet'}`;
}
