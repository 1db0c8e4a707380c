import type { Problem } from '@lanakit/core/problems';
import { problemWords } from '@lanakit/core/words';
import {
  blankTechniqueStep,
  checkTechnique,
  type Technique,
  type TechniqueInput,
} from '@lanakit/core/writing';
import { Button, Input } from 'antd';
import { produce, type Draft } from 'immer';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { RightsFields } from '../ui/fields/RightsFields.tsx';
import { get } from '../api/client.ts';
import { Field } from '../ui/fields/Field.tsx';
import lists from '../ui/Lists.module.css';
import styles from './Techniques.module.css';
import { TechniqueStepFields } from './TechniqueStepFields.tsx';
import { perform } from '../api/mutations/mutation.ts';
import { bringBack } from '../api/mutations/keeping.ts';
import { createTechnique, deleteTechnique, saveTechnique } from '../api/mutations/patterns.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { problemsBeside } from '../ui/fields/problemsBeside.ts';

interface TechniqueFormProps {
  stored: Technique | null;
  input: TechniqueInput;
}

const inputOf = ({ name, about, parameters, steps, rights }: TechniqueInput): TechniqueInput => ({
  name,
  about,
  parameters,
  steps,
  rights,
});

/** One technique: what it is called, what is filled in, its steps. Saved when she says so, as a version of its own. */
export function TechniqueForm({ stored, input: start }: TechniqueFormProps) {
  const navigate = useNavigate();
  const attempt = useAttempt();
  const [input, setInput] = useState(() => inputOf(start));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const change = (recipe: (draft: Draft<TechniqueInput>) => void) => setInput(produce(recipe));
  const problemAt = (pointer: string) => {
    const problem = problems.find((candidate) => candidate.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
  const save = async () => {
    const found = checkTechnique(input);
    setProblems(found);
    if (found.length > 0) return;
    await attempt(async () => {
      const saved = await perform(
        stored ? saveTechnique(stored.id, stored.version, input) : createTechnique(input),
      );
      await navigate(`/techniques/${saved.id}`);
      return {
        text: `${saved.name} is saved as version ${saved.version}. Patterns that use it are offered it one by one.`,
      };
    }, problemsBeside(setProblems));
  };
  const putAway = async () => {
    if (!stored) return;
    await attempt(async () => {
      await perform(deleteTechnique(stored.id), () => void navigate('/techniques'));
      return {
        text: `${stored.name} is put away; patterns that use it keep its steps.`,
        undo: () => perform(bringBack({ path: '/techniques', id: stored.id })),
      };
    });
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className={lists.grid}>
        <Field label="Name" className={lists.span5 ?? ''} problem={problemAt('/name')}>
          {(control) => (
            <Input
              {...control}
              value={input.name}
              maxLength={80}
              placeholder="Rolled limb"
              onChange={(event) => {
                const name = event.target.value;
                change((draft) => void (draft.name = name));
              }}
            />
          )}
        </Field>
        <Field label="What it is for" className={lists.span7 ?? ''}>
          {(control) => (
            <Input
              {...control}
              value={input.about}
              maxLength={400}
              onChange={(event) => {
                const about = event.target.value;
                change((draft) => void (draft.about = about));
              }}
            />
          )}
        </Field>
      </div>
      <Parameters input={input} change={change} />
      {input.steps.map((step, index) => (
        <TechniqueStepFields
          key={index}
          step={step}
          index={index}
          problem={problemAt(`/steps/${index}/text`) ?? problemAt(`/steps/${index}/act`)}
          change={(recipe) =>
            change((draft) => {
              if (draft.steps[index]) recipe(draft.steps[index]);
            })
          }
          onDelete={
            input.steps.length > 1 ? () => change((draft) => void draft.steps.splice(index, 1)) : null
          }
        />
      ))}
      <div className={styles.add}>
        <Button onClick={() => change((draft) => void draft.steps.push(blankTechniqueStep()))}>
          Add a step
        </Button>
      </div>
      <h2>Whose it is</h2>
      <RightsFields
        rights={input.rights}
        onChange={(_label, recipe) => change((draft) => recipe(draft.rights))}
      />
      {stored && <Uses technique={stored} />}
      <div className={lists.rowActions}>
        <Button type="primary" htmlType="submit">
          {stored ? `Save as version ${stored.version + 1}` : 'Save it'}
        </Button>
        {stored && <Button onClick={() => void putAway()}>Put it away</Button>}
      </div>
    </form>
  );
}

interface ParametersProps {
  input: TechniqueInput;
  change: (recipe: (draft: Draft<TechniqueInput>) => void) => void;
}

const PARAMETER_FIELDS = [
  ['key', 'In braces', 'length'],
  ['name', 'Which is', 'how long the limb is'],
  ['standard', 'Unless said', '60 mm'],
] as const;

/** What is filled in where it is used. */
function Parameters({ input, change }: ParametersProps) {
  return (
    <section aria-label="What is filled in" className="above-3 below-3">
      {input.parameters.map((parameter, index) => (
        <div key={index} className={`${lists.grid} below-2`}>
          {PARAMETER_FIELDS.map(([key, label, example]) => (
            <Field key={key} label={label} className={lists.span3 ?? ''}>
              {(control) => (
                <Input
                  {...control}
                  value={parameter[key]}
                  maxLength={key === 'standard' ? 120 : 60}
                  placeholder={example}
                  onChange={(event) => {
                    const typed = event.target.value;
                    const value = key === 'key' ? typed.toLowerCase().replaceAll(/[^a-z0-9-]/g, '') : typed;
                    change((draft) => {
                      const ownParameter = draft.parameters[index];
                      if (ownParameter) ownParameter[key] = value;
                    });
                  }}
                />
              )}
            </Field>
          ))}
          <div className={`${lists.span3} to-end`}>
            <Button size="small" onClick={() => change((draft) => void draft.parameters.splice(index, 1))}>
              Take it off
            </Button>
          </div>
        </div>
      ))}
      <Button
        size="small"
        onClick={() =>
          change(
            (draft) =>
              void draft.parameters.push({
                key: `value-${draft.parameters.length + 1}`,
                name: '',
                standard: '',
              }),
          )
        }
      >
        Add something to fill in
      </Button>
    </section>
  );
}

interface Use {
  readonly patternId: string;
  readonly title: string;
  readonly useId: string;
  readonly version: number;
}

/** Who uses it, and in which version. */
function Uses({ technique }: { technique: Technique }) {
  const { data } = useSWR<{ items: readonly Use[] }>(`/techniques/${technique.id}/uses`, get);
  if (!data || data.items.length === 0) return <p className="quiet">No pattern uses it yet.</p>;
  return (
    <p className="quiet">
      Used in{' '}
      {data.items
        .map(
          ({ title, version }) =>
            `${title} (version ${version}${version < technique.version ? ', not the newest' : ''})`,
        )
        .join(', ')}
      .
    </p>
  );
}
