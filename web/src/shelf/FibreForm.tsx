import {
  checkFibre,
  type Fibre,
  FIBRE_BOUNDS,
  type FibreInput,
  isColour,
  majorOf,
  minorOf,
  type Preparation,
  PREPARATIONS,
  type Problem,
} from '@lanakit/core';
import { problemWords } from '@lanakit/core/words';
import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { ApiProblem, send } from '../api/client.ts';
import { refresh, useFibreUses } from '../api/resources.ts';
import { Field } from '../fields/Field.tsx';
import { firstUnread } from '../fields/firstUnread.ts';
import { NumberField } from '../fields/NumberField.tsx';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { useNotice } from '../shell/Notice.tsx';
import { PREPARATION_WORDS } from '../words/show.ts';
import styles from './FibreForm.module.css';

interface FibreFormProps {
  /** Null for a new one. */
  fibre: Fibre | null;
  onDone: (saved: Fibre | null) => void;
}

const NEW_FIBRE: FibreInput = {
  name: '',
  preparation: 'carded',
  colour: '#b7b2a6',
  linearGPerM: null,
  stapleMm: null,
  pricePer100gMinor: null,
  onHandG: null,
  archived: false,
};

/** A fibre seen and changed. It is saved when she says so; until then the shelf keeps what it had. */
export function FibreForm({ fibre, onDone }: FibreFormProps) {
  const [input, setInput] = useState<FibreInput>(() => (fibre ? inputOf(fibre) : NEW_FIBRE));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [theirs, setTheirs] = useState<Fibre | null>(null);
  const [version, setVersion] = useState(fibre?.version ?? 0);
  const say = useNotice();
  const set = (change: Partial<FibreInput>) => {
    setInput((before) => ({ ...before, ...change }));
    setProblems([]);
  };
  const problemAt = (pointer: string) => {
    const problem = problems.find((candidate) => candidate.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };

  const save = async (change: Partial<FibreInput> = {}, atVersion = version, isUnread = false) => {
    const wanted = { ...input, ...change };
    const found = checkFibre(wanted);
    setProblems(found);
    if (found.length > 0 || isUnread) return;
    try {
      const saved = fibre
        ? await send<Fibre>('PUT', `/fibres/${fibre.id}`, { body: wanted, version: atVersion })
        : await send<Fibre>('POST', '/fibres', { body: wanted });
      setVersion(saved.version);
      setInput(fibre ? inputOf(saved) : NEW_FIBRE);
      setTheirs(null);
      await refresh('/fibres', '/bench', '/runs/');
      say({ text: `${saved.name} is ${fibre ? 'saved' : 'on the shelf'}.` });
      onDone(saved);
    } catch (error) {
      if (error instanceof ApiProblem && error.problem.code === 'version_conflict') {
        setTheirs(error.problem['theirs'] as Fibre);
      } else if (error instanceof ApiProblem && error.problem.errors) setProblems(error.problem.errors);
      else say({ text: error instanceof Error ? error.message : String(error), isProblem: true });
    }
  };
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        const unread = firstUnread(event.currentTarget);
        unread?.focus();
        void save({}, version, unread !== null);
      }}
    >
      <h2>{fibre ? fibre.name : 'A fibre for the shelf'}</h2>
      <FibreSwatch
        fibre={{ ...input, colour: isColour(input.colour) ? input.colour : '#ffffff' }}
        width={302}
        height={54}
      />
      {theirs && (
        <div className={styles.conflict} role="alert">
          <p className="red">Changed elsewhere since you opened it. Nothing was overwritten.</p>
          <p className="small">
            Saved there: {theirs.name}, {PREPARATION_WORDS[theirs.preparation]},{' '}
            {theirs.onHandG === null ? 'not counted' : `${theirs.onHandG} g on hand`}.
          </p>
          <Button size="small" onClick={() => void save({}, theirs.version)}>
            Keep mine
          </Button>
          <Button
            size="small"
            onClick={() => {
              setInput(inputOf(theirs));
              setVersion(theirs.version);
              setTheirs(null);
            }}
          >
            Use the saved one
          </Button>
        </div>
      )}
      <Field label="Name" problem={problemAt('/name')}>
        {(control) => (
          <Input
            {...control}
            autoFocus={fibre === null}
            value={input.name}
            maxLength={80}
            placeholder="Moss"
            onChange={(event) => set({ name: event.target.value })}
          />
        )}
      </Field>
      <div className={styles.two}>
        <Field label="Prepared as">
          {(control) => (
            <Select<Preparation>
              {...control}
              value={input.preparation}
              options={PREPARATIONS.map((value) => ({ value, label: PREPARATION_WORDS[value] }))}
              onChange={(preparation) => set({ preparation })}
            />
          )}
        </Field>
        <Field label="Colour" problem={problemAt('/colour')}>
          {(control) => (
            <span className={styles.colour}>
              <input
                type="color"
                aria-label="Pick the colour"
                value={isColour(input.colour) ? input.colour : '#ffffff'}
                onChange={(event) => set({ colour: event.target.value })}
              />
              <Input
                {...control}
                value={input.colour}
                maxLength={7}
                onChange={(event) => set({ colour: event.target.value.trim().toLowerCase() })}
              />
            </span>
          )}
        </Field>
      </div>
      {input.preparation === 'tops' && (
        <div className={styles.two}>
          <NumberField
            label="Grams per metre"
            value={input.linearGPerM}
            bounds={FIBRE_BOUNDS.linearGPerM}
            allowEmpty
            suffix="g/m"
            hint="weigh a metre: gives lengths"
            problem={problemAt('/linearGPerM')}
            onValue={(linearGPerM) => set({ linearGPerM })}
          />
          <NumberField
            label="Staple length"
            value={input.stapleMm}
            bounds={FIBRE_BOUNDS.stapleMm}
            allowEmpty
            suffix="mm"
            hint="one tuft pulled from the end"
            problem={problemAt('/stapleMm')}
            onValue={(stapleMm) => set({ stapleMm })}
          />
        </div>
      )}
      <div className={styles.two}>
        <NumberField
          label="On hand"
          value={input.onHandG}
          bounds={FIBRE_BOUNDS.onHandG}
          allowEmpty
          suffix="g"
          hint={fibre ? 'a new count goes in the stock ledger' : 'leave empty if not weighed'}
          problem={problemAt('/onHandG')}
          onValue={(onHandG) => set({ onHandG })}
        />
        <NumberField
          label="Price per 100 g"
          value={input.pricePer100gMinor === null ? null : majorOf(input.pricePer100gMinor)}
          bounds={PRICE_BOUNDS}
          allowEmpty
          hint="your own currency"
          problem={problemAt('/pricePer100gMinor')}
          onValue={(price) => set({ pricePer100gMinor: price === null ? null : minorOf(price) })}
        />
      </div>
      <div className={styles.actions}>
        <Button type="primary" htmlType="submit">
          {fibre ? 'Save' : 'Put it on the shelf'}
        </Button>
        {fibre && (
          <>
            <Button onClick={() => void save({ archived: !fibre.archived })}>
              {fibre.archived ? 'Bring back' : 'Archive'}
            </Button>
            <DeleteFibre fibre={fibre} version={version} />
          </>
        )}
      </div>
      {fibre && <Uses fibreId={fibre.id} />}
    </form>
  );
}

