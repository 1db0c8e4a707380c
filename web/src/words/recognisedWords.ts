import type { Wool } from '@lanakit/core/engine';
import type { Pattern } from '@lanakit/core/pattern';
import { ACT_WORDS, DEPTH_WORDS, minutesWords, STROKE_WORDS } from '@lanakit/core/words';
import type { Recognised } from '@lanakit/core/writing';

/** What was recognised, as an offer: what taking it would say. */
export function recognisedWords(found: Recognised, pattern: Pattern, wool: Wool): string {
  switch (found.is) {
    case 'part': {
      const at = pattern.parts.findIndex(({ id }) => id === found.partId);
      return `${at + 1} ${pattern.parts[at]?.name ?? ''}`;
    }
    case 'finding': {
      const use = pattern.findings.find(({ id }) => id === found.findingUseId);
      return wool.findings.get(use?.findingId ?? '')?.name ?? 'a finding';
    }
    case 'gauge':
      return `${found.gauge} needle`;
    case 'minutes':
      return minutesWords(found.minutes);
    case 'waiting':
      return `wait ${minutesWords(found.minutes)}`;
    case 'act':
      return ACT_WORDS[found.act];
    case 'stroke':
      return STROKE_WORDS[found.stroke];
    case 'depth':
      return DEPTH_WORDS[found.depth];
    case 'amount': {
      const fibre = wool.fibres.get(found.fibreId ?? '')?.name;
      return fibre ? `${found.text}, ${fibre}` : found.text;
    }
  }
}
