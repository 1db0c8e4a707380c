import {
  AREA_SORTS,
  COUNTED_SORTS,
  FINDING_BOUNDS,
  type FindingInput,
  type FindingMeasure,
  LENGTH_SORTS,
  OUTER_BOUNDS,
  VOLUME_SORTS,
} from '@lanakit/core/shelf';
import { NAP_WORDS, SORT_WORDS } from '@lanakit/core/words';
import { Checkbox } from 'antd';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { ChoiceField } from './fields.tsx';
import styles from './Panel.module.css';
import { type ItemForm } from './useItemForm.ts';

const SORTS: Readonly<Record<FindingMeasure['by'], readonly FindingMeasure['sort'][]>> = {
  count: COUNTED_SORTS,
  length: LENGTH_SORTS,
  area: AREA_SORTS,
  volume: VOLUME_SORTS,
};

/** Which sort of thing, of those that are measured so. */
export function SortField({ form: { input, set } }: { form: ItemForm<FindingInput> }) {
  const { measure } = input;
  const words = Object.fromEntries(SORTS[measure.by].map((sort) => [sort, SORT_WORDS[sort]])) as Record<
    FindingMeasure['sort'],
    string
  >;
  return (
    <ChoiceField
      label="Sort"
      value={measure.sort}
      words={words}
      onValue={(sort) => set({ measure: { ...measure, sort } as FindingMeasure })}
    />
  );
}

type Range = { readonly min: number; readonly max: number };

/** The two kinds of field a measure is made of: what may be unknown, and what a pack holds. */
function measureFields({ problemAt }: ItemForm<FindingInput>, change: (part: object) => void) {
  const rest = (label: string, field: string, suffix: string, bounds: Range) => ({
    label,
    suffix,
    bounds,
    problem: problemAt(`/measure/${field}`),
    onValue: (next: number | null) => change({ [field]: next }),
  });
  return {
    size: (
      label: string,
      field: string,
      suffix: string,
      value: number | null,
      bounds: Range,
      hint?: string,
    ) => (
      <NumberField
        {...rest(label, field, suffix, bounds)}
        value={value}
        allowEmpty
        {...(hint !== undefined && { hint })}
      />
    ),
    pack: (label: string, field: string, suffix: string, value: number, bounds: Range) => (
      <NumberField {...rest(label, field, suffix, bounds)} value={value} />
    ),
  };
}

/** The sizes and weights that belong to how it is measured. */
export function MeasureFields({ form }: { form: ItemForm<FindingInput> }) {
  const { input, set } = form;
  const { measure } = input;
  const change = (part: object) => set({ measure: { ...measure, ...part } });
  const { size, pack } = measureFields(form, change);
  switch (measure.by) {
    case 'count':
      return <CountedFields form={form} measure={measure} />;
    case 'length':
      return (
        <div className={styles.three}>
          {size(
            'Diameter',
            'diameterMm',
            'mm',
            measure.diameterMm,
            FINDING_BOUNDS.length.diameterMm,
            'or width',
          )}
          {size('Weighs', 'linearGPerM', 'g/m', measure.linearGPerM, FINDING_BOUNDS.length.linearGPerM)}
          {pack(
            'In a pack',
            'metresPerPack',
            'm',
            measure.metresPerPack,
            FINDING_BOUNDS.length.metresPerPack,
          )}
        </div>
      );
    case 'area':
      return (
        <>
          <div className={styles.two}>
            {size('Thickness', 'thicknessMm', 'mm', measure.thicknessMm, FINDING_BOUNDS.area.thicknessMm)}
            {size('Weighs', 'arealGPerM2', 'g/m²', measure.arealGPerM2, FINDING_BOUNDS.area.arealGPerM2)}
            {pack(
              'Sheet, long',
              'sheetLengthMm',
              'mm',
              measure.sheetLengthMm,
              FINDING_BOUNDS.area.sheetLengthMm,
            )}
            {pack('Wide', 'sheetWidthMm', 'mm', measure.sheetWidthMm, FINDING_BOUNDS.area.sheetWidthMm)}
          </div>
          <ChoiceField label="Nap" value={measure.nap} words={NAP_WORDS} onValue={(nap) => change({ nap })} />
        </>
      );
    case 'volume':
      return (
        <div className={styles.three}>
          {size(
            'Can be worked',
            'activeMinutes',
            'min',
            measure.activeMinutes,
            FINDING_BOUNDS.volume.activeMinutes,
          )}
          {size(
            'Sets in',
            'settingMinutes',
            'min',
            measure.settingMinutes,
            FINDING_BOUNDS.volume.settingMinutes,
            'before it is handled',
          )}
          {pack(
            'In a pack',
            'millilitresPerPack',
            'ml',
            measure.millilitresPerPack,
            FINDING_BOUNDS.volume.millilitresPerPack,
          )}
        </div>
      );
  }
}

interface CountedFieldsProps {
  form: ItemForm<FindingInput>;
  measure: Extract<FindingMeasure, { by: 'count' }>;
}

/** Of what is counted: outside and inside, how far it goes in, what one weighs. */
function CountedFields({ form, measure }: CountedFieldsProps) {
  const { problemAt } = form;
  const change = (part: object) => form.set({ measure: { ...measure, ...part } });
  const { size, pack } = measureFields(form, change);
  return (
    <>
      <div className={styles.three}>
        {(['length', 'width', 'height'] as const).map((side) => (
          <NumberField
            key={side}
            label={side === 'height' ? 'Deep' : side === 'width' ? 'Wide' : 'Long'}
            value={measure.outerMm[side]}
            bounds={OUTER_BOUNDS[side]}
            allowEmpty
            suffix="mm"
            problem={problemAt(`/measure/outerMm/${side}`)}
            onValue={(next) => change({ outerMm: { ...measure.outerMm, [side]: next } })}
          />
        ))}
        {size(
          measure.sizeVaries ? 'Inside, narrowest' : 'Inside',
          'innerMm',
          'mm',
          measure.innerMm,
          FINDING_BOUNDS.count.innerMm,
          'what must fit in',
        )}
        {(measure.sizeVaries || (measure.innerHighMm ?? null) !== null) &&
          size(
            'Inside, widest',
            'innerHighMm',
            'mm',
            measure.innerHighMm ?? null,
            FINDING_BOUNDS.count.innerHighMm,
            'what goes in is made for it',
          )}
        {size(
          'Post goes in',
          'postMm',
          'mm',
          measure.postMm ?? null,
          FINDING_BOUNDS.count.postMm,
          'or shank, or loop',
        )}
        {size('Each weighs', 'massG', 'g', measure.massG, FINDING_BOUNDS.count.massG)}
        {pack('In a pack', 'piecesPerPack', 'pcs', measure.piecesPerPack, FINDING_BOUNDS.count.piecesPerPack)}
      </div>
      <Checkbox
        checked={measure.sizeVaries}
        onChange={(event) => change({ sizeVaries: event.target.checked })}
      >
        found: no two are alike
      </Checkbox>
    </>
  );
}
