import {
  blankSegment,
  type Cut,
  type CutEstimate,
  type Length,
  type MeasuredBy,
  showNumber,
} from '@lanakit/core';
import { Button, Checkbox, Input } from 'antd';
import { Choice } from '../fields/Choice.tsx';
import { Field } from '../fields/Field.tsx';
import { LengthField } from '../fields/LengthField.tsx';
import { NumberField } from '../fields/NumberField.tsx';
import styles from './Lists.module.css';
import { useEditCut, useProblemAt, useTable } from './tableContext.ts';
import { useFindingNames, usePartNames } from './useChoices.ts';

interface CutEditorProps {
  cut: Cut;
  own: CutEstimate;
  index: number;
  onDelete: () => void;
}

const LONG: readonly MeasuredBy[] = ['length'];
const FLAT: readonly MeasuredBy[] = ['area'];
const isPanel = (cut: Cut): boolean => cut.kind === 'rolled-strip' || cut.kind === 'tube-panel';

/** Sizes of each kind, in the order they are measured; `wire` has its stretches besides. */
const SIZES: Readonly<Record<Cut['kind'], readonly (readonly [key: string, label: string])[]>> = {
  wire: [['curlLength', 'One curl (empty: 8 mm)']],
  covering: [
    ['over', 'Length covered'],
    ['pitch', 'Pitch of one turn'],
    ['aroundDiameter', 'Around a diameter of'],
    ['foldLength', 'One fold'],
  ],
  cord: [
    ['drop', 'Drop'],
    ['fold', 'Fold at the top'],
    ['knotLength', 'One knot'],
    ['handling', 'To hold it by'],
  ],
  binding: [
    ['girth', 'Girth'],
    ['seam', 'Seam'],
    ['handling', 'To hold it by'],
  ],
  whisker: [
    ['span', 'Span, tip to tip'],
    ['margin', 'To trim'],
  ],
  'rolled-strip': [
    ['length', 'Length of the limb'],
    ['diameter', 'Diameter'],
    ['sheetThickness', 'Sheet thickness'],
  ],
  'tube-panel': [
    ['height', 'Height'],
    ['diameter', 'Diameter of the tube'],
    ['overlap', 'Overlap'],
  ],
};

const NUMBERS: Readonly<
  Partial<Record<Cut['kind'], readonly (readonly [key: string, label: string, max: number])[]>>
> = {
  wire: [['endCurls', 'Ends curled back', 40]],
  covering: [['folds', 'Folds at its ends', 40]],
  cord: [['knots', 'Knots', 20]],
  binding: [['turns', 'Turns', 500]],
};

/** One thing cut to size, with every allowance. */
export function CutEditor({ cut, own, index, onDelete }: CutEditorProps) {
  const { draft } = useTable();
  const problemAt = useProblemAt();
  const editCut = useEditCut(cut.id);
  const findings = useFindingNames(isPanel(cut) ? FLAT : LONG);
  const fields = cut as unknown as Readonly<Record<string, Length | number | null>>;
  const set = (label: string, key: string, value: Length | number | null) =>
    editCut(label, (it) => void Object.assign(it, { [key]: value }), key);
  return (
    <div className={styles.editor}>
      <div className={styles.grid}>
        <Field label="Name" className={styles.span4 ?? ''}>
          {(control) => (
            <Input
              {...control}
              value={cut.name}
              maxLength={80}
              onChange={(event) => {
                const name = event.target.value;
                editCut('the name', (it) => void (it.name = name), 'name');
              }}
            />
          )}
        </Field>
        <Choice
          className={styles.span5 ?? ''}
          label="Cut from"
          value={cut.findingId}
          words={findings}
          none="nothing on the shelf yet"
          problem={problemAt(`/cuts/${index}/findingId`)}
          onChoose={(findingId) => editCut('what it is cut from', (it) => void (it.findingId = findingId))}
        />
        <NumberField
          className={styles.span3 ?? ''}
          label="How many"
          value={cut.count}
          bounds={{ min: 1, max: 500 }}
          isWhole
          onValue={(count) => editCut('how many', (it) => void (it.count = count), 'count')}
        />
        {cut.kind === 'wire' && <Segments cut={cut} />}
        {(NUMBERS[cut.kind] ?? []).map(([key, label, max]) => (
          <NumberField
            key={key}
            className={styles.span3 ?? ''}
            label={label}
            value={fields[key] as number}
            bounds={{ min: 0, max }}
            isWhole={key !== 'turns'}
            onValue={(value) => set(label.toLowerCase(), key, value)}
          />
        ))}
        {SIZES[cut.kind].map(([key, label]) => (
          <div key={key} className={styles.span3}>
            <LengthField
              label={label}
              value={fields[key] as Length | null}
              defaultUnit={draft.document.lengthUnit}
              allowZero
              problem={problemAt(`/cuts/${index}/${key}`)}
              onValue={(value) => set(label.toLowerCase(), key, value)}
            />
          </div>
        ))}
        {cut.kind === 'cord' && (
          <Checkbox
            className={styles.span6 ?? ''}
            checked={cut.isScaled}
            onChange={(event) => {
              const isScaled = event.target.checked;
              editCut('how it grows', (it) => void (it.kind === 'cord' && (it.isScaled = isScaled)));
            }}
          >
            grows with the figure
          </Checkbox>
        )}
      </div>
      {own.exact && (
        <p className="quiet small">
          Worked out: {showNumber(own.exact.lengthMm, 1)}
          {own.exact.kind === 'piece' && ` × ${showNumber(own.exact.widthMm, 1)}`} mm; rounded up to 5 mm.
        </p>
      )}
      <p className="quiet small">
        Cut wire ends are sharp: curl them back flat, and look away from the snip.
      </p>
      <div className={styles.rowActions}>
        <span />
        <Button size="small" danger onClick={onDelete}>
          Delete
        </Button>
      </div>
    </div>
  );
}

