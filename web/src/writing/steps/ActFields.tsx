import type { Step } from '@lanakit/core/pattern';
import { Input, Select } from 'antd';
import { Choice } from '../../ui/fields/Choice.tsx';
import { Field } from '../../ui/fields/Field.tsx';
import lists from '../../ui/Lists.module.css';
import { useEditStep, useTable } from '../table/tableContext.ts';

/** What has to be said of acts that are more than a word. */
export function ActFields({ step }: { step: Step }) {
  switch (step.act.kind) {
    case 'choose':
      return <ChooseFields step={step} findingUseIds={step.act.findingUseIds} />;
    case 'decide':
      return <DecideFields step={step} question={step.act.question} answers={step.act.answers} />;
    case 'stand-in':
      return <StandInFields step={step} standsFor={step.act.standsFor} untilStepId={step.act.untilStepId} />;
    default:
      return null;
  }
}

function ChooseFields({ step, findingUseIds }: { step: Step; findingUseIds: string[] }) {
  const findings = useTable((table) => table.document.findings);
  const wool = useTable((table) => table.wool);
  const editStep = useEditStep(step.id);
  return (
    <Field
      label="Chosen among"
      hint="All are in the bag; what is not chosen on the figure goes back."
      className={lists.span12 ?? ''}
    >
      {(control) => (
        <Select
          {...control}
          mode="multiple"
          className="wide"
          value={findingUseIds}
          placeholder="two sizes of eyes"
          options={findings.map(({ id, findingId }) => ({
            value: id,
            label: wool.findings.get(findingId ?? '')?.name ?? 'not chosen yet',
          }))}
          onChange={(ids: string[]) =>
            editStep('what is chosen among', (draft) => {
              if (draft.act.kind === 'choose') draft.act.findingUseIds = ids;
            })
          }
        />
      )}
    </Field>
  );
}

function DecideFields({ step, question, answers }: { step: Step; question: string; answers: string[] }) {
  const editStep = useEditStep(step.id);
  return (
    <>
      <Field label="What is decided" className={lists.span6 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={question}
            maxLength={200}
            placeholder="which way the wrap runs"
            onChange={(event) => {
              const text = event.target.value;
              editStep(
                'what is decided',
                (draft) => {
                  if (draft.act.kind === 'decide') draft.act.question = text;
                },
                'question',
              );
            }}
          />
        )}
      </Field>
      <Field label="Between" hint="a comma between the answers" className={lists.span6 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={answers.join(', ').replace(/^, $/, '')}
            placeholder="toward you, away from you"
            onChange={(event) => {
              const texts = event.target.value.split(', ').slice(0, 6);
              editStep(
                'the answers',
                (draft) => {
                  if (draft.act.kind === 'decide') draft.act.answers = texts.map((text) => text.slice(0, 80));
                },
                'answers',
              );
            }}
          />
        )}
      </Field>
    </>
  );
}

interface StandInProps {
  step: Step;
  standsFor: string;
  untilStepId: string | null;
}

function StandInFields({ step, standsFor, untilStepId }: StandInProps) {
  const steps = useTable((table) => table.document.steps);
  const editStep = useEditStep(step.id);
  return (
    <>
      <Field label="Stands in for" className={lists.span6 ?? ''}>
        {(control) => (
          <Input
            {...control}
            value={standsFor}
            maxLength={80}
            placeholder="the eyes"
            onChange={(event) => {
              const text = event.target.value;
              editStep(
                'what it stands for',
                (draft) => {
                  if (draft.act.kind === 'stand-in') draft.act.standsFor = text;
                },
                'standsFor',
              );
            }}
          />
        )}
      </Field>
      <Choice
        className={lists.span6 ?? ''}
        label="Until"
        value={untilStepId}
        words={Object.fromEntries(
          steps.flatMap(({ id, text }, at) =>
            id === step.id ? [] : [[id, `step ${at + 1}: ${text.slice(0, 40)}`]],
          ),
        )}
        none="not said"
        onChoose={(id) =>
          editStep('when it is taken out', (draft) => {
            if (draft.act.kind === 'stand-in') draft.act.untilStepId = id;
          })
        }
      />
    </>
  );
}
