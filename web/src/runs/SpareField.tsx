import { spareRuleOf } from '@lanakit/core/run';
import type { Finding, SpareRule } from '@lanakit/core/shelf';
import { spareRuleWords } from '@lanakit/core/words';
import { Button, Popover } from 'antd';
import { SpareRuleFields } from '../ui/fields/SpareRuleFields.tsx';
import type { RunDraft } from './useRunDraft.ts';

interface SpareFieldProps {
  finding: Finding;
  /** In all. */
  spare: number;
  draft: RunDraft;
}

/** How many spares of a finding a run has, and by which rule; a press opens the rule, which can be other in this run. */
export function SpareField({ finding, spare, draft }: SpareFieldProps) {
  const rule = spareRuleOf(finding, draft.input);
  const isOwn = draft.input.findingSpares.some(({ findingId }) => findingId === finding.id);
  const set = (chosen: SpareRule | null) =>
    draft.change({
      findingSpares: [
        ...draft.input.findingSpares.filter(({ findingId }) => findingId !== finding.id),
        ...(chosen ? [{ findingId: finding.id, rule: chosen }] : []),
      ],
    });
  return (
    <Popover
      trigger="click"
      title={`Spares of ${finding.name}`}
      content={
        <div className="control-xl in-stack">
          <SpareRuleFields rule={rule} none={null} onRule={set} />
          {isOwn && (
            <Button size="small" onClick={() => set(null)}>
              As on the shelf
            </Button>
          )}
        </div>
      }
    >
      <Button type="text" size="small" aria-label={`Spares of ${finding.name}: ${spareRuleWords(rule)}`}>
        {spare}
      </Button>
    </Popover>
  );
}
