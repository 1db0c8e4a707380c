import { OWN_RIGHTS } from '@lanakit/core/pattern';
import { START_TECHNIQUES } from '@lanakit/core/starts';
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

/** In the address: the how-manyth of ours is begun from. */
const OURS = 'ours-';

/** Sequences of steps that patterns share: written once, each change a version of its own. */
export function TechniquesPage() {
  const { id } = useParams();
  const navigate = useNavigate();
  const { data, error } = useTechniques();
  if (!data) return <Loading error={error} />;
  const chosen = data.items.find((technique) => technique.id === id);
  const ours = id?.startsWith(OURS) ? START_TECHNIQUES[Number(id.slice(OURS.length))] : undefined;
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
        {ours && <TechniqueForm key={ours.name} stored={null} input={ours} />}
        {id === undefined && <BeginFromOurs known={data.items.map(({ name }) => name)} />}
        {id !== undefined && id !== 'new' && !chosen && !ours && (
          <p>This technique is put away, or was never here.</p>
        )}
      </section>
    </main>
  );
}

/** Techniques of ours, to be taken as a beginning: one that is taken is not offered again. */
function BeginFromOurs({ known }: { known: readonly string[] }) {
  return (
    <>
      <p className="quiet">
        Choose one beside this, write one, or begin from one of ours and make it yours. Braces such as{' '}
        {'{length}'} are filled in where it is used.
      </p>
      <ul className={styles.ours}>
        {START_TECHNIQUES.map(({ name, about, steps }, at) =>
          known.includes(name) ? null : (
            <li key={name}>
              <Link to={`/techniques/${OURS}${at}`}>
                <b>{name}</b>
                <span>{about}</span>
                <span className="quiet small">{counted(steps.length, 'step')}</span>
              </Link>
            </li>
          ),
        )}
      </ul>
    </>
  );
}
