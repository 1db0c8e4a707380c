import {
  AMOUNT_BOUNDS,
  BLANK_FINDING,
  blankMeasure,
  checkFinding,
  type Finding,
  FINDING_PRICE_BOUNDS,
  type FindingInput,
  findingMassG,
  type FindingMeasure,
  putUpAmount,
  unitOfFinding,
} from '@lanakit/core/shelf';
import { FINDING_CAUTIONS, FINDING_FLAG_WORDS, MEASURED_BY_WORDS, UNIT_WORDS } from '@lanakit/core/words';
import { SpareRuleFields } from '../ui/fields/SpareRuleFields.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { showGrams } from '../words/show.ts';
import { CountedNowField } from './CountedNowField.tsx';
import { ChoiceField, ColourField, FlagsField, MoneyField, NamesField, TextField } from './fields.tsx';
import { ItemFrame } from './ItemFrame.tsx';
import { OffcutsSection } from './OffcutsSection.tsx';
import { LedgerSection } from './LedgerSection.tsx';
import styles from './Panel.module.css';
import { UsedIn } from './UsedIn.tsx';
import { type FormSpec, useItemForm } from './useItemForm.ts';
import { MeasureFields, SortField } from './FindingMeasureFields.tsx';

const SPEC: FormSpec<FindingInput> = {
  path: '/findings',
  blank: BLANK_FINDING,
  check: checkFinding,
  nameOf: ({ name }) => name.trim(),
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
        <CountedNowField
          itemId={finding.id}
          lotId={null}
          unit={unitOfFinding(finding.measure)}
          onHand={finding.onHand}
        />
      )}
      <div className="gap-3" />
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
        {input.measure.by === 'count' && (
          <div className={styles.two}>
            <SpareRuleFields
              rule={input.spares}
              none="as is usual for its sort"
              onRule={(spares) => set({ spares })}
            />
          </div>
        )}
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
          <OffcutsSection finding={finding} />
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
