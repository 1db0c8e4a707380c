import { type Length, showNumber } from '@lanakit/core/base';
import { type CutEstimate, type CutSizeName, cutSizeOf, cutToSize, type NoShape } from '@lanakit/core/engine';
import type { Cut } from '@lanakit/core/pattern';
import type { MeasuredBy } from '@lanakit/core/shelf';
import { cutSizeWords } from '@lanakit/core/words';
import { Button, Checkbox, Input } from 'antd';
import { useState } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from '../../ui/Lists.module.css';
import { useEditCut, useProblemAt, useTable } from '../table/tableContext.ts';
import { useFindingNames } from '../table/useChoices.ts';
import { SeatFields } from './SeatFields.tsx';
import { WireFields } from './WireFields.tsx';

interface CutEditorProps {
  cut: Cut;
  cutEstimate: CutEstimate;
  index: number;
  onDelete: () => void;
}

const LONG: readonly MeasuredBy[] = ['length'];
const FLAT: readonly MeasuredBy[] = ['area'];
const PANELS: ReadonlySet<Cut['kind']> = new Set([
  'rolled-strip',
  'tube-panel',
  'panel',
  'cone-panel',
  'pouch-square',
]);
/** May be cut from wire. */
const WIRY: ReadonlySet<Cut['kind']> = new Set(['wire', 'covering', 'whisker', 'length']);
const isPanel = (cut: Cut): boolean => PANELS.has(cut.kind);

/** Sizes of each kind, in the order they are measured; `wire` has its stretches besides. */
const SIZES: Readonly<Record<Cut['kind'], readonly (readonly [key: string, label: string])[]>> = {
  length: [['length', 'Length']],
  panel: [
    ['length', 'Length'],
    ['width', 'Width'],
  ],
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
  'cone-panel': [
    ['bottomDiameter', 'Across below'],
    ['topDiameter', 'Across above'],
    ['height', 'Height'],
    ['overlap', 'Overlap'],
  ],
  'pouch-square': [
    ['base', 'Base, each side'],
    ['wall', 'Walls, high'],
  ],
  handle: [
    ['diameter', 'Across the handle'],
    ['tuck', 'Tucked in at each end'],
  ],
};

/** What a maker may begin with instead: the size of the shape then follows. */
const CUT_SIZE_LABELS: Readonly<Record<CutSizeName, string>> = {
  panel: 'Panel as cut, long',
  strip: 'Strip as cut, wide',
  slant: 'Side as cut, down the slope',
  square: 'Square as cut, each side',
  length: 'Handle as cut, long',
};

const NUMBERS: Readonly<
  Partial<Record<Cut['kind'], readonly (readonly [key: string, label: string, max: number])[]>>
> = {
  wire: [['endCurls', 'Ends curled back', 40]],
  covering: [['folds', 'Folds at its ends', 40]],
  cord: [['knots', 'Knots', 20]],
  binding: [['turns', 'Turns', 500]],
};

/** The same the other way round: typed as it is cut, its shape follows. */
function CutSizeField({ cut, index }: { cut: Cut; index: number }) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const editCut = useEditCut(cut.id);
  const [refusal, setRefusal] = useState<NoShape | null>(null);
  const size = cutSizeOf(cut, lengthUnit);
  if (!size) return null;
  const label = CUT_SIZE_LABELS[size.name];
  const set = (value: Length | null) => {
    if (!value) return;
    const shaped = cutToSize(cut, value);
    setRefusal(typeof shaped === 'string' ? shaped : null);
    if (typeof shaped !== 'string')
      editCut('what it is cut to', (draft) => void Object.assign(draft, shaped), `cut-${index}`);
  };
  return (
    <div className={styles.span3}>
      <LengthField
        label={label}
        value={size.size}
        defaultUnit={lengthUnit}
        problem={refusal && NO_SHAPE_WORDS[refusal]}
        onValue={set}
      />
    </div>
  );
}

const NO_SHAPE_WORDS: Readonly<Record<NoShape, string>> = {
  too_small: 'Nothing closes at that size: cut it larger, or make the overlap or the other size smaller.',
  sizes_missing: 'Give its other sizes first.',
};

/** One thing cut to size, with every allowance. */
export function CutEditor({ cut, cutEstimate, index, onDelete }: CutEditorProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const problemAt = useProblemAt();
  const editCut = useEditCut(cut.id);
  const findings = useFindingNames(isPanel(cut) ? FLAT : LONG);
  const fields = cut as unknown as Readonly<Record<string, Length | number | null>>;
  const set = (label: string, key: string, value: Length | number | null) =>
    editCut(label, (draft) => void Object.assign(draft, { [key]: value }), key);
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
                editCut('the name', (draft) => void (draft.name = name), 'name');
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
          onChoose={(findingId) =>
            editCut('what it is cut from', (draft) => void (draft.findingId = findingId))
          }
        />
        <NumberField
          className={styles.span3 ?? ''}
          label="How many"
          value={cut.count}
          bounds={{ min: 1, max: 500 }}
          isWhole
          onValue={(count) => editCut('how many', (draft) => void (draft.count = count), 'count')}
        />
        {cut.kind === 'wire' && <WireFields cut={cut} />}
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
              defaultUnit={lengthUnit}
              allowZero
              problem={problemAt(`/cuts/${index}/${key}`)}
              onValue={(value) => set(label.toLowerCase(), key, value)}
            />
          </div>
        ))}
        <CutSizeField cut={cut} index={index} />
        {cut.kind === 'cord' && (
          <Checkbox
            className={styles.span6 ?? ''}
            checked={cut.isScaled}
            onChange={(event) => {
              const isScaled = event.target.checked;
              editCut('how it grows', (draft) => void (draft.kind === 'cord' && (draft.isScaled = isScaled)));
            }}
          >
            grows with the figure
          </Checkbox>
        )}
        <SeatFields cut={cut} index={index} />
      </div>
      {cutEstimate.exact && (
        <p className="quiet small">
          Worked out: {showNumber(cutEstimate.exact.lengthMm, 1)}
          {cutEstimate.exact.kind === 'piece' && ` × ${showNumber(cutEstimate.exact.widthMm, 1)}`} mm. Cut at{' '}
          {cutSizeWords(cutEstimate.sizes)}: what you typed as typed, what is worked out rounded up to{' '}
          {lengthUnit === 'in' ? '¼ in' : '5 mm'}.
        </p>
      )}
      {WIRY.has(cut.kind) && (
        <p className="quiet small">
          Cut wire ends are sharp: curl them back flat, and look away from the snip.
        </p>
      )}
      <div className={styles.rowActions}>
        <span />
        <Button size="small" danger onClick={onDelete}>
          Delete
        </Button>
      </div>
    </div>
  );
}
