import {
  AMOUNT_BOUNDS,
  BLANK_FINDING,
  blankMeasure,
  AREA_SORTS,
  checkFinding,
  COUNTED_SORTS,
  type Finding,
  FINDING_BOUNDS,
  FINDING_PRICE_BOUNDS,
  type FindingInput,
  type FindingMeasure,
  LENGTH_SORTS,
  OUTER_BOUNDS,
  putUpAmount,
  findingMassG,
  unitOfFinding,
  VOLUME_SORTS,
} from '@lanakit/core';
import {
  FINDING_CAUTIONS,
  FINDING_FLAG_WORDS,
  MEASURED_BY_WORDS,
  NAP_WORDS,
  SORT_WORDS,
  UNIT_WORDS,
} from '@lanakit/core/words';
import { Checkbox } from 'antd';
import { NumberField } from '../fields/NumberField.tsx';
import { showGrams } from '../words/show.ts';
import { CountField } from './CountField.tsx';
import { ChoiceField, ColourField, FlagsField, MoneyField, NamesField, TextField } from './fields.tsx';
import { ItemFrame } from './ItemFrame.tsx';
import { LedgerSection } from './LedgerSection.tsx';
import styles from './Panel.module.css';
import { UsedIn } from './UsedIn.tsx';
import { type FormSpec, type ItemForm, useItemForm } from './useItemForm.ts';

const SPEC: FormSpec<FindingInput> = {
  path: '/findings',
  blank: BLANK_FINDING,
  check: checkFinding,
  nameOf: ({ name }) => name.trim(),
};

const SORTS: Readonly<Record<FindingMeasure['by'], readonly FindingMeasure['sort'][]>> = {
  count: COUNTED_SORTS,
  length: LENGTH_SORTS,
  area: AREA_SORTS,
  volume: VOLUME_SORTS,
};

/** Anything on a figure that is not felted, and what there is of it. */
export function FindingPanel({
  finding,
  onSaved,
}: {
  finding: Finding | null;
  onSaved: (id: string) => void;
}) {
  const form = useItemForm<FindingInput>(SPEC, finding, true, onSaved);
  const { input, set, problemAt } = form;
  const unit = unitOfFinding(input.measure);
  return (
    <>
      <h2>{finding?.name ?? 'A finding'}</h2>
      {finding && (
        <CountField
          itemId={finding.id}
          lotId={null}
          unit={unitOfFinding(finding.measure)}
          onHand={finding.onHand}
        />
      )}
      <div style={{ height: 12 }} />
      <ItemFrame form={form}>
        <TextField
          label="Name"
          value={input.name}
          maxLength={80}
          placeholder="Bead eye 4 mm"
          autoFocus={finding === null}
          problem={problemAt('/name')}
          onValue={(name) => set({ name })}
        />
        <div className={styles.two}>
          <ChoiceField
            label="Measured"
            value={input.measure.by}
            words={MEASURED_BY_WORDS}
            onValue={(by) => set({ measure: blankMeasure(by) })}
          />
          <SortField form={form} />
        </div>
        <MeasureFields form={form} />
        {finding === null && (
          <NumberField
            label="On hand"
            value={form.countedNow}
            bounds={AMOUNT_BOUNDS}
            allowEmpty
            suffix={UNIT_WORDS[unit]}
            hint="empty: not counted yet"
            problem={problemAt('/countedNow')}
            onValue={form.setCountedNow}
          />
        )}
        <div className={styles.two}>
          <MoneyField
            label="Price of a pack"
            minor={input.priceMinor}
            boundsMinor={FINDING_PRICE_BOUNDS}
            hint={packWords(input.measure)}
            problem={problemAt('/priceMinor')}
            onValue={(priceMinor) => set({ priceMinor })}
          />
          <TextField
            label="Place"
            value={input.place}
            maxLength={60}
            placeholder="tin 1"
            onValue={(place) => set({ place })}
          />
        </div>
        <FlagsField
          label="To be careful of"
          value={input.flags}
          words={FINDING_FLAG_WORDS}
          onValue={(flags) => set({ flags })}
        />
        {input.flags.length > 0 && (
          <ul className={styles.cautions} aria-label="Cautions">
            {input.flags.map((flag) => (
              <li key={flag}>{FINDING_CAUTIONS[flag]}</li>
            ))}
            <li className="quiet">Reminders only: your local rules and qualified advice decide.</li>
          </ul>
        )}
        <ColourField
          value={input.colour}
          problem={problemAt('/colour')}
          onValue={(colour) => set({ colour: colour === '' ? null : colour })}
        />
        <NamesField value={input.otherNames} onValue={(otherNames) => set({ otherNames })} />
        <TextField label="Note" value={input.note} maxLength={400} isLong onValue={(note) => set({ note })} />
      </ItemFrame>
      {finding && (
        <>
          <LedgerSection itemId={finding.id} unit={unitOfFinding(finding.measure)} lots={null} />
          <UsedIn path={`/findings/${finding.id}`} />
        </>
      )}
    </>
  );
}

function packWords(measure: FindingMeasure): string {
  const amount = putUpAmount(measure);
  const massG = findingMassG(measure, amount);
  return `of ${amount} ${UNIT_WORDS[unitOfFinding(measure)]}${massG === null ? '' : `, ${showGrams(massG)}`}`;
}

function SortField({ form: { input, set } }: { form: ItemForm<FindingInput> }) {
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

/** The sizes and weights that belong to how it is measured. */
function MeasureFields({ form }: { form: ItemForm<FindingInput> }) {
  const { input, set, problemAt } = form;
  const { measure } = input;
  const change = (part: object) => set({ measure: { ...measure, ...part } });
  const size = (
    label: string,
    field: string,
    suffix: string,
    value: number | null,
    bounds: { min: number; max: number },
    hint?: string,
  ) => (
    <NumberField
      label={label}
      value={value}
      bounds={bounds}
      allowEmpty
      suffix={suffix}
      {...(hint !== undefined && { hint })}
      problem={problemAt(`/measure/${field}`)}
      onValue={(next) => change({ [field]: next })}
    />
  );
  const pack = (
    label: string,
    field: string,
    suffix: string,
    value: number,
    bounds: { min: number; max: number },
  ) => (
    <NumberField
      label={label}
      value={value}
      bounds={bounds}
      suffix={suffix}
      problem={problemAt(`/measure/${field}`)}
      onValue={(next) => change({ [field]: next })}
    />
  );
  switch (measure.by) {
    case 'count':
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
              'Inside',
              'innerMm',
              'mm',
              measure.innerMm,
              FINDING_BOUNDS.count.innerMm,
              'what must fit in',
            )}
            {size('Each weighs', 'massG', 'g', measure.massG, FINDING_BOUNDS.count.massG)}
            {pack(
              'In a pack',
              'piecesPerPack',
              'pcs',
              measure.piecesPerPack,
              FINDING_BOUNDS.count.piecesPerPack,
            )}
          </div>
          <Checkbox
            checked={measure.sizeVaries}
            onChange={(event) => change({ sizeVaries: event.target.checked })}
          >
            found: no two are alike
          </Checkbox>
        </>
      );
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
