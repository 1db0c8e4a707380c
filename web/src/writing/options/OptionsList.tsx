import { blankOption, type Option } from '@lanakit/core/pattern';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { lazy, Suspense, useState } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';
import { Colourways } from './Colourways.tsx';
import { Limits } from './Limits.tsx';
import styles from './Options.module.css';
import { Swaps } from './Swaps.tsx';
import { ThingPicker } from './ThingPicker.tsx';

const BuildsDialog = lazy(async () => ({ default: (await import('./BuildsDialog.tsx')).BuildsDialog }));

/** What may be chosen: one-of choices and extras, limits between them, colourways, swaps. */
export function OptionsList() {
  const edit = useTable((table) => table.edit);
  const options = useTable((table) => table.document.options);
  const [isComparing, setComparing] = useState(false);
  const add = (kind: Option['kind']) =>
    edit('adding an option', (draft) => void draft.options.push(blankOption(nanoid(10), kind)));
  return (
    <div className={lists.scroll}>
      {options.length === 0 && (
        <p className={lists.empty}>
          A choice is one of several: a grey coat or a brown one. An extra is yes or no: with a ribbon. What
          you name under an answer is made only where that answer is chosen; everything else is made always.
        </p>
      )}
      {options.map((option) => (
        <OptionFields key={option.id} option={option} />
      ))}
      <div className={lists.add}>
        <Button onClick={() => add('one-of')}>Add a choice</Button>
        <Button onClick={() => add('extra')}>Add an extra</Button>
        <Button disabled={options.length === 0} onClick={() => setComparing(true)}>
          Compare the builds
        </Button>
      </div>
      {options.length > 1 && <Limits />}
      <Colourways />
      <Swaps />
      {isComparing && (
        <Suspense fallback={null}>
          <BuildsDialog onClose={() => setComparing(false)} />
        </Suspense>
      )}
    </div>
  );
}

type ChangeOption = (label: string, recipe: (draft: Option) => void, key?: string) => void;

function OptionFields({ option }: { option: Option }) {
  const edit = useTable((table) => table.edit);
  const change: ChangeOption = (label, recipe, key) =>
    edit(
      label,
      (draft) => {
        const ownOption = draft.options.find(({ id }) => id === option.id);
        if (ownOption) recipe(ownOption);
      },
      key && `${option.id}.${key}`,
    );
  const remove = () =>
    edit('deleting an option', (draft) => {
      draft.options = draft.options.filter(({ id }) => id !== option.id);
      draft.limits = draft.limits.filter(({ a, b }) => a.optionId !== option.id && b.optionId !== option.id);
    });
  return (
    <section className={styles.option} aria-label={option.name || 'an option'}>
      <div className={lists.grid}>
        <Field
          label={option.kind === 'extra' ? 'Extra' : 'Choice'}
          className={lists.span6 ?? ''}
          unknown={option.name === '' ? 'Give it a name' : null}
        >
          {(control) => (
            <Input
              {...control}
              value={option.name}
              maxLength={80}
              placeholder={option.kind === 'extra' ? 'with a ribbon' : 'eyes'}
              onChange={(event) => {
                const name = event.target.value;
                change('the name of an option', (draft) => void (draft.name = name), 'name');
              }}
            />
          )}
        </Field>
        <Choice
          className={lists.span4 ?? ''}
          label="Unless chosen otherwise"
          value={option.defaultValueId}
          words={Object.fromEntries(option.values.map(({ id, name }) => [id, name || 'unnamed']))}
          onChoose={(id) => change('the usual answer', (draft) => void (draft.defaultValueId = id))}
        />
        <div className={`${lists.span2} to-end to-right`}>
          <Button size="small" danger onClick={remove}>
            Delete
          </Button>
        </div>
      </div>
      {option.values.map((value) => (
        <div key={value.id} className={`${styles.value} ${lists.grid}`}>
          <Field label="Answer" className={lists.span3 ?? ''}>
            {(control) => (
              <Input
                {...control}
                value={value.name}
                maxLength={80}
                placeholder="glass"
                disabled={option.kind === 'extra'}
                onChange={(event) => {
                  const name = event.target.value;
                  change(
                    'an answer',
                    (draft) => {
                      const answer = draft.values.find(({ id }) => id === value.id);
                      if (answer) answer.name = name;
                    },
                    `${value.id}.name`,
                  );
                }}
              />
            )}
          </Field>
          <ThingPicker
            className={lists.span9 ?? ''}
            label={option.kind === 'extra' ? `Only with “${value.name}”` : 'Only with this answer'}
            things={value.things}
            onChoose={(things) =>
              change('what an answer switches', (draft) => {
                const answer = draft.values.find(({ id }) => id === value.id);
                if (answer) answer.things = things;
              })
            }
          />
        </div>
      ))}
      {option.kind === 'one-of' && <AnswerButtons option={option} change={change} />}
    </section>
  );
}

/** More answers, or fewer. */
function AnswerButtons({ option, change }: { option: Option; change: ChangeOption }) {
  const edit = useTable((table) => table.edit);
  return (
    <div className={lists.rowActions}>
      <Button
        size="small"
        disabled={option.values.length >= 12}
        onClick={() =>
          change(
            'adding an answer',
            (draft) => void draft.values.push({ id: nanoid(10), name: '', things: [] }),
          )
        }
      >
        Add an answer
      </Button>
      <Button
        size="small"
        disabled={option.values.length <= 1}
        onClick={() =>
          edit('deleting an answer', (draft) => {
            const ownOption = draft.options.find(({ id }) => id === option.id);
            const gone = ownOption?.values.pop();
            if (!ownOption || !gone) return;
            if (ownOption.defaultValueId === gone.id)
              ownOption.defaultValueId = ownOption.values[0]?.id ?? null;
            draft.limits = draft.limits.filter(({ a, b }) => a.valueId !== gone.id && b.valueId !== gone.id);
          })
        }
      >
        Take the last one off
      </Button>
    </div>
  );
}