/** The stretches of one wire, in the order it runs, and its turns round other wires. */
function Segments({ cut }: { cut: Extract<Cut, { kind: 'wire' }> }) {
  const { draft } = useTable();
  const editCut = useEditCut(cut.id);
  const parts = usePartNames();
  const edit = (label: string, recipe: (it: Extract<Cut, { kind: 'wire' }>) => void, key?: string) =>
    editCut(label, (it) => void (it.kind === 'wire' && recipe(it)), key);
  return (
    <div className={styles.span12}>
      {cut.segments.map((segment, at) => (
        <div key={at} className={styles.grid} style={{ marginBottom: 6 }}>
          <Field label="Stretch" className={styles.span3 ?? ''}>
            {(control) => (
              <Input
                {...control}
                value={segment.name}
                maxLength={60}
                onChange={(event) => {
                  const name = event.target.value;
                  edit(
                    'a stretch',
                    (it) => void (it.segments[at] && (it.segments[at].name = name)),
                    `s${at}.name`,
                  );
                }}
              />
            )}
          </Field>
          <Choice
            className={styles.span3 ?? ''}
            label="Through"
            value={segment.partId}
            words={parts}
            none="no part"
            onChoose={(partId) =>
              edit(
                'what it runs through',
                (it) => void (it.segments[at] && (it.segments[at].partId = partId)),
              )
            }
          />
          <div className={styles.span3}>
            <LengthField
              label="Length"
              value={segment.length}
              defaultUnit={draft.document.lengthUnit}
              hint={segment.partId === null ? '' : 'empty: as long as it'}
              onValue={(length) =>
                edit(
                  'a stretch',
                  (it) => void (it.segments[at] && (it.segments[at].length = length)),
                  `s${at}.length`,
                )
              }
            />
          </div>
          <NumberField
            className={styles.span3 ?? ''}
            label="Strands"
            value={segment.strands}
            bounds={{ min: 1, max: 8 }}
            isWhole
            onValue={(strands) =>
              edit(
                'the strands',
                (it) => void (it.segments[at] && (it.segments[at].strands = strands)),
                `s${at}.strands`,
              )
            }
          />
          <Checkbox
            className={styles.span6 ?? ''}
            checked={segment.isTwisted}
            disabled={segment.strands < 2}
            onChange={(event) => {
              const isTwisted = event.target.checked;
              edit('the twist', (it) => void (it.segments[at] && (it.segments[at].isTwisted = isTwisted)));
            }}
          >
            twisted together (8 % more)
          </Checkbox>
          <div className={styles.span6}>
            <Button size="small" onClick={() => edit('a stretch', (it) => void it.segments.splice(at, 1))}>
              Leave this stretch out
            </Button>
          </div>
        </div>
      ))}
      {cut.windings.map((winding, at) => (
        <div key={`w${at}`} className={styles.grid} style={{ marginBottom: 6 }}>
          <NumberField
            className={styles.span3 ?? ''}
            label="Turns"
            value={winding.turns}
            bounds={{ min: 0, max: 500 }}
            onValue={(turns) =>
              edit(
                'the turns',
                (it) => void (it.windings[at] && (it.windings[at].turns = turns)),
                `w${at}.turns`,
              )
            }
          />
          <div className={styles.span4}>
            <LengthField
              label="Round a wire of"
              value={winding.aroundDiameter}
              defaultUnit={draft.document.lengthUnit}
              onValue={(size) =>
                edit(
                  'what it is wound round',
                  (it) => void (it.windings[at] && (it.windings[at].aroundDiameter = size)),
                  `w${at}.around`,
                )
              }
            />
          </div>
          <NumberField
            className={styles.span3 ?? ''}
            label="So often"
            value={winding.count}
            bounds={{ min: 0, max: 500 }}
            onValue={(count) =>
              edit(
                'the turns',
                (it) => void (it.windings[at] && (it.windings[at].count = count)),
                `w${at}.count`,
              )
            }
          />
          <div className={styles.span12}>
            <Button size="small" onClick={() => edit('the turns', (it) => void it.windings.splice(at, 1))}>
              Leave these turns out
            </Button>
          </div>
        </div>
      ))}
      <div className={styles.rowActions}>
        <Button size="small" onClick={() => edit('a stretch', (it) => void it.segments.push(blankSegment()))}>
          Add a stretch
        </Button>
        <Button
          size="small"
          onClick={() =>
            edit('the turns', (it) => void it.windings.push({ turns: 3, aroundDiameter: null, count: 1 }))
          }
        >
          Add turns round a wire
        </Button>
        <span />
      </div>
    </div>
  );
}
