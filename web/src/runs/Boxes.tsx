import { NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import {
  blankRecipe,
  BOX_FORMS,
  type BoxForm,
  type BoxRecipe,
  checkRun,
  type Designs,
  needlesOffered,
  packGroups,
  RUN_BOUNDS,
} from '@lanakit/core/run';
import { wantedKey } from '@lanakit/core/shelf';
import { BOX_FORM_WORDS, problemWords, wantedName } from '@lanakit/core/words';
import { Button, Checkbox, Input, Select } from 'antd';
import { nanoid } from 'nanoid';
import type { RevisionLine } from '@lanakit/core/api';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { useFindings, useRevisions } from '../api/queries.ts';
import { Choice } from '../ui/fields/Choice.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { ChoiceFields } from '../ui/fields/ChoiceFields.tsx';
import { useNotice } from '../shell/Notice.tsx';
import styles from './Boxes.module.css';
import { RevisionSelect } from './RevisionSelect.tsx';
import { SheetLink } from './RunPapers.tsx';
import type { RunDraft } from './useRunDraft.ts';

const NONE: readonly never[] = [];

interface BoxesProps {
  runId: string;
  draft: RunDraft;
  designs: Designs;
}

/** Sorts of box: what goes into each, and how many are made. */
export function Boxes({ runId, draft, designs }: BoxesProps) {
  const revisions = useRevisions().data?.items ?? NONE;
  const say = useNotice();
  const { recipes } = draft.input;
  const problems = checkRun(draft.input);
  const problemAt = (pointer: string) => {
    const problem = problems.find((runProblem) => runProblem.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
  const set = (at: number, more: Partial<BoxRecipe>) =>
    draft.change({
      recipes: recipes.map((recipe, index) => (index === at ? { ...recipe, ...more } : recipe)),
    });
  const remove = (at: number) => {
    draft.change({ recipes: recipes.filter((_, index) => index !== at) });
    say({
      text: `“${recipes[at]?.name ?? ''}” is out.`,
      undo: () => draft.change({ recipes }),
    });
  };
  const first = revisions[0];
  const groups = packGroups(designs, draft.input);
  return (
    <>
      <div className={styles.heading}>
        <h2>The boxes</h2>
        <Button
          size="small"
          disabled={!first}
          onClick={() => first && draft.change({ recipes: [...recipes, blankRecipe(nanoid(8), first.id)] })}
        >
          Add a sort of box
        </Button>
      </div>
      {problemAt('/recipes') && <p className="red small">{problemAt('/recipes')}</p>}
      {recipes.map((recipe, at) => (
        <BoxFields
          key={recipe.id}
          recipe={recipe}
          revisions={revisions}
          designs={designs}
          problemAt={(field) => problemAt(`/recipes/${at}/${field}`)}
          needles={groups.filter((group) => group.recipe?.id === recipe.id).flatMap(needlesOffered)}
          canRemove={recipes.length > 1}
          patternLink={(place) =>
            recipe.boxes > 0 && (
              <SheetLink
                runId={runId}
                draft={draft}
                size="small"
                sheet={`pattern?pack=${firstBoxOf(recipes, at)}&design=${place}`}
              >
                Read and print it
              </SheetLink>
            )
          }
          onChange={(more) => set(at, more)}
          onRemove={() => remove(at)}
        />
      ))}
    </>
  );
}

/** The number of the first box of a sort. */
const firstBoxOf = (recipes: readonly BoxRecipe[], at: number): number =>
  1 + recipes.slice(0, at).reduce((sum, { boxes }) => sum + boxes, 0);

interface BoxFieldsProps {
  recipe: BoxRecipe;
  revisions: readonly RevisionLine[];
  designs: Designs;
  problemAt: (field: string) => string | null;
  /** Sorts that a box of everything may give away. */
  needles: ReturnType<typeof needlesOffered>;
  canRemove: boolean;
  /** To the pattern of one of its designs, by its place among those that are known. */
  patternLink: (place: number) => ReactNode;
  onChange: (more: Partial<BoxRecipe>) => void;
  onRemove: () => void;
}

/** Found by its name, it is what was asked for. */
const intoSight = (node: HTMLElement | null) => node?.scrollIntoView({ block: 'nearest' });

function BoxFields(props: BoxFieldsProps) {
  const { recipe, revisions, designs, problemAt, needles, canRemove, patternLink, onChange, onRemove } =
    props;
  const { designs: ownDesigns } = recipe;
  const isAsked = useSearchParams()[0].get('box') === recipe.id;
  const setDesign = (at: number, more: Partial<BoxRecipe['designs'][number]>) =>
    onChange({
      designs: ownDesigns.map((design, index) => (index === at ? { ...design, ...more } : design)),
    });
  return (
    <section ref={isAsked ? intoSight : null} className={styles.box} aria-label={recipe.name}>
      <Field label="Box" problem={problemAt('name')}>
        {(control) => (
          <Input
            {...control}
            value={recipe.name}
            maxLength={80}
            onChange={(event) => onChange({ name: event.target.value })}
          />
        )}
      </Field>
      <div className={styles.pair}>
        <NumberField
          label="Boxes"
          value={recipe.boxes}
          bounds={RUN_BOUNDS.boxes}
          isWhole
          problem={problemAt('boxes')}
          onValue={(boxes) => onChange({ boxes })}
        />
        <NumberField
          label="Spare"
          value={recipe.spares}
          bounds={RUN_BOUNDS.sparePacks}
          isWhole
          problem={problemAt('spares')}
          onValue={(spares) => onChange({ spares })}
        />
      </div>
      <Choice<BoxForm>
        label="Holds"
        value={recipe.form}
        words={BOX_FORM_WORDS}
        among={BOX_FORMS}
        onChoose={(form) => onChange({ form: form ?? 'full' })}
      />
      {problemAt('designs') && <p className="red small">{problemAt('designs')}</p>}
      {ownDesigns.map((design, at) => (
        <DesignFields
          key={at}
          design={design}
          at={at}
          pattern={designs.get(design.revisionId)}
          canLeave={ownDesigns.length > 1}
          link={patternLink(
            ownDesigns.slice(0, at).filter(({ revisionId }) => designs.has(revisionId)).length,
          )}
          onChange={(more) => setDesign(at, more)}
          onLeave={() => onChange({ designs: ownDesigns.filter((_, index) => index !== at) })}
        />
      ))}
      <div className={styles.buttons}>
        <Button
          size="small"
          disabled={ownDesigns.length >= 12 || revisions.length === 0}
          onClick={() => {
            const next =
              revisions.find(({ id }) => ownDesigns.every(({ revisionId }) => revisionId !== id)) ??
              revisions[0];
            if (next)
              onChange({
                designs: [
                  ...ownDesigns,
                  { revisionId: next.id, copies: 1, choices: { ...NO_CHOICES, values: {}, swapIds: [] } },
                ],
              });
          }}
        >
          Add a design
        </Button>
        {canRemove && (
          <Button size="small" danger type="text" onClick={onRemove}>
            Take this box out
          </Button>
        )}
      </div>
      <GivenNeedles recipe={recipe} needles={needles} onChange={onChange} />
      <Packaging recipe={recipe} onChange={onChange} />
    </section>
  );
}

interface DesignFieldsProps {
  design: BoxRecipe['designs'][number];
  /** Its place among the designs of the box, from 0. */
  at: number;
  pattern: Pattern | undefined;
  canLeave: boolean;
  /** To its pattern. */
  link: ReactNode;
  onChange: (more: Partial<BoxRecipe['designs'][number]>) => void;
  onLeave: () => void;
}

/** One design of a box: how often, which, and what is chosen of it. */
function DesignFields(props: DesignFieldsProps) {
  const { design, at, pattern, canLeave, link, onChange, onLeave } = props;
  return (
    <div className={styles.design}>
      <div className={styles.designHead}>
        <NumberField
          label={`Copies of design ${at + 1}`}
          isLabelHidden
          value={design.copies}
          bounds={{ min: 1, max: 24 }}
          isWhole
          suffix="×"
          onValue={(copies) => onChange({ copies })}
        />
        <Field label={`Design ${at + 1}`} isLabelHidden>
          {(control) => (
            <RevisionSelect
              control={control}
              className={styles.select ?? ''}
              value={design.revisionId}
              onChoose={(revisionId) =>
                onChange({ revisionId, choices: { ...NO_CHOICES, values: {}, swapIds: [] } })
              }
            />
          )}
        </Field>
        <Button
          size="small"
          type="text"
          aria-label={`Take design ${at + 1} out`}
          disabled={!canLeave}
          onClick={onLeave}
        >
          ×
        </Button>
      </div>
      {pattern && (
        <>
          <ChoiceFields
            pattern={pattern}
            choices={design.choices}
            onChoose={({ values, colourwayId, swapIds }) =>
              onChange({ choices: { values: { ...values }, colourwayId, swapIds: [...swapIds] } })
            }
          />
          {link}
        </>
      )}
    </div>
  );
}

/** Needles that whoever opens the box keeps; what is left out they need at hand, and the card says so. */
function GivenNeedles({
  recipe,
  needles,
  onChange,
}: Pick<BoxFieldsProps, 'recipe' | 'needles' | 'onChange'>) {
  if (needles.length === 0) return null;
  const out = new Set(recipe.needlesLeftOut);
  return (
    <fieldset className={styles.needles}>
      <legend className="small quiet">Needles in the box</legend>
      {needles.map(({ wanted, count }) => {
        const key = wantedKey(wanted);
        return (
          <Checkbox
            key={key}
            checked={!out.has(key)}
            onChange={(event) =>
              onChange({
                needlesLeftOut: event.target.checked
                  ? recipe.needlesLeftOut.filter((leftOut) => leftOut !== key)
                  : [...recipe.needlesLeftOut, key],
              })
            }
          >
            {count} × {wantedName(wanted)}
          </Checkbox>
        );
      })}
    </fieldset>
  );
}

/** The box itself, tissue, a card: things of the shelf. */
function Packaging({ recipe, onChange }: Pick<BoxFieldsProps, 'recipe' | 'onChange'>) {
  const findings = (useFindings().data?.items ?? []).filter(
    ({ measure, archived }) => measure.by === 'count' && !archived,
  );
  return (
    <Field
      label="Packaging, one each"
      hint={recipe.packaging.length === 0 ? 'a box, tissue, a card' : undefined}
    >
      {(control) => (
        <Select<string[]>
          {...control}
          mode="multiple"
          className="wide"
          value={recipe.packaging.map(({ findingId }) => findingId)}
          options={findings.map(({ id, name }) => ({ value: id, label: name }))}
          optionFilterProp="label"
          onChange={(ids) =>
            onChange({
              packaging: ids.map(
                (findingId) =>
                  recipe.packaging.find((candidate) => candidate.findingId === findingId) ?? {
                    findingId,
                    count: 1,
                  },
              ),
            })
          }
        />
      )}
    </Field>
  );
}
