import { type Skill, SKILLS } from '@lanakit/core/needles';
import { NO_CHOICES } from '@lanakit/core/pattern';
import { type Seat, seatName, seatsOf, withoutSeat, withSeat } from '@lanakit/core/run';
import { FIBRE_FLAGS, type FibreFlag } from '@lanakit/core/shelf';
import { FIBRE_FLAG_WORDS, SKILL_WORDS } from '@lanakit/core/words';
import { Button, Checkbox, Input, Select } from 'antd';
import { Choice } from '../ui/fields/Choice.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { ChoiceFields } from '../ui/fields/ChoiceFields.tsx';
import { useNotice } from '../shell/Notice.tsx';
import styles from './Room.module.css';
import { RevisionSelect } from './RevisionSelect.tsx';
import { SheetLink } from './RunPapers.tsx';
import { seatFindings } from './seatFindings.ts';
import { SeatSize } from './SeatSize.tsx';
import type { RunDraft } from './useRunDraft.ts';
import { revisionOfSeat, type ShownRun } from './useRunPlan.ts';

interface SeatEditorProps {
  runId: string;
  runPlan: ShownRun;
  draft: RunDraft;
  number: number;
  onClose: () => void;
}

/** The room above it is tall: what was asked for comes into sight. */
const intoSight = (node: HTMLElement | null) => node?.scrollIntoView({ block: 'nearest' });

/** Who sits here, what they have chosen, and what has to be thought of for them. */
export function SeatEditor({ runId, runPlan, draft, number, onClose }: SeatEditorProps) {
  const say = useNotice();
  const { input } = draft;
  const seat = seatsOf(input)[number - 1];
  if (!seat) return null;
  const { document } = revisionOfSeat(runPlan, seat);
  const set = (more: Partial<Seat>) => draft.change({ roster: withSeat(input.roster, { ...seat, ...more }) });
  const remove = () => {
    const { roster, seats } = input;
    draft.change({ roster: withoutSeat(roster, number), seats: Math.max(1, seats - 1) });
    onClose();
    say({ text: `${seatName(seat)} is out.`, undo: () => draft.change({ roster, seats }) });
  };
  const choosable = document.options.length + document.colourways.length + document.swaps.length > 0;
  return (
    <section ref={intoSight} className={styles.editor} aria-label={`Seat ${number}`}>
      <header className={styles.editorHead}>
        <h3>{seatName(seat)}</h3>
        <Button size="small" type="text" onClick={onClose}>
          Done
        </Button>
      </header>
      <Field label="Who sits here">
        {(control) => (
          <Input
            {...control}
            value={seat.name}
            maxLength={60}
            placeholder={`Seat ${number}`}
            onChange={(event) => set({ name: event.target.value })}
          />
        )}
      </Field>
      <Field label="Makes">
        {(control) => (
          <RevisionSelect
            control={control}
            className="wide"
            value={seat.revisionId ?? input.revisionId}
            onChoose={(revisionId) =>
              // What was chosen was of the other design.
              set({ revisionId: revisionId === input.revisionId ? null : revisionId, choices: null })
            }
          />
        )}
      </Field>
      {choosable && (
        <>
          <Checkbox
            checked={seat.choices !== null}
            onChange={(event) =>
              set({ choices: event.target.checked ? { ...NO_CHOICES, values: {}, swapIds: [] } : null })
            }
          >
            Has chosen
          </Checkbox>
          {seat.choices !== null && (
            <ChoiceFields
              pattern={document}
              choices={seat.choices}
              onChoose={({ values, colourwayId, swapIds }) =>
                set({ choices: { values: { ...values }, colourwayId, swapIds: [...swapIds] } })
              }
            />
          )}
        </>
      )}
      <SeatSize key={number} seat={seat} runPlan={runPlan} onSize={(sizeFraction) => set({ sizeFraction })} />
      <Choice<Skill>
        label="How practised"
        value={seat.skill}
        words={SKILL_WORDS}
        among={SKILLS}
        none={`as the class: ${SKILL_WORDS[input.skill]}`}
        onChoose={(skill) => set({ skill })}
      />
      <Checkbox checked={seat.isLeftHanded} onChange={(event) => set({ isLeftHanded: event.target.checked })}>
        Left-handed
      </Checkbox>
      <Field label="May not touch">
        {(control) => (
          <Select<FibreFlag[]>
            {...control}
            mode="multiple"
            className="wide"
            value={[...seat.avoids]}
            placeholder="nothing said"
            options={FIBRE_FLAGS.map((flag) => ({ value: flag, label: FIBRE_FLAG_WORDS[flag] }))}
            onChange={(avoids) => set({ avoids })}
          />
        )}
      </Field>
      <Field label="Note">
        {(control) => (
          <Input
            {...control}
            value={seat.note}
            maxLength={200}
            onChange={(event) => set({ note: event.target.value })}
          />
        )}
      </Field>
      <ul className={styles.told}>
        {seatFindings(seat, runPlan).map((words) => (
          <li key={words} className="red small">
            {words}
          </li>
        ))}
      </ul>
      <SheetLink runId={runId} draft={draft} sheet={`pattern?pack=${number}`} size="small">
        Read and print this seat’s pattern
      </SheetLink>
      <Button size="small" danger disabled={input.seats <= 1} onClick={remove}>
        Take this seat out
      </Button>
    </section>
  );
}
