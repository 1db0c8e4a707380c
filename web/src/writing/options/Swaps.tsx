import { swapEffect } from '@lanakit/core/build';
import { type Swap, type Taken, takenKinds } from '@lanakit/core/pattern';
import { CUT_WORDS, fibreNamesOf } from '@lanakit/core/words';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { Choice } from '../../ui/fields/Choice.tsx';
import { FibreSelect } from '../../ui/fields/FibreSelect.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import lists from '../../ui/Lists.module.css';
import { useTable } from '../table/tableContext.ts';
import { useFindingNames } from '../table/useChoices.ts';
import { layerName } from '../../words/layerName.ts';
import { counted, findingAmount, showGrams, showMoney } from '../../words/show.ts';
import styles from './Options.module.css';

/** What may be taken instead, with all that it changes. */
export function Swaps() {
  const edit = useTable((table) => table.edit);
  const swaps = useTable((table) => table.document.swaps);
  const places = usePlaces();
  const [first] = Object.keys(places);
  return (
    <section className={lists.section} aria-label="Permitted swaps">
      <header>
        <h3>Permitted swaps</h3>
        <span className="quiet small">this fibre or that; wool eyes or glass</span>
      </header>
      {swaps.map((swap) => (
        <SwapFields key={swap.id} swap={swap} places={places} />
      ))}
      <Button
        size="small"
        disabled={first === undefined}
        onClick={() => {
          if (first === undefined) return;
          edit(
            'adding a swap',
            (draft) =>
              void draft.swaps.push({
                id: nanoid(10),
                of: placeOf(first),
                to: nothingOf(takenKinds(placeOf(first), draft)[0] ?? 'finding'),
                amountFactor: 1,
                moreMinutes: 0,
                steps: [],
                look: '',
              }),
          );
        }}
      >
        Add a swap
      </Button>
    </section>
  );
}

function placeOf(key: string): Swap['of'] {
  const at = key.indexOf(':');
  return { kind: key.slice(0, at) as Swap['of']['kind'], id: key.slice(at + 1) };
}

/** Every use, cover, finding and cut that something else may stand for. */
function usePlaces(): Record<string, string> {
  const wool = useTable((table) => table.wool);
  const document = useTable((table) => table.document);
  return useMemo(
    () =>
      Object.fromEntries([
        ...document.parts.flatMap((part) =>
          part.uses.map((use) => [`use:${use.id}`, layerName(part.name, use, wool)]),
        ),
        ...document.findings.map(({ id, findingId }) => [
          `finding:${id}`,
          wool.findings.get(findingId ?? '')?.name ?? 'a finding',
        ]),
        ...document.cuts.map((cut) => [`cut:${cut.id}`, cut.name || CUT_WORDS[cut.kind]]),
      ]) as Record<string, string>,
    [document, wool],
  );
}

function SwapFields({ swap, places }: { swap: Swap; places: Record<string, string> }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const key = `${swap.of.kind}:${swap.of.id}`;
  const kinds = takenKinds(swap.of, document);
  const change = (label: string, recipe: (draft: Swap) => void, field?: string) =>
    edit(
      label,
      (draft) => {
        const ownSwap = draft.swaps.find(({ id }) => id === swap.id);
        if (ownSwap) recipe(ownSwap);
      },
      field && `${swap.id}.${field}`,
    );
  return (
    <div className={`${styles.value} ${lists.grid} below-3`} role="group" aria-label={swap.look || 'a swap'}>
      <Choice
        className={lists.span4 ?? ''}
        label="Instead of"
        value={key}
        words={places}
        onChoose={(chosen) =>
          chosen !== null &&
          change('what is swapped', (draft) => {
            draft.of = placeOf(chosen);
            draft.to = nothingOf(takenKinds(draft.of, document)[0] ?? 'finding');
          })
        }
      />
      <Choice
        className={lists.span4 ?? ''}
        label="May be taken"
        value={kinds.includes(swap.to.kind) ? swap.to.kind : null}
        words={Object.fromEntries(kinds.map((kind) => [kind, TAKEN_WORDS[kind]]))}
        placeholder="choose"
        onChoose={(kind) =>
          kind !== null && change('what is taken instead', (draft) => void (draft.to = nothingOf(kind)))
        }
      />
      <TakenFields swap={swap} onChange={change} />
      <Field label="What it is called" className={lists.span4 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={swap.look}
            maxLength={300}
            placeholder="glass eyes: they catch the light"
            onChange={(event) => {
              const look = event.target.value;
              change('how a swap looks', (draft) => void (draft.look = look), 'look');
            }}
          />
        )}
      </Field>
      <NumberField
        className={lists.span4 ?? ''}
        label="So much of it"
        value={swap.amountFactor}
        bounds={{ min: 0.05, max: 20 }}
        suffix="×"
        hint="of stated grams and of pieces"
        onValue={(factor) =>
          change('the amount of a swap', (draft) => void (draft.amountFactor = factor), 'factor')
        }
      />
      <NumberField
        className={lists.span4 ?? ''}
        label="More minutes"
        value={swap.moreMinutes}
        bounds={{ min: -240, max: 240 }}
        hint="fewer: below nought"
        onValue={(minutes) =>
          change('the minutes of a swap', (draft) => void (draft.moreMinutes = minutes), 'minutes')
        }
      />
      <SwapStep swap={swap} onChange={change} />
      <SwapEffect swap={swap} />
      <div className={lists.span12}>
        <Button
          size="small"
          type="text"
          onClick={() =>
            edit(
              'deleting a swap',
              (draft) => void (draft.swaps = draft.swaps.filter(({ id }) => id !== swap.id)),
            )
          }
        >
          Take the swap away
        </Button>
      </div>
    </div>
  );
}

