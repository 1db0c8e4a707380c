import { type BuildSummary, MOST_BUILDS } from '@lanakit/core/build';
import type { Wool } from '@lanakit/core/engine';
import { defaultValues, type Pattern } from '@lanakit/core/pattern';
import { Modal, Progress, Table } from 'antd';
import { useTable } from '../table/tableContext.ts';
import { counted, showGrams, showMinutes, showMoney } from '../../words/show.ts';
import { useBuilds } from './useBuilds.ts';

/** Every build that may be chosen, beside one another: grams, minutes, pieces, cost. */
export function BuildsDialog({ onClose }: { onClose: () => void }) {
  const document = useTable((table) => table.document);
  const wool = useTable((table) => table.wool);
  const choices = useTable((table) => table.choices);
  const setChoices = useTable((table) => table.setChoices);
  // As it stood when the table was asked for: it does not begin again under the hand.
  return (
    <Modal open width={900} title="The builds beside one another" footer={null} onCancel={onClose}>
      <BuildsTable
        pattern={document}
        wool={wool}
        onChoose={(values) => {
          setChoices({ ...choices, values });
          onClose();
        }}
      />
    </Modal>
  );
}

interface BuildsTableProps {
  pattern: Pattern;
  wool: Wool;
  onChoose: (values: BuildSummary['values']) => void;
}

function BuildsTable({ pattern, wool, onChoose }: BuildsTableProps) {
  const state = useBuilds(pattern, wool);
  if (state.kind === 'failed')
    return <p className="red">The builds could not be worked out. Close this, and try again.</p>;
  if (state.kind === 'working') {
    return (
      <>
        <p>Working them out, one group of options after another. Closing this stops it.</p>
        <Progress percent={Math.round(state.fraction * 100)} />
      </>
    );
  }
  const usual = defaultValues(pattern);
  const nameOf = (optionId: string, valueId: string) =>
    pattern.options.find(({ id }) => id === optionId)?.values.find(({ id }) => id === valueId)?.name ?? '';
  const isUsual = ({ values }: BuildSummary) =>
    Object.entries(usual).every(([id, value]) => values[id] === value);
  return (
    <>
      <p className="quiet">
        {state.builds.length < MOST_BUILDS
          ? `${counted(state.builds.length, 'build')} may be chosen.`
          : `More may be chosen than anybody reads; these are the first ${MOST_BUILDS}.`}{' '}
        A line opens that build on the work table.
      </p>
      <Table<BuildSummary>
        size="small"
        virtual={state.builds.length > 100}
        scroll={{ y: 420, x: 760 }}
        pagination={false}
        rowKey={({ values }) => Object.values(values).join(' ')}
        dataSource={[...state.builds]}
        onRow={(build) => ({ onClick: () => onChoose(build.values), style: { cursor: 'pointer' } })}
        columns={[
          ...pattern.options.map((option) => ({
            title: option.name || 'option',
            key: option.id,
            width: 120,
            render: (_: unknown, { values }: BuildSummary) => nameOf(option.id, values[option.id] ?? ''),
          })),
          {
            title: <span className="visually-hidden">Which is usual</span>,
            key: 'usual',
            width: 70,
            render: (_: unknown, build: BuildSummary) =>
              isUsual(build) && <span className="quiet">usual</span>,
          },
          number(
            'wool',
            ({ likelyG, unknownCount }) => `${unknownCount > 0 ? 'at least ' : ''}${showGrams(likelyG)}`,
            (a) => a.likelyG,
          ),
          number(
            'your pace',
            ({ minutes }) => showMinutes(minutes),
            (a) => a.minutes,
          ),
          number(
            'pieces',
            ({ pieces }) => String(pieces),
            (a) => a.pieces,
          ),
          number(
            'cost',
            ({ costMinor }) => showMoney(costMinor),
            (a) => a.costMinor,
          ),
        ]}
      />
    </>
  );
}

const number = (
  title: string,
  show: (build: BuildSummary) => string,
  value: (build: BuildSummary) => number,
) => ({
  title,
  key: title,
  width: 100,
  align: 'right' as const,
  sorter: (a: BuildSummary, b: BuildSummary) => value(a) - value(b),
  render: (_: unknown, build: BuildSummary) => show(build),
});
