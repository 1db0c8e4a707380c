import {
  blankSpares,
  type Finding,
  fractionOf,
  percentOf,
  SPARE_RULE_KINDS,
  type SpareRule,
  spareRuleOf,
} from '@lanakit/core';
import { SPARE_RULE_WORDS, spareRuleWords } from '@lanakit/core/words';
import { Button, Popover } from 'antd';
import { Choice } from '../fields/Choice.tsx';
import { NumberField } from '../fields/NumberField.tsx';
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
  const set = (own: SpareRule | null) =>
    draft.change({
      findingSpares: [
        ...draft.input.findingSpares.filter(({ findingId }) => findingId !== finding.id),
        ...(own ? [{ findingId: finding.id, rule: own }] : []),
      ],
    });
  return (
    <Popover
      trigger="click"
      title={`Spares of ${finding.name}`}
      content={
        <div style={{ width: 260, display: 'grid', gap: 8 }}>
          <SpareRuleFields rule={rule} onRule={set} />
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

interface SpareRuleFieldsProps {
  rule: SpareRule;
  onRule: (rule: SpareRule) => void;
}

/** A rule for spares: its kind, and its number. */
export function SpareRuleFields({ rule, onRule }: SpareRuleFieldsProps) {
  return (
    <>
      <Choice
        label="Spares"
        value={rule.by}
        words={SPARE_RULE_WORDS}
        among={SPARE_RULE_KINDS}
        onChoose={(by) => by && onRule(blankSpares(by))}
      />
      {rule.by === 'share' && (
        <NumberField
          label="Of what is used"
          value={percentOf(rule.fraction)}
          bounds={{ min: 1, max: 200 }}
          suffix="%"
          onValue={(percent) => onRule({ by: 'share', fraction: fractionOf(percent) })}
        />
      )}
      {'count' in rule && (
        <NumberField
          label="How many"
          value={rule.count}
          bounds={{ min: 1, max: 500 }}
          isWhole
          onValue={(count) => onRule({ ...rule, count })}
        />
      )}
    </>
  );
}