const PRICE_BOUNDS = {
  min: majorOf(FIBRE_BOUNDS.pricePer100gMinor.min),
  max: majorOf(FIBRE_BOUNDS.pricePer100gMinor.max),
};

const inputOf = ({ id: _id, version: _version, ...input }: Fibre): FibreInput => input;

function DeleteFibre({ fibre, version }: { fibre: Fibre; version: number }) {
  const say = useNotice();
  const remove = async () => {
    try {
      await send('DELETE', `/fibres/${fibre.id}`, { version });
      await refresh('/fibres', '/bench');
      const undo = async () => {
        await send('POST', `/fibres/${fibre.id}/restore`);
        await refresh('/fibres', '/bench');
      };
      say({ text: `${fibre.name} is off the shelf.`, undo: () => void undo() });
    } catch (error) {
      say({ text: error instanceof Error ? error.message : String(error), isProblem: true });
    }
  };
  return (
    <Button danger onClick={() => void remove()}>
      Delete
    </Button>
  );
}

/** Everything a fibre is used in, one click away. */
function Uses({ fibreId }: { fibreId: string }) {
  const { data } = useFibreUses(fibreId);
  if (!data) return null;
  const byPattern = new Map<string, { title: string; where: string[] }>();
  for (const { patternId, title, revisionNumber } of data.items) {
    const entry = byPattern.get(patternId) ?? { title, where: [] };
    entry.where.push(revisionNumber === null ? 'draft' : `revision ${revisionNumber}`);
    byPattern.set(patternId, entry);
  }
  return (
    <section className={styles.uses}>
      <h3>Used in</h3>
      {byPattern.size === 0 && <p className="quiet">Nothing yet.</p>}
      <ul>
        {[...byPattern].map(([patternId, { title, where }]) => (
          <li key={patternId}>
            <Link to={`/patterns/${patternId}`}>{title}</Link>{' '}
            <span className="quiet small">{where.join(', ')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
