import { factsOfSteps, rankedFor, type Verdict, wantedOf } from '@lanakit/core/needles';
import { isNeedleMissing, needleOfSchool, type Step } from '@lanakit/core/pattern';
import { needleName, wantedKey, wantedOfKey } from '@lanakit/core/shelf';
import { reasonsOf, STRENGTH_OF_NEEDLE, wantedName } from '@lanakit/core/words';
import { Select } from 'antd';
import { type ReactNode, useMemo } from 'react';
import { useNeedles } from '../../api/queries.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { useEditStep, useTable } from '../table/tableContext.ts';
import { wantedGroups } from './WantedSelect.tsx';
import styles from './Ladder.module.css';

interface StepNeedleChoiceProps {
  step: Step;
  className: string;
  problem: string | null;
}

const STRENGTH_TONE = { never: 'red', poor: 'amber', fair: '', good: 'leaf' } as const;

/** Which needle a step is done with: the school’s, or one of the shelf, the best for it first, each with why. */
export function StepNeedleChoice({ step, className, problem }: StepNeedleChoiceProps) {
  const estimate = useTable((table) => table.estimate);
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  const editStep = useEditStep(step.id);
  const needles = useNeedles().data?.items;
  const ranked = useMemo(() => {
    const facts = factsOfSteps(document, estimate, wool).get(step.id);
    return facts && needles ? rankedFor(facts, needles) : [];
  }, [document, estimate, wool, step.id, needles]);
  const usual = needleOfSchool(step, document);
  const owned = ranked.flatMap(({ needle, verdict }) => {
    const wanted = wantedOf(needle);
    return wanted ? [{ value: wantedKey(wanted), label: needleName(needle), verdict }] : [];
  });
  const others = wantedGroups(needles ?? []).slice(owned.length > 0 ? 1 : 0);
  const { needle } = step;
  const value = needle.by === 'stage' || needle.by === 'none' ? needle.by : wantedKey(needle);
  const isListed = [...owned, ...others.flatMap(({ options }) => options)].some(
    (option) => option.value === value,
  );
  return (
    <Field
      label="Needle"
      className={className}
      problem={problem}
      unknown={isNeedleMissing(step, document) ? 'Its school has none for this stage' : null}
      hint={needles?.length === 0 ? 'no needles on the shelf yet' : undefined}
    >
      {(control) => (
        <Select<string>
          {...control}
          className="wide"
          popupMatchSelectWidth={400}
          listHeight={330}
          showSearch={{ optionFilterProp: 'label' }}
          value={value}
          options={[
            { value: 'stage', label: usual ? `as the school: ${wantedName(usual)}` : 'as the school: none' },
            { value: 'none', label: 'no needle' },
            ...(isListed || needle.by === 'stage' || needle.by === 'none'
              ? []
              : [{ value, label: wantedName(needle) }]),
            ...(owned.length > 0
              ? [{ label: 'On the shelf, the best for this step first', options: owned }]
              : []),
            ...others,
          ]}
          optionRender={({ value: key, label }) => {
            const verdict = owned.find((candidate) => candidate.value === key)?.verdict;
            return verdict ? <Ranked name={label} verdict={verdict} /> : label;
          }}
          onChange={(chosen: string) =>
            editStep('the needle', (draft) => {
              draft.needle =
                chosen === 'stage' || chosen === 'none'
                  ? { by: chosen }
                  : (wantedOfKey(chosen) ?? { by: 'stage' });
            })
          }
        />
      )}
    </Field>
  );
}

const Ranked = ({ name, verdict }: { name: ReactNode; verdict: Verdict }) => (
  <span className={styles.ranked}>
    <span>
      <b>{name}</b>{' '}
      <span className={STRENGTH_TONE[verdict.strength]}>{STRENGTH_OF_NEEDLE[verdict.strength]}</span>
    </span>
    <span className="quiet small">{reasonsOf(verdict)}</span>
  </span>
);
