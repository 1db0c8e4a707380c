import type { Pattern } from '../pattern/index.ts';
import type { Remark } from '../review/index.ts';
import { ownerWords } from './runWords.ts';

/** What a finding is about, as a person calls it. */
export function remarkPlace(finding: Remark, pattern: Pattern): string {
  if ('stepId' in finding) return `Step ${pattern.steps.findIndex(({ id }) => id === finding.stepId) + 1}`;
  if ('partId' in finding) return ownerWords({ kind: 'part', id: finding.partId }, pattern);
  if ('joinId' in finding) return ownerWords({ kind: 'join', id: finding.joinId }, pattern);
  if ('cutId' in finding) return pattern.cuts.find(({ id }) => id === finding.cutId)?.name || 'Materials';
  if ('sessionId' in finding)
    return pattern.sessions.find(({ id }) => id === finding.sessionId)?.name || 'Sessions';
  if ('pictureId' in finding)
    return pattern.pictures.find(({ id }) => id === finding.pictureId)?.name || 'Pictures';
  switch (finding.code) {
    case 'finding_never_put_on':
    case 'finding_unsaid_in_build':
      return 'Materials';
    case 'slot_without_places':
    case 'colourway_as_written':
      return 'Options';
    case 'feature_does_not_fit':
    case 'figure_falls':
    case 'figure_hangs_crooked':
      return 'Together';
    case 'order_broken':
      return 'Order';
    case 'value_never_allowed':
    case 'slot_rule_broken':
      return 'Options';
    case 'tool_not_listed':
    case 'tool_not_used':
      return 'Tools';
    case 'height_over_parts':
    case 'height_off_figure':
      return 'Height';
    case 'proportion_off':
    case 'enclosure_too_small':
      return 'Together';
    default:
      return 'About';
  }
}
