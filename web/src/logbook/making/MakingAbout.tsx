import type { MakingPage } from '@lanakit/core/api';
import { MAKING_BOUNDS } from '@lanakit/core/logbook';
import { SKILLS, type Skill } from '@lanakit/core/needles';
import { Input } from 'antd';
import { Link } from 'react-router';
import { Choice } from '../../ui/fields/Choice.tsx';
import { DayField } from '../../ui/fields/DayField.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { FromScale } from '../../scale/FromScale.tsx';
import { SKILL_NAMES } from '../../words/logbookWords.ts';
import styles from './Making.module.css';
import type { MakingDraft } from './useMakingDraft.ts';

/** What was made, when, by whom, of which pattern. */
export function MakingAbout({ page, draft }: { page: MakingPage; draft: MakingDraft }) {
  const { input, change } = draft;
  return (
    <header className={styles.about}>
      <Input
        variant="borderless"
        className={styles.title ?? ''}
        aria-label="What was made"
        value={input.title}
        maxLength={120}
        onChange={({ target: { value } }) => change('name', (making) => void (making.title = value))}
      />
      <p className="quiet">
        {page.build && page.hasPattern && input.patternId !== null ? (
          <>
            Made by the pattern <Link to={`/patterns/${input.patternId}`}>{page.build.title}</Link>, as it was
            then
            {input.sizeFraction !== 1 && `, at ${Math.round(input.sizeFraction * 100)} % of its size`}
          </>
        ) : page.build ? (
          `Made by the pattern ${page.build.title}, which is no longer here; the page keeps it as it was`
        ) : (
          'Made first: its pattern is yet to be written'
        )}
      </p>
      <div className={styles.facts}>
        <DayField
          label="Day"
          day={input.date}
          onDay={(day) => day !== null && change('day', (making) => void (making.date = day))}
        />
        <Field label="Made by" hint="Leave empty for yourself">
          {(control) => (
            <Input
              {...control}
              value={input.madeBy}
              maxLength={60}
              placeholder="me"
              onChange={({ target: { value } }) =>
                change('maker', (making) => void (making.madeBy = value.trimStart()))
              }
            />
          )}
        </Field>
        <Choice<Skill>
          label="Hands"
          value={input.skill}
          words={SKILL_NAMES}
          among={SKILLS}
          onChoose={(skill) => skill && change('practice', (making) => void (making.skill = skill))}
        />
        <div className={styles.withScale}>
          <NumberField<number | null>
            label="Whole figure"
            value={input.wholeG}
            bounds={MAKING_BOUNDS.massG}
            allowEmpty
            suffix="g"
            onValue={(massG) => change('whole figure', (making) => void (making.wholeG = massG))}
          />
          <FromScale
            label="Whole figure"
            onMass={(massG) => change('whole figure', (making) => void (making.wholeG = massG))}
          />
        </div>
      </div>
    </header>
  );
}
