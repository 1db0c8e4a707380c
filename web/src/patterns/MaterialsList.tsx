import { blankCut, CUT_KINDS, moveItem, type CutKind } from '@lanakit/core';
import { CUT_WORDS } from '@lanakit/core/words';
import { Button, Dropdown } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Choice } from '../fields/Choice.tsx';
import { CountField } from '../fields/CountField.tsx';
import { NumberField } from '../fields/NumberField.tsx';
import { cutWords } from '../words/cutWords.ts';
import { showGrams } from '../words/show.ts';
import { CutEditor } from './CutEditor.tsx';
import styles from './Lists.module.css';
import { SortableRows } from './SortableRows.tsx';
import { useProblemAt, useTable } from './tableContext.ts';
import { useFindingNames, usePartNames } from './useChoices.ts';
import { Input } from 'antd';
import { Field } from '../fields/Field.tsx';

/** What is not wool: cut to length, put on by the piece; and weights that several amounts share. */
export function MaterialsList() {
  return (
    <div className={styles.scroll}>
      <Cuts />
      <Pieces />
      <SharedWeights />
    </div>
  );
}

function Cuts() {
  const { draft, estimate, wool } = useTable();
  const { document, edit } = draft;
  const [openId, setOpenId] = useState<string | null>(null);
  const remove = (id: string) =>
    edit('deleting a cut', (it) => void (it.cuts = it.cuts.filter((cut) => cut.id !== id)));
  const add = (kind: CutKind) => {
    const id = nanoid(10);
    edit('adding a cut', (it) => void it.cuts.push({ ...blankCut(id, kind), name: CUT_WORDS[kind] }));
    setOpenId(id);
  };
  return (
    <section aria-label="Cut to size">
      <SortableRows
        noun="cut"
        openId={openId}
        rows={document.cuts.map(({ id, name }) => ({ id, name }))}
        renderRow={(id, index) => {
          const cut = document.cuts[index];
          const own = estimate.cuts[index];
          if (!cut || !own) return null;
          const finding = wool.findings.get(cut.findingId ?? '');
          const isOpen = id === openId;
          return (
            <div className={isOpen ? styles.open : ''}>
              <button
                type="button"
                data-row-head
                className={styles.head}
                aria-expanded={isOpen}
                onClick={() => setOpenId(isOpen ? null : id)}
              >
                <span className={styles.main}>
                  <span className={styles.name}>{cut.name || CUT_WORDS[cut.kind]}</span>
                  {cut.count > 1 && ` ×${cut.count}`}
                  <span className={styles.detail}>
                    {CUT_WORDS[cut.kind]} · {finding?.name ?? 'from nothing on the shelf yet'}
                  </span>
                </span>
                <span className={styles.amount}>
                  {own.cut ? cutWords(own.cut, document.lengthUnit) : <span className="red">unknown</span>}
                  {own.massG !== null && <span>{showGrams(own.massG)} in all</span>}
                </span>
              </button>
              {isOpen && <CutEditor cut={cut} own={own} index={index} onDelete={() => remove(id)} />}
            </div>
          );
        }}
        onMove={(id, toIndex) =>
          edit('moving a cut', (it) => void (it.cuts = moveItem(it.cuts, id, toIndex)))
        }
        onDuplicate={() => undefined}
        onDelete={remove}
        onAddAfter={() => add('wire')}
      />
      <div className={styles.add}>
        <Dropdown
          trigger={['click']}
          menu={{
            items: CUT_KINDS.map((kind) => ({ key: kind, label: CUT_WORDS[kind] })),
            onClick: ({ key }) => add(key as CutKind),
          }}
        >
          <Button>Add a length to cut</Button>
        </Dropdown>
        {document.cuts.length === 0 && (
          <span className="quiet" style={{ alignSelf: 'center' }}>
            Wire, cord, whiskers, a panel: cut lengths with every bend and knot.
          </span>
        )}
      </div>
    </section>
  );
}

const COUNTED = ['count', 'volume'] as const;

