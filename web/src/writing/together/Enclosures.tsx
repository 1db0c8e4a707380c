import { enclosureFit, isGoingIn, type Together } from '@lanakit/core/figure';
import { blankEnclosure, type Enclosure, ENCLOSURE_SHAPES } from '@lanakit/core/pattern';
import type { MeasuredBy } from '@lanakit/core/shelf';
import { ENCLOSURE_WORDS, enclosureWords } from '@lanakit/core/words';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useDeferredValue, useMemo } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { useFindingNames } from '../table/useChoices.ts';
import { useTable } from '../table/tableContext.ts';
import styles from './Together.module.css';

/** What the finished figure has to go into, and whether it does. */
export function Enclosures({ together }: { together: Together }) {
  const enclosures = useTable((table) => table.document.enclosures);
  const edit = useTable((table) => table.edit);
  return (
    <section aria-label="What it goes into" className={styles.wants}>
      <h3>What it goes into</h3>
      {enclosures.map((enclosure) => (
        <EnclosureRow key={enclosure.id} enclosure={enclosure} together={together} />
      ))}
      <Button
        size="small"
        onClick={() =>
          edit('what it goes into', (draft) => void draft.enclosures.push(blankEnclosure(nanoid(10))))
        }
      >
        Hold it against a dome, a box, a basket, a frame
      </Button>
    </section>
  );
}

const COUNTED: readonly MeasuredBy[] = ['count'];

function EnclosureRow({ enclosure, together }: { enclosure: Enclosure; together: Together }) {
  const unit = useTable((table) => table.document.lengthUnit);
  const findings = useTable((table) => table.wool.findings);
  const edit = useTable((table) => table.edit);
  const names = useFindingNames(COUNTED);
  // It follows the hand when there is a moment.
  const later = useDeferredValue(together);
  const fit = useMemo(() => enclosureFit(later.figure, enclosure, findings), [later, enclosure, findings]);
  const change = (label: string, more: Partial<Enclosure>, key: string) =>
    edit(
      label,
      (draft) => {
        const found = draft.enclosures.find(({ id }) => id === enclosure.id);
        if (found) Object.assign(found, more);
      },
      `${enclosure.id} ${key}`,
    );
  const isRound = enclosure.shape === 'round' || enclosure.shape === 'dome';
  const size = (
    label: string,
    key: 'across' | 'depth' | 'height' | 'openingAcross' | 'openingDepth',
    hint?: string,
  ) => (
    <LengthField
      label={label}
      value={enclosure[key]}
      defaultUnit={unit}
      {...(hint !== undefined && { hint })}
      onValue={(value) => change('how large that is', { [key]: value }, key)}
    />
  );
  const isTooSmall = fit.kind === 'told' && !isGoingIn(fit);
  return (
    <div className={styles.want}>
      <p className={isTooSmall ? 'red' : ''}>{enclosureWords(fit, unit)}</p>
      <div className={styles.fields}>
        <Field label="Called">
          {(control) => (
            <Input
              {...control}
              value={enclosure.name}
              maxLength={80}
              onChange={(event) => change('what it goes into', { name: event.target.value }, 'name')}
            />
          )}
        </Field>
        <Choice
          label="It is a"
          value={enclosure.shape}
          words={ENCLOSURE_WORDS}
          among={ENCLOSURE_SHAPES}
          onChoose={(shape) => shape !== null && change('what it goes into', { shape }, 'shape')}
        />
        <Choice
          label="From the shelf"
          value={enclosure.findingId}
          words={names}
          none="sizes are typed"
          onChoose={(findingId) => change('what it goes into', { findingId }, 'finding')}
        />
        {size(
          isRound ? 'Across inside' : 'Wide inside',
          'across',
          enclosure.findingId === null ? undefined : 'empty: as the shelf says',
        )}
        {!isRound && size('Deep inside', 'depth')}
        {size('High inside', 'height')}
        {size(isRound ? 'Opening, across' : 'Opening, one way', 'openingAcross', 'empty: open all over')}
        {!isRound && size('Opening, other way', 'openingDepth')}
        <div className={styles.places}>
          <Button
            size="small"
            onClick={() =>
              edit('one less to go into', (draft) => {
                draft.enclosures = draft.enclosures.filter(({ id }) => id !== enclosure.id);
              })
            }
          >
            Forget it
          </Button>
        </div>
      </div>
    </div>
  );
}
