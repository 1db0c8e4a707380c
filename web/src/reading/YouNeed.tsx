import type { PatternEstimate, Wool } from '@lanakit/core/engine';
import type { Need } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import type { Reader } from '@lanakit/core/reading';
import {
  cutNeedLines,
  findingLines,
  guidePagesWords,
  insertLines,
  needName,
  PROVISION_WORDS,
  woolLines,
} from '@lanakit/core/words';
import { useMemo } from 'react';
import { useGuide } from '../guide/useGuide.ts';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { packedWoolLines, type Packed } from '@lanakit/core/papers';
import styles from './Reading.module.css';

interface YouNeedProps {
  build: Pattern;
  /** It numbers the parts. */
  whole: Pattern;
  estimate: PatternEstimate;
  wool: Wool;
  tools: readonly Need[];
  reader: Reader;
  /** Nobody is there to share a tool with. */
  isAlone: boolean;
  /** What is in the bag; null: what the pattern takes. */
  packed: Packed | null;
}

/** Wool, findings, what is cut to size, and tools. With the kit it is in the bag. */
export function YouNeed({ build, whole, estimate, wool, tools, reader, isAlone, packed }: YouNeedProps) {
  return (
    <section className={styles.need}>
      <div>
        <h2>{reader === 'kit' ? 'In the bag' : 'You need'}</h2>
        <ul>
          {[
            ...(packed ? packedWoolLines(packed, wool) : woolLines(estimate, wool, build)),
            ...findingLines(build, wool),
            ...insertLines(build, wool),
            ...cutNeedLines(build, estimate, wool),
          ].map(({ key, fibreId, name, about, amount }) => {
            const fibre = wool.fibres.get(fibreId ?? '');
            return (
              <li key={key}>
                {fibre && <FibreSwatch fibre={fibre} width={34} height={16} />}
                <span>
                  {name} {about !== '' && <span className={styles.small}>{about}</span>}
                </span>
                <b>{amount}</b>
              </li>
            );
          })}
        </ul>
        {packed && packed.copies > 1 && (
          <p className={styles.small}>Wool for all {packed.copies} of them; everything else for one.</p>
        )}
        {packed?.hasLaidOut === true && (
          <p className={styles.small}>What you choose lies out on the table.</p>
        )}
        {packed?.hasSpareBag === true && (
          <p className={styles.small}>Short of a colour? There is a bag for all.</p>
        )}
      </div>
      <div>
        <h2>Tools</h2>
        <ul>
          {tools.map((need) => (
            <li key={need.key}>
              <span>
                <NeedName need={need} build={build} whole={whole} wool={wool} />
                {need.count > 1 && ` ×${need.count}`}
              </span>
              <span className={styles.small}>{!isAlone && PROVISION_WORDS[need.per]}</span>
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

/** The guide with how many pages of A4 it is. */
function NeedName({
  need,
  build,
  whole,
  wool,
}: { need: Need } & Pick<YouNeedProps, 'build' | 'whole' | 'wool'>) {
  const isGuide = need.what.is === 'tool' && need.what.tool === 'guide';
  const request = useMemo(
    () => (isGuide ? { title: build.title, builds: [{ build, whole, forWhom: '' }] } : null),
    [isGuide, build, whole],
  );
  const laid = useGuide(request, wool, 'a4');
  const pages = laid.kind === 'laid' ? laid.guide.pages.length : 0;
  return <>{isGuide && pages > 0 ? guidePagesWords(pages) : needName(need)}</>;
}
