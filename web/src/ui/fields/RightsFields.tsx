import {
  type Origin,
  ORIGINS,
  PERMISSION_STATES,
  type PermissionState,
  permissionState,
  PERMITTED,
  type Rights,
} from '@lanakit/core/pattern';
import { ORIGIN_WORDS, PERMISSION_STATE_WORDS, PERMITTED_WORDS } from '@lanakit/core/words';
import { Input, Select } from 'antd';
import { DayField } from './DayField.tsx';
import { Choice } from './Choice.tsx';
import { Field } from './Field.tsx';
import lists from '../Lists.module.css';

interface RightsFieldsProps {
  rights: Rights;
  onChange: (label: string, recipe: (draft: Rights) => void, key?: string) => void;
}

/** Where it comes from, what was allowed when and how, and what has to be printed. */
export function RightsFields({ rights, onChange }: RightsFieldsProps) {
  return (
    <div className={lists.grid}>
      <Choice<Origin>
        className={lists.span4 ?? ''}
        label="Origin"
        value={rights.origin}
        words={ORIGIN_WORDS}
        among={ORIGINS}
        onChoose={(origin) => origin && onChange('the origin', (draft) => void (draft.origin = origin))}
      />
      {rights.origin !== 'own' && (
        <Field label="From whom or what" className={lists.span8 ?? ''}>
          {(control) => (
            <Input
              {...control}
              value={rights.from}
              maxLength={200}
              onChange={(event) => {
                const from = event.target.value;
                onChange('whom it is from', (draft) => void (draft.from = from), 'from');
              }}
            />
          )}
        </Field>
      )}
      <Field
        label="Credit, printed wherever it is used"
        className={lists.span12 ?? ''}
        unknown={rights.origin !== 'own' && rights.credit === '' ? 'Say what has to be printed' : null}
      >
        {(control) => (
          <Input
            {...control}
            value={rights.credit}
            maxLength={300}
            onChange={(event) => {
              const credit = event.target.value;
              onChange('the credit', (draft) => void (draft.credit = credit), 'credit');
            }}
          />
        )}
      </Field>
      {rights.origin !== 'own' &&
        PERMITTED.map((what) => (
          <PermissionFields key={what} what={what} rights={rights} onChange={onChange} />
        ))}
    </div>
  );
}

function PermissionFields({
  what,
  rights,
  onChange,
}: RightsFieldsProps & { what: (typeof PERMITTED)[number] }) {
  const ownPermission = rights.permissions.find((permission) => permission.what === what);
  const change = (label: string, recipe: (draft: Rights['permissions'][number]) => void, key?: string) =>
    onChange(
      label,
      (draft) => {
        let permission = draft.permissions.find((candidate) => candidate.what === what);
        if (!permission) {
          permission = { what, state: 'not-asked', date: null, conditions: '' };
          draft.permissions.push(permission);
          permission = draft.permissions.at(-1);
        }
        if (permission) recipe(permission);
      },
      key && `${what}.${key}`,
    );
  return (
    <>
      <span className={lists.begins}>{PERMITTED_WORDS[what]}</span>
      <Select<PermissionState>
        className={lists.span3 ?? ''}
        aria-label={`May I ${PERMITTED_WORDS[what]}`}
        value={permissionState(rights, what)}
        options={PERMISSION_STATES.map((state) => ({ value: state, label: PERMISSION_STATE_WORDS[state] }))}
        onChange={(state) => change('a permission', (draft) => void (draft.state = state))}
      />
      <DayField
        className={lists.span3 ?? ''}
        label={`When: ${PERMITTED_WORDS[what]}`}
        isLabelHidden
        day={ownPermission?.date ?? null}
        allowEmpty
        onDay={(date) => change('the day of a permission', (draft) => void (draft.date = date))}
      />
      <Input
        className={lists.span3 ?? ''}
        aria-label={`On what condition: ${PERMITTED_WORDS[what]}`}
        value={ownPermission?.conditions ?? ''}
        maxLength={300}
        placeholder="on condition…"
        onChange={(event) => {
          const conditions = event.target.value;
          change(
            'the condition of a permission',
            (draft) => void (draft.conditions = conditions),
            'conditions',
          );
        }}
      />
    </>
  );
}
