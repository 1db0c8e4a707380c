import type { FibreNumberName } from '@lanakit/core/shelf';
import { useState } from 'react';
import { MeasureHelper } from './MeasureHelper.tsx';

type Weighed = 'linearGPerM' | 'arealGPerM2';

interface WeighHelperProps {
  /** The numbers that mean anything here. */
  names: readonly FibreNumberName[];
  /** What is on record, to be compared with. */
  onRecord: (name: Weighed) => number | null;
  onUse: (name: Weighed, value: number) => void;
}

/** Grams per metre or square metre found with a scale, where it has one of them. */
export function WeighHelper({ names, onRecord, onUse }: WeighHelperProps) {
  const [isOpen, setOpen] = useState(false);
  const name = names.find(
    (candidate): candidate is Weighed => candidate === 'linearGPerM' || candidate === 'arealGPerM2',
  );
  if (name === undefined) return null;
  const isLength = name === 'linearGPerM';
  if (!isOpen) {
    return (
      <div>
        <button type="button" className="opens" onClick={() => setOpen(true)}>
          {isLength ? 'Weigh some metres of it' : 'Weigh a piece of it'}
        </button>
      </div>
    );
  }
  return (
    <MeasureHelper
      measuring={isLength ? 'length' : 'area'}
      onRecord={onRecord(name)}
      onUse={({ value }) => {
        onUse(name, Number(value.toPrecision(3)));
        setOpen(false);
      }}
    />
  );
}
