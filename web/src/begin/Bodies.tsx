import { START_BODIES } from '@lanakit/core/starts';
import { BodyPicture } from '../ways/BodyPicture.tsx';
import styles from './Begin.module.css';

interface BodiesProps {
  bodyId: string;
  onChoose: (bodyId: string) => void;
}

/** Ten bodies, to choose one. */
export const Bodies = ({ bodyId, onChoose }: BodiesProps) => (
  <fieldset className={styles.bodies}>
    <legend className="visually-hidden">Body</legend>
    {START_BODIES.map(({ id, name }) => (
      <label key={id} className={styles.body}>
        <input
          type="radio"
          name="body"
          className="visually-hidden"
          checked={id === bodyId}
          onChange={() => onChoose(id)}
        />
        <BodyPicture bodyId={id} width={84} height={68} />
        <span className="small">{name}</span>
      </label>
    ))}
  </fieldset>
);
