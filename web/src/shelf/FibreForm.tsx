import { showNumber } from '@lanakit/core/base';
import {
  AMOUNT_BOUNDS,
  BLANK_FIBRE,
  checkFibre,
  type Fibre,
  FIBRE_BOUNDS,
  type FibreInput,
  type FibreNumberName,
  isColour,
  numbersOf,
  PREPARATION_DEFAULTS,
  sheetMassG,
} from '@lanakit/core/shelf';
import { FIBRE_FLAG_WORDS, FINENESS_WORDS, PREPARATION_WORDS } from '@lanakit/core/words';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { ChoiceField, ColourField, FlagsField, MoneyField, NamesField, TextField } from './fields.tsx';
import { ItemFrame } from './ItemFrame.tsx';
import { NUMBER_WORDS } from './numberWords.ts';
import styles from './Panel.module.css';
import { WeighHelper } from './WeighHelper.tsx';
import { type FormSpec, type ItemForm, useItemForm } from './useItemForm.ts';

const SPEC: FormSpec<FibreInput> = {
  path: '/fibres',
  blank: BLANK_FIBRE,
  check: checkFibre,
  nameOf: ({ name }) => name.trim(),
};

interface FibreFormProps {
  /** Null for a new one. */
  fibre: Fibre | null;
  onSaved: (id: string) => void;
}

/** What a fibre is like. Empty is unknown, or its preparation's default, which then stands in the field. */
export function FibreForm({ fibre, onSaved }: FibreFormProps) {
  const form = useItemForm<FibreInput>(SPEC, fibre, true, onSaved);
  const { input, set, problemAt } = form;
  const isSheet = numbersOf(input.preparation).includes('arealGPerM2');
  return (
    <ItemFrame form={form}>
      {fibre === null && (
        <>
          <h2>A fibre for the shelf</h2>
          <FibreSwatch
            fibre={{ ...input, colour: isColour(input.colour) ? input.colour : '#ffffff' }}
            width={null}
            height={48}
          />
        </>
      )}
      <TextField
        label="Name"
        value={input.name}
        maxLength={80}
        placeholder="Moss"
        autoFocus={fibre === null}
        problem={problemAt('/name')}
        onValue={(name) => set({ name })}
      />
      <div className={styles.two}>
        <ChoiceField
          label="Prepared as"
          value={input.preparation}
          words={PREPARATION_WORDS}
          onValue={(preparation) => set({ preparation })}
        />
        <ColourField
          value={input.colour}
          problem={problemAt('/colour')}
          onValue={(colour) => set({ colour })}
        />
        {fibre === null && (
          <NumberField
            label="On hand"
            value={form.countedNow}
            bounds={AMOUNT_BOUNDS}
            allowEmpty
            suffix="g"
            hint="empty: not weighed yet"
            problem={problemAt('/countedNow')}
            onValue={form.setCountedNow}
          />
        )}
        <MoneyField
          label="Price per 100 g"
          minor={input.pricePer100gMinor}
          boundsMinor={FIBRE_BOUNDS.pricePer100gMinor}
          hint="your own currency"
          problem={problemAt('/pricePer100gMinor')}
          onValue={(pricePer100gMinor) => set({ pricePer100gMinor })}
        />
      </div>
      <NamesField value={input.otherNames} onValue={(otherNames) => set({ otherNames })} />
      <Measured form={form} />
      {isSheet && (
        <div className={styles.two}>
          <NumberField
            label="Sheet, long"
            value={input.sheetLengthMm}
            bounds={FIBRE_BOUNDS.sheetLengthMm}
            allowEmpty
            suffix="mm"
            problem={problemAt('/sheetLengthMm')}
            onValue={(sheetLengthMm) => set({ sheetLengthMm })}
          />
          <NumberField
            label="Wide"
            value={input.sheetWidthMm}
            bounds={FIBRE_BOUNDS.sheetWidthMm}
            allowEmpty
            suffix="mm"
            hint={sheetWords(input)}
            problem={problemAt('/sheetWidthMm')}
            onValue={(sheetWidthMm) => set({ sheetWidthMm })}
          />
        </div>
      )}
      <div className={styles.two}>
        <ChoiceField
          label="Felts on its own"
          value={yesNoKey(input.feltsAlone)}
          words={feltsWords(input)}
          onValue={(key) => set({ feltsAlone: key === 'default' ? null : key === 'yes' })}
        />
        <ChoiceField
          label="Fineness"
          value={input.fineness ?? 'default'}
          words={finenessWords(input)}
          onValue={(key) => set({ fineness: key === 'default' ? null : key })}
        />
      </div>
      <TextField
        label="Breed or kind"
        value={input.kind}
        maxLength={60}
        placeholder="hill cross"
        onValue={(kind) => set({ kind })}
      />
      <FlagsField
        label="Someone may react, or it was treated"
        value={input.flags}
        words={FIBRE_FLAG_WORDS}
        onValue={(flags) => set({ flags })}
      />
      <TextField label="Note" value={input.note} maxLength={400} isLong onValue={(note) => set({ note })} />
    </ItemFrame>
  );
}

/** The numbers that are measured; a default in force stands in the empty field and is marked. */
function Measured({ form }: { form: ItemForm<FibreInput> }) {
  const { input, set, problemAt } = form;
  const names = numbersOf(input.preparation);
  return (
    <>
      <div className={styles.two}>
        {names.map((name) => (
          <NumberField
            key={name}
            label={NUMBER_WORDS[name].label}
            value={input[name]}
            bounds={FIBRE_BOUNDS[name]}
            allowEmpty
            suffix={NUMBER_WORDS[name].unit}
            {...defaultWords(input, name)}
            problem={problemAt(`/${name}`)}
            onValue={(value) => set({ [name]: value })}
          />
        ))}
      </div>
      <WeighHelper
        names={names}
        onRecord={(name) => input[name]}
        onUse={(name, value) => set({ [name]: value })}
      />
    </>
  );
}

function defaultWords(input: FibreInput, name: FibreNumberName): { placeholder?: string; hint: string } {
  const usual = PREPARATION_DEFAULTS[input.preparation][name];
  if (input[name] !== null || usual === null) return { hint: NUMBER_WORDS[name].how };
  return { placeholder: `≈ ${usual}`, hint: 'our default' };
}

const yesNoKey = (value: boolean | null) => (value === null ? 'default' : value ? 'yes' : 'no');

const feltsWords = ({ preparation }: FibreInput) => ({
  default: `${PREPARATION_DEFAULTS[preparation].feltsAlone ? 'yes' : 'no'} (our default)`,
  yes: 'yes',
  no: 'no',
});

const finenessWords = ({ preparation }: FibreInput) => ({
  default: `${PREPARATION_DEFAULTS[preparation].fineness} (our default)`,
  ...FINENESS_WORDS,
});

function sheetWords(input: FibreInput): string {
  const massG = sheetMassG(input);
  return massG === null ? 'for its grams' : `${showNumber(massG, 1)} g a sheet`;
}
