import type { Fibre, Preparation } from '@lanakit/core/shelf';
import { START_COLOURS, startColour, type WoolChoice } from '@lanakit/core/starts';
import { Select } from 'antd';
import { Field } from '../ui/fields/Field.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { PREPARATION_WORDS } from '../words/show.ts';
import styles from './Begin.module.css';

interface ColourSelectProps {
  label: string;
  value: WoolChoice;
  fibres: readonly Fibre[];
  problem: string | null;
  onChoose: (choice: WoolChoice) => void;
}

/** As wool of a colour that is not there yet would come. */
const NEW: Preparation = 'carded';
/** What nobody sees is no colour of a figure. */
const UNSEEN = new Set<Preparation>(['core-batt', 'loose']);

/** Wool of the shelf first; then colours that would be bought. */
export function ColourSelect({ label, value, fibres, problem, onChoose }: ColourSelectProps) {
  const there = fibres.filter(
    ({ id, preparation, archived }) =>
      (!archived && !UNSEEN.has(preparation)) || (value.from === 'shelf' && id === value.fibreId),
  );
  const shelf = there.map((fibre) => ({
    value: `shelf ${fibre.id}`,
    text: `${fibre.name} ${PREPARATION_WORDS[fibre.preparation]}`,
    fibre,
    choice: { from: 'shelf', fibreId: fibre.id } as WoolChoice,
  }));
  const others = START_COLOURS.map(({ id, name, colour }) => ({
    value: `new ${id}`,
    text: name,
    fibre: { name, colour, preparation: NEW },
    choice: { from: 'new', colourId: id } as WoolChoice,
  }));
  const options = [
    ...(shelf.length > 0 ? [{ label: 'on the shelf', options: shelf }] : []),
    { label: 'not there yet', options: others },
  ];
  const all = [...shelf, ...others];
  return (
    <Field label={label} problem={problem} hint={value.from === 'new' ? notThere(value, fibres) : null}>
      {(control) => (
        <Select
          {...control}
          value={value.from === 'shelf' ? `shelf ${value.fibreId}` : `new ${value.colourId}`}
          popupMatchSelectWidth={260}
          virtual={false}
          showSearch={{ optionFilterProp: 'text' }}
          options={options}
          onChange={(id) => {
            const found = all.find((option) => option.value === id);
            if (found) onChoose(found.choice);
          }}
          labelRender={({ value: id }) => <Colour option={all.find((option) => option.value === id)} />}
          optionRender={({ value: id }) => <Colour option={all.find((option) => option.value === id)} />}
        />
      )}
    </Field>
  );
}

/** New wool is put on the shelf with the figure; of a name that is there, that is taken. */
function notThere({ colourId }: Extract<WoolChoice, { from: 'new' }>, fibres: readonly Fibre[]): string {
  const name = startColour(colourId)?.name ?? '';
  return fibres.some((fibre) => fibre.name === name && fibre.preparation === NEW)
    ? 'from the shelf'
    : 'put on the shelf, not counted';
}

interface Option {
  readonly text: string;
  readonly fibre: Pick<Fibre, 'name' | 'colour' | 'preparation'>;
}

function Colour({ option }: { option: Option | undefined }) {
  if (!option) return null;
  return (
    <span className={styles.colour}>
      <FibreSwatch fibre={option.fibre} width={30} height={16} />
      {option.text}
    </span>
  );
}
