import type { Session } from '@lanakit/core/pattern';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';

const FIELDS = [
  ['startState', 'Lies on the table', 'body felted, wings cut out'],
  ['safeStop', 'Safe stop', 'head joined: it can lie for a week'],
  ['homework', 'Homework', 'felt both wings firm'],
] as const;

/** Sittings: from which step, what lies there, where it may be left. */
export function Sessions({ onOpenStep }: { onOpenStep: (stepId: string) => void }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const inOrder = [...document.sessions].sort((a, b) => placeOf(a) - placeOf(b));
  function placeOf({ firstStepId }: Session): number {
    const at = document.steps.findIndex(({ id }) => id === firstStepId);
    return at < 0 ? Number.MAX_SAFE_INTEGER : at;
  }
  return (
    <section className={lists.section} aria-label="Sessions">
      <header>
        <h3>Sessions</h3>
        <span className="quiet small">none: it is made in one sitting</span>
      </header>
      {inOrder.map((session) => (
        <SessionFields key={session.id} session={session} onOpenStep={onOpenStep} />
      ))}
      <Button
        size="small"
        onClick={() =>
          edit('adding a session', (draft) => {
            draft.sessions.push({
              id: nanoid(10),
              name: `Session ${draft.sessions.length + 1}`,
              firstStepId: draft.sessions.length === 0 ? (draft.steps[0]?.id ?? null) : null,
              startState: '',
              safeStop: '',
              homework: '',
            });
          })
        }
      >
        Add a session
      </Button>
    </section>
  );
}

interface SessionFieldsProps {
  session: Session;
  onOpenStep: (stepId: string) => void;
}

/** One sitting. */
function SessionFields({ session, onOpenStep }: SessionFieldsProps) {
  const steps = useTable((table) => table.document.steps);
  const edit = useTable((table) => table.edit);
  const change = (label: string, recipe: (draft: Session) => void, key?: string) =>
    edit(
      label,
      (draft) => {
        const ownSession = draft.sessions.find((candidate) => candidate.id === session.id);
        if (ownSession) recipe(ownSession);
      },
      key && `${session.id}.${key}`,
    );
  return (
    <div
      className={`${lists.grid} ${lists.groupOfGrid}`}
      role="group"
      aria-label={session.name || 'a session'}
    >
      <Field label="Name" className={lists.span5 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={session.name}
            maxLength={80}
            placeholder="Saturday"
            onChange={(event) => {
              const name = event.target.value;
              change('the name of a session', (draft) => void (draft.name = name), 'name');
            }}
          />
        )}
      </Field>
      <Choice
        className={lists.span5 ?? ''}
        label="Begins with"
        value={session.firstStepId}
        words={Object.fromEntries(
          steps.map(({ id, text }, at) => [id, `step ${at + 1} ${text.slice(0, 40)}`]),
        )}
        placeholder="which step"
        unknown={session.firstStepId === null ? 'Say which step begins it' : null}
        onChoose={(id) => change('where a session begins', (draft) => void (draft.firstStepId = id))}
      />
      <div className={`${lists.span2} to-end`}>
        <Button
          size="small"
          onClick={() =>
            edit(
              'deleting a session',
              (draft) => void (draft.sessions = draft.sessions.filter(({ id }) => id !== session.id)),
            )
          }
        >
          Delete
        </Button>
      </div>
      {FIELDS.map(([key, label, example]) => (
        <Field key={key} label={label} className={lists.span4 ?? ''}>
          {(control) => (
            <Input.TextArea
              {...control}
              value={session[key]}
              maxLength={300}
              autoSize={{ minRows: 1, maxRows: 4 }}
              placeholder={example}
              onChange={(event) => {
                const text = event.target.value;
                change('a session', (draft) => void (draft[key] = text), key);
              }}
            />
          )}
        </Field>
      ))}
      {session.firstStepId !== null && (
        <div className={lists.span12}>
          <Button
            size="small"
            type="text"
            onClick={() => session.firstStepId && onOpenStep(session.firstStepId)}
          >
            Open its first step
          </Button>
        </div>
      )}
    </div>
  );
}
