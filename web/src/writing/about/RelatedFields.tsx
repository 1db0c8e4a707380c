import type { Pattern, PatternNamed } from '@lanakit/core/pattern';
import { AutoComplete, Button, Input } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { RELATION_WORDS } from '../../words/relationWords.ts';
import styles from './OtherPatterns.module.css';
import { useTable } from '../table/tableContext.ts';

type Related = Pattern['related'][number];

interface RelatedFieldsProps {
  related: Related;
  /** Patterns of the studio, this one not among them; null: not read yet. */
  others: readonly PatternNamed[] | null;
}

/** One pattern that is made before this one or goes with it: of this studio by its title, or anybody’s by its name. */
export function RelatedFields({ related, others }: RelatedFieldsProps) {
  const edit = useTable((table) => table.edit);
  const change = (label: string, recipe: (draft: Related) => void, key?: string) =>
    edit(
      label,
      (draft) => {
        const found = draft.related.find(({ id }) => id === related.id);
        if (found) recipe(found);
      },
      key && `${related.id}.${key}`,
    );
  const known = others?.find(({ id }) => id === related.patternId);
  const title = known?.title ?? related.title;
  const name = (typed: string) =>
    change(
      'which pattern',
      (draft) => {
        draft.title = typed;
        draft.patternId = others?.find((each) => each.title === typed)?.id ?? null;
      },
      'title',
    );
  return (
    <div
      className={`${lists.grid} ${lists.groupOfGrid} ${styles.related}`}
      role="group"
      aria-label={title || 'a pattern not named yet'}
    >
      <Choice
        className={lists.span4 ?? ''}
        label="It is"
        value={related.relation}
        words={RELATION_WORDS}
        onChoose={(relation) => relation && change('what it is to this', (draft) => void (draft.relation = relation))}
      />
      <Field
        label="Pattern"
        className={lists.span6 ?? ''}
        unknown={title.trim() === '' ? 'Name it, or it is not printed' : null}
        hint={known || !others ? undefined : 'not in this studio: printed as it stands here'}
      >
        {(control) => (
          <AutoComplete
            {...control}
            className="wide"
            value={title}
            options={(others ?? []).map((each) => ({ value: each.title, key: each.id }))}
            showSearch={{ filterOption: true }}
            placeholder="a title"
            maxLength={120}
            onChange={name}
          />
        )}
      </Field>
      <div className={`${lists.span2} to-end`}>
        <Button
          size="small"
          aria-label={`Take out ${title || 'the pattern not named yet'}`}
          onClick={() =>
            edit(
              'taking out a pattern that goes with it',
              (draft) => void (draft.related = draft.related.filter(({ id }) => id !== related.id)),
            )
          }
        >
          Take out
        </Button>
      </div>
      <Field label="Where it can be had" className={lists.span12 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={related.where}
            maxLength={300}
            placeholder="https://… becomes a link; or words"
            onChange={(event) => {
              const where = event.target.value;
              change('where it can be had', (draft) => void (draft.where = where), 'where');
            }}
          />
        )}
      </Field>
    </div>
  );
} // prettier-ignore
