import type { MakingPage } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import {
  blankMakingLine,
  layersOfBag,
  MAKING_BOUNDS,
  type MakingLine,
  type SAID_ROLES,
  tookOfLine,
} from '@lanakit/core/logbook';
import { FIRMNESSES, type Firmness, HAND_MEASURES, type HandMeasureName } from '@lanakit/core/shelf';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { FromScale } from '../../scale/FromScale.tsx';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { FibreSelect } from '../../ui/fields/FibreSelect.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { FibreSwatch } from '../../ui/look/FibreSwatch.tsx';
import { untaughtWords } from '../../words/logbookWords.ts';
import { showGrams } from '../../words/show.ts';
import book from '../Logbook.module.css';
import styles from './Making.module.css';
import { lineName } from './lineName.ts';
import type { MakingDraft } from './useMakingDraft.ts';

interface WoolLinesProps {
  page: MakingPage;
  draft: MakingDraft;
  wool: Wool;
  questionsAt: (place: string) => readonly string[];
}

const newId = () => nanoid(10);

/** Each bag of wool before and after, or each layer. */
export function WoolLines({ page, draft, wool, questionsAt }: WoolLinesProps) {
  const { input, change } = draft;
  const { build } = page;
  const add = () =>
    change(
      'a line of wool',
      (making) => void making.lines.push(blankMakingLine(newId(), { of: build ? 'fibre' : 'said' })),
    );
  return (
    <section aria-label="Wool">
      <h3>Wool</h3>
      <div className={styles.lines}>
        {input.lines.map((line, at) => (
          <WoolLine
            key={line.id}
            line={line}
            at={at}
            page={page}
            draft={draft}
            wool={wool}
            questions={questionsAt(line.id)}
          />
        ))}
      </div>
      <p className={book.add}>
        <Button size="small" onClick={add}>
          {build ? 'Another bag' : 'Add wool'}
        </Button>
        {input.lines.length === 0 && (
          <span className="quiet">
            Put the bag on the scale before you begin, and again when you are done.
          </span>
        )}
      </p>
    </section>
  );
}

interface WoolLineProps extends Omit<WoolLinesProps, 'questionsAt'> {
  line: MakingLine;
  at: number;
  questions: readonly string[];
}

function WoolLine({ line, at, page, draft, wool, questions }: WoolLineProps) {
  const [isOpen, setOpen] = useState(line.addedG !== null || line.removedG !== null || line.hand !== null);
  const { change } = draft;
  const name = lineName(line, page, wool);
  const evidence = page.evidence.find(({ id }) => id.endsWith(`:${line.id}`));
  const untaught = page.untaught.find(({ id }) => id.endsWith(`:${line.id}`));
  const tookG = tookOfLine(line);
  const set = (what: string, recipe: (line: MakingLine) => void) =>
    change(`${what}, ${name}`, (making) => {
      const target = making.lines[at];
      if (target) recipe(target);
    });
  const slip = unitSlipOf(page, line.id);
  return (
    <div className={styles.line} role="group" aria-label={name}>
      <LineName line={line} name={name} wool={wool} page={page} set={set} />
      <Grams
        label={line.weighed === 'bag' ? 'Before' : 'Piece before'}
        name={name}
        massG={line.beforeG}
        onMass={(massG) => set('before', (each) => void (each.beforeG = massG))}
      />
      <Grams
        label={line.weighed === 'bag' ? 'After' : 'Piece after'}
        name={name}
        massG={line.afterG}
        onMass={(massG) => set('after', (each) => void (each.afterG = massG))}
      />
      <div className={styles.took}>
        <span className="quiet small">took</span>
        <b>{tookG === null ? '–' : showGrams(tookG)}</b>
        {evidence && <Against expected={evidence.expected} found={evidence.found} />}
      </div>
      <Button
        size="small"
        type="text"
        aria-expanded={isOpen}
        aria-label={`More of ${name}`}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? 'less' : 'more'}
      </Button>
      {isOpen && <LineMore line={line} page={page} draft={draft} wool={wool} at={at} set={set} />}
      {questions.map((words) => (
        <p key={words} className={book.question} role="note">
          {words}
          {slip !== null && tookG !== null && (
            <Button size="small" onClick={() => set('point', (each) => scaleLine(each, slip))}>
              Yes, {showGrams(tookG * slip)}
            </Button>
          )}
        </p>
      ))}
      {untaught && tookG !== null && questions.length === 0 && (
        <p className={`${book.note} quiet small`}>{untaughtWords(untaught.why)}</p>
      )}
    </div>
  );
}

const unitSlipOf = ({ questions }: MakingPage, place: string): number | null => {
  const found = questions.find((question) => question.code === 'unit_slip' && question.place === place);
  return found?.code === 'unit_slip' ? found.times : null;
};

/** All of a line’s weighings in the unit they were meant in. */
function scaleLine(line: MakingLine, times: number): void {
  for (const key of ['beforeG', 'afterG', 'addedG', 'removedG'] as const) {
    const massG = line[key];
    if (massG !== null) line[key] = massG * times;
  }
}

/** What was found against what was expected before anything was weighed. */
const Against = ({ expected, found }: { expected: number; found: number }) => (
  <span className="quiet small">
    of {showGrams(expected)} expected, {Math.round((found / expected) * 100)} %
  </span>
);

interface GramsProps {
  label: string;
  name: string;
  massG: number | null;
  onMass: (massG: number | null) => void;
}