function Pieces() {
  const { draft } = useTable();
  const { document, edit } = draft;
  const problemAt = useProblemAt();
  const findings = useFindingNames(COUNTED);
  const parts = usePartNames();
  return (
    <section className={styles.section} aria-label="By the piece">
      <header>
        <h3>By the piece</h3>
        <span className="quiet small">eyes, bells, pin backs</span>
      </header>
      {document.findings.map((use, index) => (
        <div key={use.id} className={styles.grid} style={{ marginBottom: 8 }}>
          <Choice
            className={styles.span5 ?? ''}
            label="Finding"
            value={use.findingId}
            words={findings}
            placeholder="choose"
            unknown={use.findingId === null ? 'Unknown until you choose one' : null}
            problem={problemAt(`/findings/${index}/findingId`)}
            onChoose={(findingId) =>
              edit(
                'a finding',
                (it) => void (it.findings[index] && (it.findings[index].findingId = findingId)),
              )
            }
          />
          <CountField
            className={styles.span3 ?? ''}
            label="In one make"
            value={use.count}
            problem={problemAt(`/findings/${index}/count`)}
            unknown={use.count === null ? 'Unknown until given' : null}
            onValue={(count) =>
              edit(
                'how many findings',
                (it) => void (it.findings[index] && (it.findings[index].count = count)),
                `${use.id}.count`,
              )
            }
          />
          <Choice
            className={styles.span4 ?? ''}
            label="On"
            value={use.partId}
            words={parts}
            none="the whole figure"
            onChoose={(partId) =>
              edit('what it is on', (it) => void (it.findings[index] && (it.findings[index].partId = partId)))
            }
          />
          <div className={styles.span12}>
            <Button
              size="small"
              onClick={() =>
                edit(
                  'deleting a finding',
                  (it) => void (it.findings = it.findings.filter(({ id }) => id !== use.id)),
                )
              }
            >
              Take it off
            </Button>
          </div>
        </div>
      ))}
      <Button
        style={{ marginBottom: 8 }}
        onClick={() => {
          const id = nanoid(10);
          edit(
            'adding a finding',
            (it) => void it.findings.push({ id, findingId: null, partId: null, count: 1 }),
          );
        }}
      >
        Add a finding
      </Button>
    </section>
  );
}

function SharedWeights() {
  const { draft, estimate } = useTable();
  const { document, edit } = draft;
  return (
    <section className={styles.section} aria-label="Weights that are shared">
      <header>
        <h3>Weights that are shared</h3>
        <span className="quiet small">one weight for several layers; choose it there as their amount</span>
      </header>
      {document.shared.map((shared, index) => {
        const own = estimate.shared[index];
        return (
          <div key={shared.id} className={styles.grid} style={{ marginBottom: 8 }}>
            <Field label="Of what" className={styles.span6 ?? ''}>
              {(control) => (
                <Input
                  {...control}
                  value={shared.name}
                  maxLength={80}
                  onChange={(event) => {
                    const name = event.target.value;
                    edit(
                      'a shared weight',
                      (it) => void (it.shared[index] && (it.shared[index].name = name)),
                      `${shared.id}.name`,
                    );
                  }}
                />
              )}
            </Field>
            <NumberField<number | null>
              className={styles.span3 ?? ''}
              label="Weighs"
              value={shared.massG}
              bounds={{ min: 0.01, max: 10_000 }}
              suffix="g"
              allowEmpty
              unknown={shared.massG === null ? 'Unknown until given' : null}
              onValue={(massG) =>
                edit(
                  'a shared weight',
                  (it) => void (it.shared[index] && (it.shared[index].massG = massG)),
                  `${shared.id}.massG`,
                )
              }
            />
            <div className={styles.span3} style={{ alignSelf: 'end' }}>
              <Button
                danger
                onClick={() =>
                  edit(
                    'deleting a shared weight',
                    (it) => void (it.shared = it.shared.filter(({ id }) => id !== shared.id)),
                  )
                }
              >
                Delete
              </Button>
            </div>
            <p className={`quiet small ${styles.span12}`}>
              {own?.calculatedG == null
                ? 'What shares it is not all known.'
                : `By their shapes they take ${showGrams(own.calculatedG)}${own.massG === null ? '' : `: ${remainder(own.massG - own.calculatedG)}`}.`}
            </p>
          </div>
        );
      })}
      <Button
        style={{ marginBottom: 8 }}
        onClick={() => {
          const id = nanoid(10);
          edit(
            'adding a shared weight',
            (it) => void it.shared.push({ id, name: 'one weight', massG: null, isWeighed: true }),
          );
        }}
      >
        Add a weight
      </Button>
    </section>
  );
}

const remainder = (leftG: number): string =>
  leftG >= 0 ? `${showGrams(leftG)} over, shared out too` : `${showGrams(-leftG)} less than that`;
