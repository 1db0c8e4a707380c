import { toMm } from '@lanakit/core/base';
import type { Problem } from '@lanakit/core/problems';
import { RUN_BOUNDS } from '@lanakit/core/run';
import type { Fibre } from '@lanakit/core/shelf';
import { type FirstClassInput, START_HEIGHT_MM, takesSecond } from '@lanakit/core/starts';
import { problemWords } from '@lanakit/core/words';
import { Checkbox, Input, Slider } from 'antd';
import { DayField } from '../ui/fields/DayField.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { LengthField } from '../ui/fields/LengthField.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { begunClass } from '../ways/begun.ts';
import { ColourSelect } from './ColourSelect.tsx';
import styles from './Begin.module.css';

interface BeginFieldsProps {
  input: FirstClassInput;
  fibres: readonly Fibre[];
  problems: readonly Problem[];
  onChange: (more: Partial<FirstClassInput>) => void;
}

/** The slider goes as far as most figures do; what is typed may go further. */
const SLIDER_MM = { min: 30, max: 250 };

export function BeginFields({ input, fibres, problems, onChange }: BeginFieldsProps) {
  const problemAt = (pointer: string): string | null => {
    const found = problems.find((problem) => problem.pointer === pointer);
    return found ? problemWords(found) : null;
  };
  const { title, heightMm } = input;
  return (
    <div className={styles.fields}>
      <Field label="What is it called?" problem={problemAt('/title')}>
        {(control) => (
          <Input
            {...control}
            autoFocus
            value={title}
            maxLength={120}
            placeholder="Harbour seal"
            onChange={(event) => onChange({ title: event.target.value })}
          />
        )}
      </Field>
      <div className={styles.height}>
        <LengthField
          label="How high"
          value={{ value: Math.round(heightMm * 10) / 10, unit: 'mm' }}
          defaultUnit="mm"
          problem={problemAt('/heightMm')}
          onValue={(length) => length && onChange({ heightMm: toMm(length) })}
        />
        <Slider
          ariaLabelForHandle="How high, by hand"
          min={SLIDER_MM.min}
          max={SLIDER_MM.max}
          value={Math.min(SLIDER_MM.max, Math.max(SLIDER_MM.min, heightMm))}
          tooltip={{ formatter: (mm) => `${mm} mm` }}
          onChange={(mm) => onChange({ heightMm: Math.max(START_HEIGHT_MM.min, mm) })}
        />
      </div>
      <div className={styles.two}>
        <ColourSelect
          label="Mostly"
          value={input.main}
          fibres={fibres}
          problem={problemAt('/main/fibreId')}
          onChoose={(main) => onChange({ main })}
        />
        {takesSecond(input.bodyId) && (
          <ColourSelect
            label="And"
            value={input.second}
            fibres={fibres}
            problem={problemAt('/second/fibreId')}
            onChoose={(second) => onChange({ second })}
          />
        )}
      </div>
      <Checkbox
        checked={input.class !== null}
        onChange={(event) => onChange({ class: event.target.checked ? begunClass() : null })}
      >
        for a class
      </Checkbox>
      {input.class && (
        <ClassFields
          asked={input.class}
          problemAt={problemAt}
          onChange={(asked) => onChange({ class: asked })}
        />
      )}
    </div>
  );
}

interface ClassFieldsProps {
  asked: NonNullable<FirstClassInput['class']>;
  problemAt: (pointer: string) => string | null;
  onChange: (asked: NonNullable<FirstClassInput['class']>) => void;
}

function ClassFields({ asked, problemAt, onChange }: ClassFieldsProps) {
  return (
    <div className={styles.two}>
      <NumberField
        label="People"
        value={asked.people}
        bounds={RUN_BOUNDS.seats}
        isWhole
        problem={problemAt('/class/people')}
        onValue={(people) => onChange({ ...asked, people })}
      />
      <DayField
        label="On"
        day={asked.date}
        problem={problemAt('/class/date')}
        onDay={(date) => date !== null && onChange({ ...asked, date })}
      />
    </div>
  );
}
