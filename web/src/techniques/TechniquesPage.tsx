import { OWN_RIGHTS } from '@lanakit/core/pattern';
import { blankTechniqueStep, type TechniqueInput } from '@lanakit/core/writing';
import { Button } from 'antd';
import { Link, useNavigate, useParams } from 'react-router';
import { useTechniques } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { counted } from '../words/show.ts';
import { TechniqueForm } from './TechniqueForm.tsx';
import styles from './Techniques.module.css';

const BLANK: TechniqueInput = {
  name: '',
  about: '',
  parameters: [],
  steps: [blankTechniqueStep()],
  rights: OWN_RIGHTS,
};

/** Sequences of steps that patterns share: written once, each change a version of its own. */
export function TechniquesPage() {
  const { id } = useParams();
  const navigate = useNavigate();
  const { data, error } = useTechniques();
  if (!data) return <Loading error={error} />;
  const chosen = data.items.find((technique) => technique.id === id);
  return (
    <main className={styles.page}>
      <aside className={`sheet ${styles.list}`} aria-label="Techniques">
        <h1>Techniques</h1>
        <p className="quiet">
          Written once, used in many patterns. A pattern keeps its version until you take the newer one.
        </p>
        <ul>
          {data.items.map((technique) => (
            <li key={technique.id}>
              <Link
                to={`/techniques/${technique.id}`}
                aria-current={technique.id === id ? 'page' : undefined}
              >
                <b>{technique.name}</b>
                <span className="quiet small">
                  version {technique.version} · {counted(technique.steps.length, 'step')}
                </span>
              </Link>
            </li>
          ))}
        </ul>
        <Button onClick={() => void navigate('/techniques/new')}>Write a technique</Button>
      </aside>
      <section className={`sheet ${styles.form}`} aria-label="The technique">
        {id === 'new' && <TechniqueForm key="new" stored={null} input={BLANK} />}
        {chosen && <TechniqueForm key={`${chosen.id} ${chosen.version}`} stored={chosen} input={chosen} />}
        {id === undefined && (
          <p className="quiet">
            A rolled limb, a folded ear, a wound ball, a hanger: choose one, or write one. Braces such as{' '}
            {'{length}'} are filled in where it is used.
          </p>
        )}
        {id !== undefined && id !== 'new' && !chosen && <p>This technique is put away, or was never here.</p>}
      </section>
    </main>
  );
}
