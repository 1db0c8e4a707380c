import type { Length } from '@lanakit/core/base';
import type { JoinEstimate } from '@lanakit/core/engine';
import { blankLooseEnd, type Join, JOIN_METHODS, type JoinMethod } from '@lanakit/core/pattern';
import { JOIN_METHOD_WORDS } from '@lanakit/core/words';
import { Button, Checkbox, Input } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { CountField } from '../../ui/fields/CountField.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { FibreSelect } from '../../ui/fields/FibreSelect.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import styles from '../../ui/Lists.module.css';
import { type EditItem, useEditJoin, useProblemAt, useTable } from '../table/tableContext.ts';
import { LooseEndFields } from './LooseEndFields.tsx';
import { usePartNames } from '../table/useChoices.ts';
import { usualSize } from '../table/usualSize.ts';

interface JoinEditorProps {
  join: Join;
  own: JoinEstimate;
  index: number;
  onDelete: () => void;
}

/** One join: which parts, how, its loose end, and the wool over it. */
export function JoinEditor({ join, own, index, onDelete }: JoinEditorProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const problemAt = useProblemAt();
  const editJoin = useEditJoin(join.id);
  const names = usePartNames();
  const pointer = `/joins/${index}`;
  const two = Object.fromEntries(
    Object.entries(names).filter(([id]) => id === join.partId || id === join.ontoId),
  );
  return (
    <div className={styles.editor}>
      <div className={styles.grid}>
        <Choice
          className={styles.span6 ?? ''}
          label="Set on"
          value={join.partId}
          words={names}
          problem={problemAt(`${pointer}/partId`)}
          onChoose={(partId) =>
            partId &&
            editJoin('what is set on', (it) => {
              if (it.looseEnd?.partId === it.partId) it.looseEnd.partId = partId;
              it.partId = partId;
            })
          }
        />
        <Choice
          className={styles.span6 ?? ''}
          label="Onto"
          value={join.ontoId}
          words={names}
          problem={problemAt(`${pointer}/ontoId`)}
          onChoose={(ontoId) => ontoId && editJoin('what it is set onto', (it) => void (it.ontoId = ontoId))}
        />
        <Choice<JoinMethod>
          className={styles.span3 ?? ''}
          label="How"
          value={join.method}
          words={JOIN_METHOD_WORDS}
          among={JOIN_METHODS}
          onChoose={(method) => method && editJoin('how it is joined', (it) => void (it.method = method))}
        />
        <CountField
          className={styles.span3 ?? ''}
          label="How many"
          value={join.count}
          placeholder="one for each"
          problem={problemAt(`${pointer}/count`)}
          onValue={(count) => editJoin('how many joins', (it) => void (it.count = count), 'count')}
        />
        <JoinSize
          label="Across there"
          hint={usualSize(own.acrossMm, lengthUnit)}
          value={join.across}
          at="across"
          editJoin={editJoin}
        />
        <JoinSize label="Sunk in" value={join.sink} at="sink" editJoin={editJoin} />
        <Choice
          className={styles.span6 ?? ''}
          label="Loose end of"
          value={join.looseEnd?.partId ?? null}
          words={two}
          none="neither"
          problem={problemAt(`${pointer}/looseEnd`)}
          onChoose={(partId) =>
            editJoin('the loose end', (it) => {
              it.looseEnd = partId === null ? null : { ...(it.looseEnd ?? blankLooseEnd(partId)), partId };
            })
          }
        />
        {join.looseEnd && <LooseEndFields end={join.looseEnd} own={own} editJoin={editJoin} />}
        <CoverFields join={join} own={own} pointer={pointer} editJoin={editJoin} />
      </div>
      <div className={styles.rowActions}>
        <span />
        <Button size="small" danger onClick={onDelete}>
          Delete
        </Button>
      </div>
    </div>
  );
}

const BARE_COVER = { fibreId: null, band: null, words: '', wordsSizeFraction: 1, isIfNeeded: false };

interface CoverFieldsProps {
  join: Join;
  own: JoinEstimate;
  pointer: string;
  editJoin: EditItem<Join>;
}

/** The wool over a join: which, how wide, in the author’s words, and whether only if needed. */
function CoverFields({ join, own, pointer, editJoin }: CoverFieldsProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const fibres = useTable((table) => table.fibres);
  const problemAt = useProblemAt();
  return (
    <>
      <Field
        label="Covered with"
        className={styles.span6 ?? ''}
        problem={problemAt(`${pointer}/cover/fibreId`)}
        unknown={join.cover?.fibreId === null ? 'Unknown until you choose one' : null}
      >
        {(control) => (
          <FibreSelect
            control={control}
            fibres={fibres}
            value={join.cover?.fibreId ?? null}
            placeholder="Not covered"
            noneLabel="Not covered"
            onChoose={(fibreId) =>
              editJoin('the cover', (it) => {
                it.cover = fibreId === null ? null : { ...(it.cover ?? BARE_COVER), fibreId };
              })
            }
          />
        )}
      </Field>
      {join.cover && (
        <>
          <div className={styles.span3}>
            <LengthField
              label="Band each side"
              value={join.cover.band}
              defaultUnit={lengthUnit}
              hint={usualSize(own.bandMm, lengthUnit) ?? ''}
              onValue={(band) =>
                editJoin('the band', (it) => void (it.cover && (it.cover.band = band)), 'band')
              }
            />
          </div>
          <Field label="In your words" className={styles.span6 ?? ''}>
            {(control) => (
              <Input
                {...control}
                value={join.cover?.words}
                maxLength={200}
                onChange={(event) => {
                  const words = event.target.value;
                  editJoin('the words', (it) => void (it.cover && (it.cover.words = words)), 'words');
                }}
              />
            )}
          </Field>
          <Checkbox
            className={styles.span6 ?? ''}
            checked={join.cover.isIfNeeded}
            onChange={(event) => {
              const isIfNeeded = event.target.checked;
              editJoin('only if needed', (it) => void (it.cover && (it.cover.isIfNeeded = isIfNeeded)));
            }}
          >
            only if needed: packed apart
          </Checkbox>
        </>
      )}
    </>
  );
}

interface JoinSizeProps {
  label: string;
  value: Length | null;
  at: 'across' | 'sink';
  hint?: string | undefined;
  editJoin: EditItem<Join>;
}

function JoinSize({ label, value, at, hint, editJoin }: JoinSizeProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  return (
    <div className={styles.span3}>
      <LengthField
        label={label}
        value={value}
        allowZero
        defaultUnit={lengthUnit}
        {...(hint !== undefined && { hint })}
        onValue={(length) => editJoin(label.toLowerCase(), (it) => void (it[at] = length), at)}
      />
    </div>
  );
}