/** What may stand in a place, in a maker’s words. */
const TAKEN_WORDS: Readonly<Record<Taken['kind'], string>> = {
  fibre: 'another fibre',
  finding: 'a finding',
  dots: 'wool: a dot for each',
};

function nothingOf(kind: Taken['kind']): Taken {
  switch (kind) {
    case 'fibre':
      return { kind, fibreId: null };
    case 'finding':
      return { kind, findingId: null };
    case 'dots':
      return { kind, fibreId: null, diameter: null, eachG: null };
  }
}

/** Which fibre or finding it is, and of wool for a thing how large each is. */
function TakenFields({ swap: { to }, onChange }: SwapStepProps) {
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const fibres = useTable((table) => table.fibres);
  const findings = useFindingNames();
  const set = (taken: Taken, field?: string) =>
    onChange('what is taken instead', (draft) => void (draft.to = taken), field);
  if (to.kind === 'finding') {
    return (
      <Choice
        className={lists.span4 ?? ''}
        label="Which"
        value={to.findingId}
        words={findings}
        placeholder="choose"
        onChoose={(findingId) => set({ ...to, findingId })}
      />
    );
  }
  return (
    <>
      <Field label="Which" className={lists.span4 ?? ''}>
        {(control) => (
          <FibreSelect
            control={control}
            fibres={fibres}
            value={to.fibreId}
            placeholder="choose"
            onChoose={(fibreId) => set({ ...to, fibreId })}
          />
        )}
      </Field>
      {to.kind === 'dots' && (
        <>
          <div className={lists.span4}>
            <LengthField
              label="Each across"
              value={to.diameter}
              defaultUnit={lengthUnit}
              onValue={(diameter) => set({ ...to, diameter }, 'diameter')}
            />
          </div>
          <NumberField
            className={lists.span4 ?? ''}
            label="Each weighs"
            value={to.eachG}
            bounds={{ min: 0.001, max: 1000 }}
            suffix="g"
            hint="empty: calculated"
            allowEmpty
            onValue={(eachG) => set({ ...to, eachG }, 'eachG')}
          />
        </>
      )}
    </>
  );
}

interface SwapStepProps {
  swap: Swap;
  onChange: (label: string, recipe: (draft: Swap) => void, field?: string) => void;
}

/** The step that reads otherwise. */
function SwapStep({ swap, onChange }: SwapStepProps) {
  const steps = useTable((table) => table.document.steps);
  const [changed] = swap.steps;
  return (
    <>
      <Choice
        className={lists.span4 ?? ''}
        label="A step reads otherwise"
        value={changed?.stepId ?? null}
        words={Object.fromEntries(
          steps.map(({ id, text }, at) => [id, `step ${at + 1} ${text.slice(0, 40)}`]),
        )}
        none="none"
        onChoose={(stepId) =>
          onChange('the step of a swap', (draft) => {
            const text = steps.find(({ id }) => id === stepId)?.text ?? '';
            draft.steps = stepId === null ? [] : [{ stepId, text }];
          })
        }
      />
      {changed && (
        <Field label="It reads" className={lists.span12 ?? ''}>
          {(control) => (
            <Input.TextArea
              {...control}
              value={changed.text}
              maxLength={4000}
              autoSize={{ minRows: 1, maxRows: 5 }}
              onChange={(event) => {
                const text = event.target.value;
                onChange(
                  'the words of a swap',
                  (draft) => {
                    const step = draft.steps[0];
                    if (step) step.text = text;
                  },
                  'step',
                );
              }}
            />
          )}
        </Field>
      )}
    </>
  );
}

/** Nothing is chosen to take yet. */
const isOpen = (to: Taken): boolean => (to.kind === 'finding' ? to.findingId : to.fibreId) === null;

/** What it changes: worked out, not said. */
function SwapEffect({ swap }: { swap: Swap }) {
  const wool = useTable((table) => table.wool);
  const choices = useTable((table) => table.choices);
  const document = useTable((table) => table.document);
  const words = useMemo(() => {
    if (isOpen(swap.to)) return null;
    const fibreName = fibreNamesOf(wool);
    const { fibres, findings, minutes, costMinor, unknown } = swapEffect(document, choices, swap.id, wool);
    return [
      ...fibres.map(({ fibreId, moreG }) =>
        signed(moreG, (grams) => `${showGrams(grams)} ${fibreName(fibreId)}`),
      ),
      ...findings.map(({ findingId, more, unit }) =>
        signed(more, (amount) => {
          const name = wool.findings.get(findingId)?.name ?? 'a finding';
          return unit === 'piece'
            ? `${findingAmount(amount, unit)} × ${name}`
            : `${findingAmount(amount, unit)} ${name}`;
        }),
      ),
      Math.abs(minutes) < 0.5 ? null : signed(minutes, (minute) => `${Math.round(minute)} min`),
      Math.abs(costMinor) < 0.5 ? null : signed(costMinor, (minor) => `${showMoney(minor)} of cost`),
      unknown <= 0 ? null : `${counted(unknown, 'amount')} more unknown`,
    ].filter((word) => word !== null);
  }, [document, choices, wool, swap]);
  if (!words) return null;
  return (
    <p className={`leaf small ${lists.span12} flush`}>
      {words.length === 0
        ? 'It changes neither wool nor things, nor minutes, nor cost.'
        : `One make: ${words.join(', ')}.`}
    </p>
  );
}

/** With its sign. */
const signed = (value: number, show: (value: number) => string): string =>
  `${value < 0 ? '−' : '+'}${show(Math.abs(value))}`;
