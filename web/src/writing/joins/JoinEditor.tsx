import type { Length, LengthUnit } from '@lanakit/core/base';
import type { JoinEstimate } from '@lanakit/core/engine';
import { ACROSS_BY, blankLooseEnd, type Join, JOIN_METHODS, type JoinMethod } from '@lanakit/core/pattern';
import { ACROSS_BY_WORDS, acrossReasonWords, JOIN_METHOD_WORDS } from '@lanakit/core/words';
import { Button, Checkbox, Input } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { CountField } from '../../ui/fields/CountField.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { FibreSelect } from '../../ui/fields/FibreSelect.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import styles from '../../ui/Lists.module.css';
import { type EditItem, useEditJoin, useProblemAt, useTable } from '../table/tableContext.ts';
import { LooseEndFields } from './LooseEndFields.tsx';
import { SlotFields } from './SlotFields.tsx';
import { usePartNames } from '../table/useChoices.ts';
import { usualSize } from '../table/usualSize.ts';

interface JoinEditorProps {
  join: Join;
  joinEstimate: JoinEstimate;
  index: number;
  onDelete: () => void;
}

/** One join: which parts, how, its loose end, and the wool over it. */
export function JoinEditor({ join, joinEstimate, index, onDelete }: JoinEditorProps) {
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
            editJoin('what is set on', (draft) => {
              if (draft.looseEnd?.partId === draft.partId) draft.looseEnd.partId = partId;
              draft.partId = partId;
            })
          }
        />
        <Choice
          className={styles.span6 ?? ''}
          label="Onto"
          value={join.ontoId}
          words={names}
          problem={problemAt(`${pointer}/ontoId`)}
          onChoose={(ontoId) =>
            ontoId && editJoin('what it is set onto', (draft) => void (draft.ontoId = ontoId))
          }
        />
        <Choice<JoinMethod>
          className={styles.span3 ?? ''}
          label="How"
          value={join.method}
          words={JOIN_METHOD_WORDS}
          among={JOIN_METHODS}
          onChoose={(method) =>
            method && editJoin('how it is joined', (draft) => void (draft.method = method))
          }
        />
        <CountField
          className={styles.span3 ?? ''}
          label="How many"
          value={join.count}
          placeholder="one for each"
          problem={problemAt(`${pointer}/count`)}
          onValue={(count) => editJoin('how many joins', (draft) => void (draft.count = count), 'count')}
        />
        <JoinSize
          label="Across there"
          hint={acrossHint(join, joinEstimate, lengthUnit)}
          value={join.across}
          at="across"
          editJoin={editJoin}
        />
        <JoinSize label="Sunk in" value={join.sink} at="sink" editJoin={editJoin} />
        {join.across === null && (
          <Choice
            className={styles.span6 ?? ''}
            label="Left empty, it is"
            value={join.acrossBy}
            words={ACROSS_BY_WORDS}
            among={ACROSS_BY}
            onChoose={(by) => by && editJoin('how wide it is', (draft) => void (draft.acrossBy = by))}
          />
        )}
        <SlotFields join={join} editJoin={editJoin} />
        <Choice
          className={styles.span6 ?? ''}
          label="Loose end of"
          value={join.looseEnd?.partId ?? null}
          words={two}
          none="neither"
          problem={problemAt(`${pointer}/looseEnd`)}
          onChoose={(partId) =>
            editJoin('the loose end', (draft) => {
              draft.looseEnd =
                partId === null ? null : { ...(draft.looseEnd ?? blankLooseEnd(partId)), partId };
            })
          }
        />
        {join.looseEnd && (
          <LooseEndFields end={join.looseEnd} joinEstimate={joinEstimate} editJoin={editJoin} />
        )}
        <CoverFields join={join} joinEstimate={joinEstimate} pointer={pointer} editJoin={editJoin} />
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
  joinEstimate: JoinEstimate;
  pointer: string;
  editJoin: EditItem<Join>;
}

/** The wool over a join: which, how wide, in the author’s words, and whether only if needed. */
function CoverFields({ join, joinEstimate, pointer, editJoin }: CoverFieldsProps) {
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
              editJoin('the cover', (draft) => {
                draft.cover = fibreId === null ? null : { ...(draft.cover ?? BARE_COVER), fibreId };
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
              hint={usualSize(joinEstimate.bandMm, lengthUnit) ?? ''}
              onValue={(band) =>
                editJoin('the band', (draft) => void (draft.cover && (draft.cover.band = band)), 'band')
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
                  editJoin(
                    'the words',
                    (draft) => void (draft.cover && (draft.cover.words = words)),
                    'words',
                  );
                }}
              />
            )}
          </Field>
          <Checkbox
            className={styles.span6 ?? ''}
            checked={join.cover.isIfNeeded}
            onChange={(event) => {
              const isIfNeeded = event.target.checked;
              editJoin(
                'only if needed',
                (draft) => void (draft.cover && (draft.cover.isIfNeeded = isIfNeeded)),
              );
            }}
          >
            only if needed: packed apart
          </Checkbox>
        </>
      )}
    </>
  );
}

/** What it comes to left empty, and why. */
function acrossHint(join: Join, { acrossMm, acrossBy }: JoinEstimate, unit: LengthUnit): string | undefined {
  const size = usualSize(acrossMm, unit);
  return size && acrossBy !== 'typed' ? `${size}, ${acrossReasonWords(join, acrossBy)}` : undefined;
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
        onValue={(length) => editJoin(label.toLowerCase(), (draft) => void (draft[at] = length), at)}
      />
    </div>
  );
}
