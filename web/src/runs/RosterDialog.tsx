import type { Pattern } from '@lanakit/core/pattern';
import { readRoster, RUN_BOUNDS, type RunInput, withKeptKeys } from '@lanakit/core/run';
import { choiceWords, sizedWords, SKILL_WORDS } from '@lanakit/core/words';
import { Input, Modal } from 'antd';
import { useMemo, useState } from 'react';
import { Field } from '../ui/fields/Field.tsx';
import { counted } from '../words/show.ts';
import styles from './Room.module.css';

interface RosterDialogProps {
  pattern: Pattern;
  input: RunInput;
  onTake: (change: Pick<RunInput, 'seats' | 'roster'>) => void;
  onClose: () => void;
}

/** A pasted list of people becomes seats, in the place of those there are; nothing changes until it is taken. */
export function RosterDialog({ pattern, input, onTake, onClose }: RosterDialogProps) {
  const [text, setText] = useState('');
  const { lines, twice } = useMemo(() => readRoster(text, pattern), [text, pattern]);
  const { max } = RUN_BOUNDS.seats;
  const tooMany = lines.length > max;
  const take = () => {
    onTake({
      seats: lines.length,
      roster: withKeptKeys(
        input.roster,
        lines.map(({ seat }) => seat),
      ),
    });
    onClose();
  };
  return (
    <Modal
      open
      width={760}
      title="Paste who comes"
      onCancel={onClose}
      onOk={take}
      okText={`Take ${counted(lines.length, 'seat')}`}
      okButtonProps={{ disabled: lines.length === 0 || tooMany }}
      cancelText="Keep what I have"
    >
      <p className="quiet">
        A line for each: the name, then whatever is known, with commas between: a colourway or an answer to an
        option, first-timer or practised, left-handed. What is not understood becomes the seat’s note.
        {input.roster.length > 0 &&
          ` The ${counted(input.roster.length, 'seat')} told of so far give way to it.`}
      </p>
      <Field
        label="The list"
        problem={
          tooMany
            ? `A class has ${max} seats at most; this is ${lines.length}. Make two classes of it.`
            : null
        }
      >
        {(control) => (
          <Input.TextArea
            {...control}
            rows={6}
            value={text}
            placeholder={'Mara, russet\nJun, first-timer, left-handed\nTove'}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Field>
      {twice.length > 0 && (
        <p className="amber">
          Two are called the same: {twice.join(', ')}. Add a letter, so that their packs are told apart.
        </p>
      )}
      {lines.length > 0 && !tooMany && (
        <table className={styles.lines}>
          <tbody>
            {lines.map(({ line, seat, unread }) => (
              <tr key={line}>
                <td>{line}</td>
                <th scope="row">{seat.name || <span className="quiet">no name</span>}</th>
                <td>
                  {seat.choices ? (
                    choiceWords(pattern, seat.choices) || 'as written'
                  ) : (
                    <span className="quiet">not chosen yet</span>
                  )}
                </td>
                <td>
                  {[
                    seat.skill && SKILL_WORDS[seat.skill],
                    seat.isLeftHanded && 'left-handed',
                    sizedWords(seat.sizeFraction),
                  ]
                    .filter((word) => word)
                    .join(', ')}
                </td>
                <td className="amber">{unread.length > 0 && `note: ${unread.join(', ')}`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Modal>
  );
}
