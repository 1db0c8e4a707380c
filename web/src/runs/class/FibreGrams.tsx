import { Button, Select } from 'antd';
import { type ReactNode, useState } from 'react';
import { FromScale } from '../../scale/FromScale.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import styles from './Class.module.css';

interface FibreGramsProps {
  /** Of the field of the fibre, and of that of its grams. */
  labels: { readonly fibre: string; readonly grams: string };
  fibres: readonly { readonly value: string; readonly label: string }[];
  mostG: number;
  /** What is pressed. */
  press: string;
  onGrams: (fibreId: string, massG: number) => void;
  children?: ReactNode;
}

/** So much of a fibre: typed, or as it lies on the scale. */
export function FibreGrams({ labels, fibres, mostG, press, onGrams, children }: FibreGramsProps) {
  const [fibreId, setFibreId] = useState<string | null>(fibres[0]?.value ?? null);
  const [massG, setMassG] = useState<number | null>(null);
  const take = () => {
    if (fibreId === null || massG === null) return;
    onGrams(fibreId, massG);
    setMassG(null);
  };
  return (
    <div className={styles.line}>
      <Field label={labels.fibre}>
        {(control) => (
          <Select
            {...control}
            size="large"
            className="wide"
            value={fibreId}
            onChange={setFibreId}
            options={[...fibres]}
          />
        )}
      </Field>
      {children}
      <NumberField<number | null>
        label={labels.grams}
        value={massG}
        bounds={{ min: 0.001, max: mostG }}
        allowEmpty
        suffix="g"
        onValue={setMassG}
      />
      <FromScale label={labels.grams} onMass={setMassG} />
      <Button size="large" disabled={massG === null || fibreId === null} onClick={take}>
        {press}
      </Button>
    </div>
  );
}
