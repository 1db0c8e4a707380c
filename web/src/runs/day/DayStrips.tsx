import type { Bagging, ClassPlan, Designs } from '@lanakit/core/run';
import type { Room } from '@lanakit/core/timetable';
import { counted } from '@lanakit/core/words';
import { Select } from 'antd';
import { useState } from 'react';
import { StillLoading } from '../../shell/Loading.tsx';
import { DayStrip } from './DayStrip.tsx';
import styles from './Day.module.css';
import type { DayTold } from './useDay.ts';

interface DayStripsProps {
  room: Room;
  designs: Designs;
  plan: ClassPlan;
  bagging: Bagging;
  told: DayTold;
  onDrag: (plan: ClassPlan) => void;
  onDrop: (plan: ClassPlan) => void;
}

/** Every sitting under a ruler of hours; of several designs one at a time. */
export function DayStrips({ room, designs, plan, bagging, told, onDrag, onDrop }: DayStripsProps) {
  const [graphAt, setGraphAt] = useState(0);
  const shownAt = Math.min(graphAt, room.graphs.length - 1);
  const views = told.views[shownAt];
  const build = room.graphs[shownAt]?.build;
  return (
    <section className={`sheet ${styles.strips}`} aria-label="The day, hour by hour">
      {room.graphs.length > 1 && (
        <Select<number>
          aria-label="Whose steps"
          size="small"
          className={styles.whose ?? ''}
          value={shownAt}
          popupMatchSelectWidth={false}
          options={room.graphs.map(({ build: each, revisionId }, at) => ({
            value: at,
            label: `${each.title || designs.get(revisionId)?.title}, ${counted(room.people.filter((person) => person.graphAt === at).length, 'seat')}`,
          }))}
          onChange={setGraphAt}
        />
      )}
      {!views || !build ? (
        <StillLoading error={undefined} />
      ) : (
        views.map((view, at) => (
          <DayStrip
            key={view.sitting.id}
            view={view}
            number={views.length > 1 ? at + 1 : null}
            isLast={at === views.length - 1}
            build={build}
            plan={plan}
            bagging={bagging}
            onDrag={onDrag}
            onDrop={onDrop}
          />
        ))
      )}
      <p className="quiet small">
        A band: from when they begin a step to when they are done with it. Drag what you talk, show, or pause,
        or move it with the arrow keys; everything follows.
      </p>
    </section>
  );
}
