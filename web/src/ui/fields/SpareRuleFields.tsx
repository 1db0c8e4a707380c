import { fractionOf, percentOf } from '@lanakit/core/base';
import { blankSpares, SPARE_RULE_KINDS, type SpareRule } from '@lanakit/core/shelf';
import { SPARE_RULE_WORDS } from '@lanakit/core/words';
import { Choice } from './Choice.tsx';
import { NumberField } from './NumberField.tsx';

interface SpareRuleFieldsProps {
  rule: SpareRule | null;
  /** What it is called to say no rule; null: there is always one. */
  none: string | null;
  onRule: (rule: SpareRule | null) => void;
}

/** A rule for spares: its kind, and its number. */
export function SpareRuleFields({ rule, none, onRule }: SpareRuleFieldsProps) {
  return (
    <>
      <Choice
        label="Spares"
        value={rule?.by ?? null}
        {...(none !== null && { none })}
        words={SPARE_RULE_WORDS}
        among={SPARE_RULE_KINDS}
        onChoose={(by) => {
          if (by) onRule(blankSpares(by));
          else if (none !== null) onRule(null);
        }}
      />
      {rule?.by === 'share' && (
        <NumberField
          label="Of what is used"
          value={percentOf(rule.fraction)}
          bounds={{ min: 1, max: 200 }}
          suffix="%"
          onValue={(percent) => onRule({ by: 'share', fraction: fractionOf(percent) })}
        />
      )}
      {rule && 'count' in rule && (
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