const Grams = ({ label, name, massG, onMass }: GramsProps) => (
  <div className={styles.withScale}>
    <NumberField<number | null>
      label={label}
      value={massG}
      bounds={MAKING_BOUNDS.massG}
      allowEmpty
      suffix="g"
      onValue={onMass}
    />
    <FromScale label={`${label}, ${name}`} onMass={onMass} />
  </div>
);

type SetLine = (what: string, recipe: (line: MakingLine) => void) => void;

function LineName({
  line,
  name,
  wool,
  page,
  set,
}: {
  line: MakingLine;
  name: string;
  wool: Wool;
  page: MakingPage;
  set: SetLine;
}) {
  const fibre = line.fibreId === null ? undefined : wool.fibres.get(line.fibreId);
  if (page.build && fibre)
    return (
      <div className={styles.name}>
        <FibreSwatch fibre={fibre} width={34} height={26} />
        <span>{name}</span>
      </div>
    );
  return (
    <div className={styles.nameFields}>
      {!page.build && (
        <Field label="Piece">
          {(control) => (
            <Input
              {...control}
              value={line.name}
              maxLength={80}
              placeholder="Body"
              onChange={({ target: { value } }) => set('piece', (each) => void (each.name = value))}
            />
          )}
        </Field>
      )}
      <Field label="Fibre">
        {(control) => (
          <FibreSelect
            control={control}
            fibres={[...wool.fibres.values()]}
            value={line.fibreId}
            placeholder="Choose"
            onChoose={(fibreId) => set('fibre', (each) => void (each.fibreId = fibreId))}
          />
        )}
      </Field>
    </div>
  );
}

const ROLE_NAMES: Readonly<Record<(typeof SAID_ROLES)[number], string>> = {
  core: 'core',
  coat: 'coat over it',
  hair: 'hair',
  added: 'something added',
};
const FIRMNESS_NAMES: Readonly<Record<Firmness, string>> = {
  airy: 'airy',
  springy: 'springy',
  firm: 'firm',
  solid: 'solid',
};
const HAND_NAMES: Readonly<Record<HandMeasureName, string>> = {
  wisp: 'wisps',
  pinch: 'pinches',
  tuft: 'tufts',
};

interface LineMoreProps extends Pick<WoolLineProps, 'line' | 'page' | 'draft' | 'wool' | 'at'> {
  set: SetLine;
}

function LineMore({ line, page, draft, wool, at, set }: LineMoreProps) {
  const { build } = page;
  const lots = (line.fibreId === null ? undefined : wool.fibres.get(line.fibreId))?.lots ?? [];
  const layers = () =>
    draft.change('by layer', (making) => {
      const target = making.lines[at];
      if (target && build) making.lines.splice(at, 1, ...layersOfBag(target, build, wool, newId));
    });
  return (
    <div className={styles.more}>
      <Choice<'bag' | 'piece'>
        label="On the scale"
        value={line.weighed}
        words={{ bag: 'the bag it came from', piece: 'the piece it went onto' }}
        onChoose={(weighed) => weighed && set('what was weighed', (each) => void (each.weighed = weighed))}
      />
      <NumberField<number | null>
        label="Came to the bag"
        value={line.addedG}
        bounds={MAKING_BOUNDS.massG}
        allowEmpty
        suffix="g"
        onValue={(massG) => set('added', (each) => void (each.addedG = massG))}
      />
      <NumberField<number | null>
        label="Pulled off again"
        value={line.removedG}
        bounds={MAKING_BOUNDS.massG}
        allowEmpty
        suffix="g"
        onValue={(massG) => set('removed', (each) => void (each.removedG = massG))}
      />
      {lots.length > 1 && (
        <Choice<string>
          label="Lot"
          value={line.lotId}
          words={Object.fromEntries(lots.map(({ id, name }) => [id, name]))}
          none="not said"
          onChoose={(lotId) => set('lot', (each) => void (each.lotId = lotId))}
        />
      )}
      {!build && (
        <>
          <Choice<(typeof SAID_ROLES)[number]>
            label="It is"
            value={line.role}
            words={ROLE_NAMES}
            onChoose={(role) => role && set('role', (each) => void (each.role = role))}
          />
          <Choice<Firmness>
            label="Felted"
            value={line.firmness}
            words={FIRMNESS_NAMES}
            among={FIRMNESSES}
            onChoose={(firmness) => firmness && set('firmness', (each) => void (each.firmness = firmness))}
          />
        </>
      )}
      <Choice<HandMeasureName>
        label="By hand"
        value={line.hand?.name ?? null}
        words={HAND_NAMES}
        among={HAND_MEASURES}
        none="not by hand"
        onChoose={(name) =>
          set(
            'hand',
            (each) => void (each.hand = name === null ? null : { name, count: each.hand?.count ?? 1 }),
          )
        }
      />
      {line.hand && (
        <NumberField<number>
          label="How many"
          value={line.hand.count}
          bounds={MAKING_BOUNDS.handCount}
          onValue={(count) => set('how many', (each) => void (each.hand && (each.hand.count = count)))}
        />
      )}
      <div className={styles.moreEnds}>
        {build && line.of === 'fibre' && (
          <Button size="small" onClick={layers}>
            Weigh each layer of it
          </Button>
        )}
        <Button
          size="small"
          type="text"
          onClick={() => draft.change('line of wool', (making) => void making.lines.splice(at, 1))}
        >
          Take the line out
        </Button>
      </div>
    </div>
  );
}
