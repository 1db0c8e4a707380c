import { PATTERN_BOUNDS, STAGES, type Stage } from '@lanakit/core';
import { Button, Popover } from 'antd';
import { NumberField } from '../fields/NumberField.tsx';
import { useTable } from '../patterns/tableContext.ts';
import { STAGE_WORDS } from '../words/show.ts';

/** The needle of each stage: what a step takes that names none of its own. */
export function StageNeedles() {
  const { draft } = useTable();
  const { stageNeedles, steps } = draft.document;
  const used = STAGES.filter((stage) => steps.some((step) => step.stage === stage));
  const shown = used.length > 0 ? used : STAGES;
  return (
    <Popover
      trigger="click"
      placement="bottomLeft"
      content={
        <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8, width: 260 }}>
          {shown.map((stage) => (
            <StageNeedle key={stage} stage={stage} />
          ))}
        </div>
      }
    >
      <Button size="small">
        Needle of each stage
        {stageNeedles.length > 0
          ? `: ${[...new Set(stageNeedles.map(({ gauge }) => gauge))].join(', ')}`
          : ''}
      </Button>
    </Popover>
  );
}

function StageNeedle({ stage }: { stage: Stage }) {
  const { draft } = useTable();
  const own = draft.document.stageNeedles.find((rung) => rung.stage === stage);
  return (
    <NumberField
      label={STAGE_WORDS[stage]}
      value={own?.gauge ?? null}
      bounds={PATTERN_BOUNDS.gauge}
      isWhole
      allowEmpty
      onValue={(gauge) =>
        draft.edit(
          'the needle of a stage',
          (it) => {
            it.stageNeedles = it.stageNeedles.filter((rung) => rung.stage !== stage);
            if (gauge !== null) it.stageNeedles.push({ stage, gauge });
          },
          `stage.${stage}`,
        )
      }
    />
  );
}
