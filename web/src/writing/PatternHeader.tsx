import type { StoredPattern } from '@lanakit/core/api';
import type { LengthUnit } from '@lanakit/core/base';
import { type Level, LEVELS } from '@lanakit/core/pattern';
import { proposeLevel } from '@lanakit/core/writing';
import { Input, Segmented, Select } from 'antd';
import { useMemo } from 'react';
import { Field } from '../ui/fields/Field.tsx';
import { LengthField } from '../ui/fields/LengthField.tsx';
import { LEVEL_WORDS } from '../words/show.ts';
import styles from './PatternHeader.module.css';
import { PatternMenu } from './PatternMenu.tsx';
import { PublishButton } from './PublishButton.tsx';
import { useProblemAt, useTable } from './table/tableContext.ts';

/** What the pattern is called, how high, for whom, and which revision it has reached. */
export function PatternHeader({ stored }: { stored: StoredPattern }) {
  const build = useTable((table) => table.build);
  const estimate = useTable((table) => table.estimate);
  const problemAt = useProblemAt();
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const proposed = useMemo(() => proposeLevel(build, estimate).level, [build, estimate]);
  return (
    <header className={`sheet ${styles.header}`}>
      <Field label="Title" problem={problemAt('/title')} className={styles.title ?? ''}>
        {(control) => (
          <Input
            {...control}
            className={styles.titleInput ?? ''}
            variant="borderless"
            value={document.title}
            maxLength={120}
            placeholder="Name the figure"
            onChange={(event) => {
              const title = event.target.value;
              edit('the title', (draft) => void (draft.title = title), 'title');
            }}
          />
        )}
      </Field>
      <div className={styles.height}>
        <LengthField
          label="Finished height"
          value={document.finishedHeight}
          defaultUnit={document.lengthUnit}
          problem={problemAt('/finishedHeight')}
          onValue={(value) => edit('the height', (draft) => void (draft.finishedHeight = value), 'height')}
        />
      </div>
      <Field label={document.level === null ? 'Level, as proposed' : 'Level'} className={styles.level ?? ''}>
        {(control) => (
          <Select<Level | 'proposed'>
            {...control}
            value={document.level ?? 'proposed'}
            popupMatchSelectWidth={false}
            options={[
              { value: 'proposed', label: LEVEL_WORDS[proposed] },
              ...LEVELS.map((level) => ({ value: level, label: LEVEL_WORDS[level] })),
            ]}
            optionRender={({ data }) =>
              data.value === 'proposed' ? `as proposed: ${LEVEL_WORDS[proposed]}` : data.label
            }
            onChange={(level) =>
              edit('the level', (draft) => void (draft.level = level === 'proposed' ? null : level))
            }
          />
        )}
      </Field>
      <div className={styles.unit}>
        <span className={styles.unitLabel}>Sizes in</span>
        <Segmented<LengthUnit>
          aria-label="Sizes in"
          value={document.lengthUnit}
          options={[
            { value: 'mm', label: 'mm' },
            { value: 'in', label: 'inches' },
          ]}
          onChange={(unit) => edit('the unit', (draft) => void (draft.lengthUnit = unit))}
        />
      </div>
      <div className={styles.actions}>
        <PublishButton stored={stored} />
        <PatternMenu stored={stored} />
      </div>
    </header>
  );
}
