import {
  blankJoin,
  type Join,
  JOIN_METHODS,
  type JoinEstimate,
  type JoinMethod,
  moveItem,
  showSizesMm,
  type Length,
} from '@lanakit/core';
import { JOIN_METHOD_WORDS } from '@lanakit/core/words';
import { Button, Checkbox, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Choice } from '../fields/Choice.tsx';
import { CountField } from '../fields/CountField.tsx';
import { Field } from '../fields/Field.tsx';
import { FibreSelect } from '../fields/FibreSelect.tsx';
import { LengthField } from '../fields/LengthField.tsx';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { ownerName } from '../words/ownerWords.ts';
import { showGrams, showLikely } from '../words/show.ts';
import styles from './Lists.module.css';
import { SortableRows } from './SortableRows.tsx';
import { type EditItem, useEditJoin, useProblemAt, useTable } from './tableContext.ts';
import { usePartNames } from './useChoices.ts';

/** What is set onto what, how, and the wool that belongs to no part. */
export function JoinsList() {
  const { draft } = useTable();
  const { document, edit } = draft;
  const [openId, setOpenId] = useState<string | null>(null);
  const add = () => {
    const [onto, part] = document.parts;
    if (!onto || !part) return;
    const id = nanoid(10);
    edit('adding a join', (it) => void it.joins.push(blankJoin(id, part.id, onto.id)));
    setOpenId(id);
  };
  const remove = (id: string) =>
    edit('deleting a join', (it) => void (it.joins = it.joins.filter((join) => join.id !== id)));
  return (
    <div className={styles.scroll}>
      {document.joins.length === 0 && (
        <p className={styles.empty}>
          A join sets one part onto another. Its wool belongs to no part, so lists forget it: the loose end
          that goes in, and the wrap that covers it.
        </p>
      )}
      <SortableRows
        noun="join"
        openId={openId}
        rows={document.joins.map((join) => ({
          id: join.id,
          name: ownerName({ kind: 'join', id: join.id }, document),
        }))}
        renderRow={(id, index) => (
          <JoinRow
            index={index}
            isOpen={id === openId}
            onToggle={() => setOpenId(id === openId ? null : id)}
            onDelete={() => remove(id)}
          />
        )}
        onMove={(id, toIndex) =>
          edit('moving a join', (it) => void (it.joins = moveItem(it.joins, id, toIndex)))
        }
        onDuplicate={() => undefined}
        onDelete={remove}
        onAddAfter={add}
      />
      <div className={styles.add}>
        <Button disabled={document.parts.length < 2} onClick={add}>
          Add a join
        </Button>
        {document.parts.length < 2 && <span className="quiet">A join needs two parts.</span>}
        {document.joins.length > 0 && (
          <Checkbox
            style={{ alignSelf: 'center' }}
            checked={document.joinsApart}
            onChange={(event) => {
              const isApart = event.target.checked;
              edit('the bag of joins', (it) => void (it.joinsApart = isApart));
            }}
          >
            covers in a bag of their own, or they are used up on the body
          </Checkbox>
        )}
      </div>
    </div>
  );
}

interface JoinRowProps {
  index: number;
  isOpen: boolean;
  onToggle: () => void;
  onDelete: () => void;
}

function JoinRow({ index, isOpen, onToggle, onDelete }: JoinRowProps) {
  const { draft, estimate, shelf } = useTable();
  const join = draft.document.joins[index];
  const own = estimate.joins[index];
  if (!join || !own) return null;
  const cover = own.cover;
  const fibre = shelf.get(cover?.fibreId ?? '');
  return (
    <div className={isOpen ? styles.open : ''}>
      <button type="button" data-row-head className={styles.head} aria-expanded={isOpen} onClick={onToggle}>
        <span className={styles.main}>
          <span className={styles.name}>{ownerName({ kind: 'join', id: join.id }, draft.document)}</span>
          {own.count && own.count.high > 1 && ` ×${own.count.likely}`}
          <span className={styles.detail}>{joinLine(join, own)}</span>
        </span>
        {fibre && <FibreSwatch fibre={fibre} width={34} height={20} />}
        <span className={styles.amount}>
          {cover?.kind === 'known' && showLikely(cover.all.likelyG)}
          {cover?.kind === 'unknown' && <span className="red">unknown</span>}
          {cover?.kind === 'known' && cover.count.high > 1 && <span>{showGrams(cover.pieceG)} each</span>}
        </span>
      </button>
      {isOpen && <JoinEditor join={join} own={own} index={index} onDelete={onDelete} />}
    </div>
  );
}

function joinLine({ method, looseEnd, cover }: Join, { tailMm, looseEnd: end }: JoinEstimate): string {
  const loose =
    looseEnd && tailMm !== null
      ? `loose end ${showSizesMm([tailMm], 'mm')}${end?.kind === 'known' ? `, ${showGrams(end.pieceG)}` : ''}`
      : 'no loose end';
  return `${JOIN_METHOD_WORDS[method]} · ${loose}${cover ? '' : ' · not covered'}`;
}

interface JoinEditorProps {
  join: Join;
  own: JoinEstimate;
  index: number;
  onDelete: () => void;
}

function JoinEditor({ join, own, index, onDelete }: JoinEditorProps) {
  const { draft, fibres } = useTable();
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
          hint={usual(own.acrossMm)}
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
              it.looseEnd = partId === null ? null : { partId, length: it.looseEnd?.length ?? null };
            })
          }
        />
        {join.looseEnd && (
          <div className={styles.span3}>
            <LengthField
              label="So long"
              value={join.looseEnd.length}
              defaultUnit={draft.document.lengthUnit}
              hint={usual(own.tailMm) ?? ''}
              onValue={(length) =>
                editJoin('the loose end', (it) => void (it.looseEnd && (it.looseEnd.length = length)), 'tail')
              }
            />
          </div>
        )}
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
                defaultUnit={draft.document.lengthUnit}
                hint={usual(own.bandMm) ?? ''}
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

const BARE_COVER = { fibreId: null, band: null, words: '', isIfNeeded: false };

const usual = (mm: number | null): string | undefined =>
  mm === null ? undefined : `empty: ${showSizesMm([mm], 'mm')}`;

interface JoinSizeProps {
  label: string;
  value: Length | null;
  at: 'across' | 'sink';
  hint?: string | undefined;
  editJoin: EditItem<Join>;
}

function JoinSize({ label, value, at, hint, editJoin }: JoinSizeProps) {
  const { draft } = useTable();
  return (
    <div className={styles.span3}>
      <LengthField
        label={label}
        value={value}
        allowZero
        defaultUnit={draft.document.lengthUnit}
        {...(hint !== undefined && { hint })}
        onValue={(length) => editJoin(label.toLowerCase(), (it) => void (it[at] = length), at)}
      />
    </div>
  );
}
