import type { Fibre } from '@lanakit/core/shelf';
import { Select } from 'antd';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { PREPARATION_WORDS } from '../../words/show.ts';
import type { FieldControlProps } from './Field.tsx';
import styles from './FibreSelect.module.css';

interface FibreSelectProps {
  control: FieldControlProps;
  fibres: readonly Fibre[];
  value: string | null;
  placeholder: string;
  /** Wording of the choice for none; without it none cannot be chosen. */
  noneLabel?: string;
  onChoose: (fibreId: string | null) => void;
}

const NONE = '';

/** A fibre of the shelf by name; archived ones only where already in use. */
export function FibreSelect({ control, fibres, value, placeholder, noneLabel, onChoose }: FibreSelectProps) {
  const choices = fibres.filter((fibre) => !fibre.archived || fibre.id === value);
  const options = [
    ...(noneLabel === undefined ? [] : [{ value: NONE, label: noneLabel, text: noneLabel, fibre: null }]),
    ...choices.map((fibre) => ({
      value: fibre.id,
      label: fibre.name,
      text: `${fibre.name} ${PREPARATION_WORDS[fibre.preparation]}`,
      fibre,
    })),
  ];
  return (
    <Select
      {...control}
      className={styles.select ?? ''}
      value={value ?? (noneLabel === undefined ? null : NONE)}
      placeholder={placeholder}
      popupMatchSelectWidth={300}
      showSearch={{ optionFilterProp: 'text' }}
      options={options}
      onChange={(id: string | null) => onChoose(id === NONE ? null : id)}
      labelRender={({ value: id, label }) => {
        const fibre = choices.find((choice) => choice.id === id);
        return fibre ? <FibreLabel fibre={fibre} /> : label;
      }}
      optionRender={({ data }) => (data.fibre ? <FibreLabel fibre={data.fibre} /> : data.label)}
    />
  );
}

function FibreLabel({ fibre }: { fibre: Fibre }) {
  return (
    <span className={styles.label}>
      <FibreSwatch fibre={fibre} width={30} height={16} />
      <span>
        {fibre.name} <span className="quiet">{PREPARATION_WORDS[fibre.preparation]}</span>
      </span>
    </span>
  );
}
