import { blankPose } from '@lanakit/core/pattern';
import { Button, Input, Select } from 'antd';
import { nanoid } from 'nanoid';
import { useTable } from '../table/tableContext.ts';
import styles from './Together.module.css';
import type { PoseLookedAt } from './usePose.ts';

const AS_WRITTEN = '';

/** Poses by name: which is looked at and moved about; a new one begins as the figure is. */
export function PoseFields({ looked }: { looked: PoseLookedAt }) {
  const poses = useTable((table) => table.document.poses);
  const edit = useTable((table) => table.edit);
  const { pose, build, pick } = looked;
  const add = () => {
    const id = nanoid(10);
    edit('a pose', (draft) => void draft.poses.push(blankPose(id, `pose ${poses.length + 1}`, build.stance)));
    pick(id);
  };
  return (
    <div className={styles.poses}>
      {poses.length > 0 && (
        <Select
          size="small"
          aria-label="Pose"
          value={pose?.id ?? AS_WRITTEN}
          popupMatchSelectWidth={false}
          options={[
            { value: AS_WRITTEN, label: 'as it is written' },
            ...poses.map(({ id, name }) => ({ value: id, label: name || 'unnamed' })),
          ]}
          onChange={(id) => pick(id === AS_WRITTEN ? null : id)}
        />
      )}
      {pose && (
        <>
          <Input
            size="small"
            aria-label="Name of the pose"
            value={pose.name}
            maxLength={80}
            onChange={(event) => {
              const name = event.target.value;
              edit(
                'the name of a pose',
                (draft) => {
                  const found = draft.poses.find(({ id }) => id === pose.id);
                  if (found) found.name = name;
                },
                `pose name ${pose.id}`,
              );
            }}
          />
          <Button
            size="small"
            onClick={() => {
              edit('a pose less', (draft) => {
                draft.poses = draft.poses.filter(({ id }) => id !== pose.id);
                for (const option of draft.options)
                  for (const value of option.values)
                    value.things = value.things.filter(({ kind, id }) => kind !== 'pose' || id !== pose.id);
              });
              pick(null);
            }}
          >
            Forget it
          </Button>
        </>
      )}
      <Button size="small" onClick={add}>
        Another pose
      </Button>
    </div>
  );
}
