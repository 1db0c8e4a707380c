import { checkRights, type Designs, rightsOfRun, type RightsSubject, type RunInput } from '@lanakit/core/run';
import { PERMISSION_STATE_WORDS, PERMITTED_WORDS, problemWords } from '@lanakit/core/words';
import { Input } from 'antd';
import { Field } from '../ui/fields/Field.tsx';

interface RightsNoteProps {
  input: RunInput;
  designs: Designs;
  onChange: (change: Partial<RunInput>) => void;
}

const SUBJECT_WORDS: Readonly<Record<RightsSubject, string>> = {
  design: '',
  outline: 'The outline of ',
  technique: 'The technique in ',
  picture: 'The picture in ',
};

/** Whose design it is, where it is not one’s own; without a permission a reason is asked for. */
export function RightsNote({ input, designs, onChange }: RightsNoteProps) {
  const rights = rightsOfRun(input, designs);
  if (rights.length === 0) return null;
  const isOpen = rights.some(({ state }) => state !== 'granted');
  const [problem] = checkRights(input, designs);
  return (
    <div role="group" aria-label="Whose design it is">
      {rights.map(({ revisionId, subject, title, what, state, conditions, credit }) => (
        <p
          key={`${revisionId} ${subject} ${title}`}
          className={state === 'granted' ? 'small quiet' : 'small red'}
        >
          {SUBJECT_WORDS[subject]}
          {title}, permission to {PERMITTED_WORDS[what]}: {PERMISSION_STATE_WORDS[state]}
          {conditions !== '' && `, ${conditions}`}. {credit !== '' && `Printed: ${credit}`}
        </p>
      ))}
      {isOpen && (
        <Field label="Why it goes on without" problem={problem ? problemWords(problem) : null}>
          {(control) => (
            <Input.TextArea
              {...control}
              rows={2}
              maxLength={400}
              value={input.rightsReason}
              placeholder="asked on Monday; they said yes on the telephone"
              onChange={(event) => onChange({ rightsReason: event.target.value })}
            />
          )}
        </Field>
      )}
    </div>
  );
}
