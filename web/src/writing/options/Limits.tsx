import type { OptionLimit, ValueRef } from '@lanakit/core/pattern';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useProblemAt, useTable } from '../table/tableContext.ts';

const KIND_WORDS = { needs: 'goes only with', 'not-with': 'never goes with' } as const;

const keyOf = ({ optionId, valueId }: ValueRef): string => `${optionId} ${valueId}`;

/** Which answers go only together, and which never. */
export function Limits() {
  const edit = useTable((table) => table.edit);
  const options = useTable((table) => table.document.options);
  const limits = useTable((table) => table.document.limits);
  const problemAt = useProblemAt();
  const values = options.flatMap((option) =>
    option.values.map((value) => ({
      ref: { optionId: option.id, valueId: value.id },
      words: `${option.name || 'an option'}: ${value.name || 'unnamed'}`,
    })),
  );
  const words = Object.fromEntries(values.map(({ ref, words: name }) => [keyOf(ref), name]));
  const refOf = (key: string | null) => values.find(({ ref }) => keyOf(ref) === key)?.ref;
  const change = (id: string, label: string, recipe: (draft: OptionLimit) => void, key?: string) =>
    edit(
      label,
      (draft) => {
        const ownLimit = draft.limits.find((limit) => limit.id === id);
        if (ownLimit) recipe(ownLimit);
      },
      key && `${id}.${key}`,
    );
  const [first, second] = [
    values[0]?.ref,
    values.find(({ ref }) => ref.optionId !== values[0]?.ref.optionId)?.ref,
  ];
  const problem = problemAt('/limits');
  return (
    <section className={lists.section} aria-label="Limits">
      <header>
        <h3>Limits</h3>
        <span className="quiet small">what goes only together, and what never does</span>
      </header>
      {problem && (
        <p className="red" role="alert">
          {problem}
        </p>
      )}
      {limits.map((limit) => (
        <div key={limit.id} className={`${lists.grid} below-2`}>
          <Choice
            className={lists.span4 ?? ''}
            label="This"
            value={keyOf(limit.a)}
            words={words}
            onChoose={(key) => {
              const ref = refOf(key);
              if (ref) change(limit.id, 'a limit', (draft) => void (draft.a = ref));
            }}
          />
          <Choice<OptionLimit['kind']>
            className={lists.span4 ?? ''}
            label="How"
            value={limit.kind}
            words={KIND_WORDS}
            onChoose={(kind) => kind && change(limit.id, 'a limit', (draft) => void (draft.kind = kind))}
          />
          <Choice
            className={lists.span4 ?? ''}
            label="That"
            value={keyOf(limit.b)}
            words={words}
            onChoose={(key) => {
              const ref = refOf(key);
              if (ref) change(limit.id, 'a limit', (draft) => void (draft.b = ref));
            }}
          />
          <Field label="Because" className={lists.span8 ?? ''}>
            {(control) => (
              <Input
                {...control}
                value={limit.reason}
                maxLength={300}
                onChange={(event) => {
                  const reason = event.target.value;
                  change(
                    limit.id,
                    'the reason of a limit',
                    (draft) => void (draft.reason = reason),
                    'reason',
                  );
                }}
              />
            )}
          </Field>
          <div className={`${lists.span4} to-end`}>
            <Button
              size="small"
              onClick={() =>
                edit(
                  'deleting a limit',
                  (draft) => void (draft.limits = draft.limits.filter(({ id }) => id !== limit.id)),
                )
              }
            >
              Take it away
            </Button>
          </div>
        </div>
      ))}
      <Button
        size="small"
        disabled={!first || !second}
        onClick={() => {
          if (!first || !second) return;
          edit(
            'adding a limit',
            (draft) =>
              void draft.limits.push({ id: nanoid(10), kind: 'not-with', a: first, b: second, reason: '' }),
          );
        }}
      >
        Add a limit
      </Button>
    </section>
  );
}
