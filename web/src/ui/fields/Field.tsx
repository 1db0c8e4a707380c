import { useId, type ReactNode } from 'react';
import { termOfLabel } from '@lanakit/core/words';
import { LabelTerm } from '../Term.tsx';
import styles from './Field.module.css';

export interface FieldControlProps {
  readonly id: string;
  readonly 'aria-describedby'?: string;
  readonly 'aria-invalid'?: boolean;
  /** Where no visible label stands beside it. */
  readonly 'aria-label'?: string;
}

interface FieldProps {
  label: string;
  /** What is wrong, in words; stands under the control. */
  problem?: string | null;
  /** Quiet help under the control. */
  hint?: ReactNode;
  /** Loud, but not wrong: something is still unknown. */
  unknown?: string | null;
  className?: string;
  isLabelHidden?: boolean;
  children: (control: FieldControlProps) => ReactNode;
}

/** A label, a control and what there is to say about it, tied together for eyes and for readers. */
export function Field({ label, problem, hint, unknown, className, isLabelHidden, children }: FieldProps) {
  const id = useId();
  const term = isLabelHidden ? null : termOfLabel(label);
  const noteId = `${id}-note`;
  const note = problem ?? unknown ?? hint ?? null;
  return (
    <div className={`${styles.field} ${className ?? ''}`}>
      <label htmlFor={id} className={isLabelHidden ? 'visually-hidden' : undefined}>
        {term === null ? label : <LabelTerm id={term}>{label}</LabelTerm>}
      </label>
      {children({
        id,
        ...(note !== null && { 'aria-describedby': noteId }),
        ...(problem && { 'aria-invalid': true }),
      })}
      {note !== null && (
        <div
          id={noteId}
          className={problem || unknown ? styles.problem : styles.hint}
          role={problem ? 'alert' : undefined}
        >
          {note}
        </div>
      )}
    </div>
  );
}
